import { carryGroups } from './groups'
import type { AnyRecord, Deck, RecordOf, TableName } from './records'
import type { Id } from '../values'

/**
 * One step of an edit. `set` gives fields of a record new values (undefined removes a field, and with it what was
 * the record's own, so that it inherits again).
 */
export type Change =
  | { [T in TableName]: { do: 'put'; table: T; record: RecordOf<T> } }[TableName]
  | { do: 'set'; table: TableName; id: Id; fields: Readonly<Record<string, unknown>> }
  | { do: 'drop'; table: TableName; id: Id }

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
    carryGroups(deck[table] as never, next as never, changed)
    made[table] = next
  }
  return made as unknown as Deck
}
