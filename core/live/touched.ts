import type * as Y from 'yjs'
import { tableNames, type TableName } from '../model'
import type { Id } from '../values'

/** The records that a transaction touched, by table: which of their fields, or null where all of one came or went. */
export type Touched = ReadonlyMap<TableName, ReadonlyMap<Id, ReadonlySet<string> | null>>

/** Which records a transaction put, changed or dropped; `foreign` where it also touched what is of no table. */
export function touchedBy(document: Y.Doc, transaction: Y.Transaction): { touched: Touched; foreign: boolean } {
  const touched = new Map<TableName, Map<Id, Set<string> | null>>()
  let foreign = false
  for (const [type, keys] of transaction.changed) {
    const place = placeOf(document, type as Y.AbstractType<unknown>)
    if (!place) {
      foreign = true
      continue
    }
    const records = touched.get(place.table) ?? new Map<Id, Set<string> | null>()
    touched.set(place.table, records)
    const { id, field } = place
    if (id === null) for (const key of keys) records.set(key ?? '', null)
    else if (records.get(id) !== null) {
      const fields = records.get(id) ?? new Set<string>()
      if (field !== null) fields.add(field)
      else for (const key of keys) fields.add(key ?? '')
      records.set(id, fields)
    }
  }
  return { touched, foreign }
}

/**
 * Which table a shared type belongs to, which record of it (null for the table itself), and which field of that (null for the record
 * itself).
 */
function placeOf(document: Y.Doc, type: Y.AbstractType<unknown>): { table: TableName; id: Id | null; field: string | null } | null {
  let at: Y.AbstractType<unknown> = type
  /** What leads to it, from within the table. */
  const way: (string | null)[] = []
  while (at._item) {
    way.unshift(at._item.parentSub)
    at = at._item.parent as Y.AbstractType<unknown>
  }
  const table = tableNames.find(name => document.share.get(name) === at)
  return table ? { table, id: way[0] ?? null, field: way[1] ?? null } : null
}
