import { carryGroups } from './groups'
import type { AnyRecord, Deck, RecordOf, TableName } from './records'
import type { Id } from '../values'

type KeysOf<R> = R extends unknown ? keyof R : never
type ValueOf<R, K> = R extends unknown ? (K extends keyof R ? R[K] : never) : never

/**
 * New values for fields of a table's record, each of the type that it has there (of a union of kinds: in any kind that has it). Undefined
 * removes a field, and with it what was the record's own, so that it inherits again. An id and a kind stay what they are.
 */
export type FieldsOf<T extends TableName> = {
  readonly [K in Exclude<KeysOf<RecordOf<T>>, 'id' | 'kind'>]?: ValueOf<RecordOf<T>, K> | undefined
}

/** One step of an edit; made by `putRecord`, `setRecord` and `dropRecord`. */
export type Change = {
  [T in TableName]:
    | { readonly do: 'put'; readonly table: T; readonly record: RecordOf<T> }
    | { readonly do: 'set'; readonly table: T; readonly id: Id; readonly fields: FieldsOf<T> }
    | { readonly do: 'drop'; readonly table: T; readonly id: Id }
}[TableName]

// The compiler does not see that a table and its record, each of a union, belong together; the constructors' own types hold it.
const step = (change: { do: Change['do']; table: TableName }) => change as Change

/** A record comes into its table, or takes the place of the one with its id. */
export const putRecord = <T extends TableName>(table: T, record: RecordOf<T>): Change =>
  step({ do: 'put', table, record } as { do: 'put'; table: T })

/** Fields of a record get new values; nothing happens where the record is gone. */
export const setRecord = <T extends TableName>(table: T, id: Id, fields: FieldsOf<T>): Change =>
  step({ do: 'set', table, id, fields } as { do: 'set'; table: T })

/** A record leaves its table. */
export const dropRecord = (table: TableName, id: Id): Change => step({ do: 'drop', table, id } as { do: 'drop'; table: TableName })

/** What an edit needs from outside: fresh ids. */
export interface EditContext {
  id(): Id
}

/** Applies changes to a deck and returns the next one; untouched tables and records keep their identity. */
export function applyChanges(deck: Deck, changes: readonly Change[]): Deck {
  const tables = new Map<TableName, { next: Record<string, AnyRecord>; changed: Set<string> }>()
  const open = (table: TableName) => {
    let entry = tables.get(table)
    if (!entry) tables.set(table, (entry = { next: { ...deck[table] }, changed: new Set() }))
    return entry
  }
  for (const change of changes) {
    const { next, changed } = open(change.table)
    if (change.do === 'put') {
      next[change.record.id] = change.record
      changed.add(change.record.id)
    } else if (change.do === 'drop') {
      delete next[change.id]
      changed.add(change.id)
    } else if (next[change.id]) {
      const record: Record<string, unknown> = { ...next[change.id] }
      for (const [field, value] of Object.entries(change.fields)) {
        if (value === undefined) delete record[field]
        else record[field] = value
      }
      next[change.id] = record as AnyRecord
      changed.add(change.id)
    }
  }
  const made: Record<string, unknown> = { ...deck }
  for (const [table, { next, changed }] of tables) {
    carryGroups(deck[table], next, changed)
    made[table] = next
  }
  return made as unknown as Deck
}
