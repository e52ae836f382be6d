import { setRecord, type Change, type Deck, type FieldsOf, type TableName } from '../model'
import type { Id } from '../values'

/** Gives fields of one record new values; undefined lets a field inherit again. Nothing where the record is gone. */
export const setFields = <T extends TableName>(deck: Deck, input: { table: T; id: Id; fields: FieldsOf<T> }): Change[] =>
  deck[input.table][input.id] ? [setRecord(input.table, input.id, input.fields)] : []
