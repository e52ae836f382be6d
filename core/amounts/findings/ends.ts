import type { Finding } from './finding'

export const first: Finding = { name: 'first', label: 'the first', find: ({ through }) => through[0] ?? null }
export const last: Finding = { name: 'last', label: 'the last', find: ({ through }) => through.at(-1) ?? null }
