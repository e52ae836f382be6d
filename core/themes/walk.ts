import { setRecord, slidesOf, type AnyRecord, type Change, type Deck, type TableName } from '../model'
import { memoByRecords, type Id } from '../values'

/** The tables that say how a deck looks. */
export const lookTables = ['theme', 'masters', 'layouts', 'slides', 'elements', 'states'] as const satisfies readonly TableName[]
export type LookTable = (typeof lookTables)[number]

/** Calls for every record that says how a deck looks. */
export function eachLookRecord(deck: Deck, visit: (table: LookTable, record: AnyRecord) => void) {
  for (const table of lookTables) for (const record of Object.values(deck[table])) visit(table, record)
}

/** Calls for every object within a value, the value itself first. */
export function eachObject(value: unknown, visit: (value: Record<string, unknown>) => void) {
  if (typeof value !== 'object' || value === null) return
  if (Array.isArray(value)) {
    for (const item of value) eachObject(item, visit)
    return
  }
  visit(value as Record<string, unknown>)
  for (const key in value) eachObject((value as Record<string, unknown>)[key], visit)
}

/**
 * A value rebuilt with some of the values within it exchanged; the very same one where none was. `exchange` answers undefined for what
 * stays.
 */
export function exchanged(value: unknown, exchange: (value: Record<string, unknown>) => unknown): unknown {
  if (Array.isArray(value)) {
    const next = value.map(item => exchanged(item, exchange))
    return next.every((item, index) => item === value[index]) ? value : next
  }
  if (typeof value !== 'object' || value === null) return value
  const own = exchange(value as Record<string, unknown>)
  if (own !== undefined) return own
  let next: Record<string, unknown> | null = null
  for (const [key, item] of Object.entries(value)) {
    const made = exchanged(item, exchange)
    if (made !== item) (next ??= { ...(value as Record<string, unknown>) })[key] = made
  }
  return next ?? value
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
