import type { Change, Deck, RecordOf, TableName } from '../model'
import type { Id } from '../values'

/** Gives fields of one record new values; undefined lets a field inherit again. Nothing where the record is gone. */
export function setFields<T extends TableName>(deck: Deck, wish: { table: T; id: Id; fields: Partial<RecordOf<T>> }): Change[] {
  if (!deck[wish.table][wish.id]) return []
  return [{ do: 'set', table: wish.table, id: wish.id, fields: wish.fields as Record<string, unknown> }]
}
