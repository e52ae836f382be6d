import { setRecord, slidesOf, type AnyRecord, type Change, type Deck, type TableName } from '../model'
import { exchanged, memoByRecords, type Id } from '../values'

/** The tables that say how a deck looks. */
export const lookTables = ['theme', 'masters', 'layouts', 'slides', 'elements', 'states'] as const satisfies readonly TableName[]
export type LookTable = (typeof lookTables)[number]

/** Calls for every record that says how a deck looks. */
export function eachLookRecord(deck: Deck, visit: (table: LookTable, record: AnyRecord) => void) {
  for (const table of lookTables) for (const record of Object.values(deck[table])) visit(table, record)
}

/** The changes that exchange values in all records that say how a deck looks; fields in `except` are left alone. */
export function exchangeEverywhere(
  deck: Deck,
  exchange: (value: Record<string, unknown>) => unknown,
  except: readonly string[] = [],
): Change[] {
  const changes: Change[] = []
  eachLookRecord(deck, (table, record) => {
    const fields: Record<string, unknown> = {}
    for (const [field, value] of Object.entries(record)) {
      if (except.includes(field)) continue
      const made = exchanged(value, exchange)
      if (made !== value) fields[field] = made
    }
    if (Object.keys(fields).length) changes.push(setRecord(table, record.id, fields))
  })
  return changes
}

const numbersOf = memoByRecords(
  (deck: Deck) => [deck.slides],
  deck => new Map(slidesOf(deck).map((one, index) => [one.id, index + 1])),
)
const numberOf = (deck: Deck, slide: Id): number => numbersOf(deck).get(slide) ?? 0

/** Where a record stands, in words: “Slide 3”, “layout Chapter”, “master Master”, “the theme”. */
export function whereIs(deck: Deck, table: LookTable, record: AnyRecord): { words: string; slide: Id | null } {
  if (table === 'theme') return { words: 'the theme', slide: null }
  const owner =
    table === 'states'
      ? deck.elements[(record as { element: Id }).element]?.owner
      : table === 'elements'
        ? (record as { owner: Id }).owner
        : record.id
  if (owner && deck.slides[owner]) return { words: `slide ${numberOf(deck, owner)}`, slide: owner }
  if (owner && deck.layouts[owner]) return { words: `layout ${deck.layouts[owner].name}`, slide: null }
  return { words: `master ${deck.masters[owner ?? '']?.name ?? ''}`.trim(), slide: null }
}
