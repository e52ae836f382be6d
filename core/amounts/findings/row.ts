import type { Finding } from './finding'

/** What the first of its rows has: of a slide that there is one of for each row, what that row has. */
export const row: Finding = { name: 'row', label: 'as its row has it:', find: ({ values }) => values[0] ?? null }
