import type * as Y from 'yjs'
import { tableNames, type Id, type TableName } from '../deck'

/** The records that a transaction touched, by table. */
export type Touched = ReadonlyMap<TableName, ReadonlySet<Id>>

/** Which records a transaction put, changed or dropped; null where it also touched what is of no table. */
export function touchedBy(document: Y.Doc, transaction: Y.Transaction): { touched: Touched, foreign: boolean } {
  const touched = new Map<TableName, Set<Id>>()
  let foreign = false
  for (const [type, events] of transaction.changedParentTypes) {
    const place = placeOf(document, type as Y.AbstractType<unknown>)
    if (!place) {
      foreign = true
      continue
    }
    const ids = touched.get(place.table) ?? new Set()
    touched.set(place.table, ids)
    if (place.id !== null) ids.add(place.id)
    else for (const event of events) if (event.target === (type as unknown)) for (const key of (event as Y.YMapEvent<unknown>).keysChanged ?? []) ids.add(key)
  }
  return { touched, foreign }
}

/** Which table, and which record of it (null for the table itself), a shared type belongs to. */
function placeOf(document: Y.Doc, type: Y.AbstractType<unknown>): { table: TableName, id: Id | null } | null {
  let at: Y.AbstractType<unknown> = type
  let key: Id | null = null
  while (at._item) {
    if (at._item.parentSub && (at._item.parent as Y.AbstractType<unknown>)._item === null) key = at._item.parentSub
    at = at._item.parent as Y.AbstractType<unknown>
  }
  const table = tableNames.find(name => document.share.get(name) === at)
  return table ? { table, id: type === at ? null : key } : null
}
