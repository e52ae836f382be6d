import type * as Y from 'yjs'
import { formatOf, formatVersion, tableNames, upgraded, type AnyRecord, type Change } from '../model'
import { readDocument } from './document'

const isSame = (one: unknown, other: unknown) => one === other || JSON.stringify(one) === JSON.stringify(other)
type Tables = Readonly<Record<string, Readonly<Record<string, AnyRecord>>>>
type Fields = Readonly<Record<string, unknown>>

/**
 * What makes a document that an older program wrote one of the present format: only the fields that differ are set, so that what others
 * write meanwhile stays. Nothing where it is of the present format, or of one that is not known here.
 */
export function upgradingOf(document: Y.Doc): Change[] {
  const old = readDocument(document) as unknown as Record<string, unknown>
  const format = formatOf(old)
  if (!(format >= 1 && format < formatVersion)) return []
  const [before, after] = [old as Tables, upgraded(old) as Tables]
  return tableNames.flatMap(table => {
    const ids = new Set([...Object.keys(before[table] ?? {}), ...Object.keys(after[table] ?? {})])
    return [...ids].flatMap((id): Change[] => {
      const [was, is] = [before[table]?.[id], after[table]?.[id]] as [Fields | undefined, Fields | undefined]
      if (is === undefined) return [{ do: 'drop', table, id } as Change]
      if (was === undefined) return [{ do: 'put', table, record: is } as unknown as Change]
      const fields = [...new Set([...Object.keys(was), ...Object.keys(is)])].filter(field => !isSame(was[field], is[field]))
      return fields.length ? [{ do: 'set', table, id, fields: Object.fromEntries(fields.map(field => [field, is[field]])) } as Change] : []
    })
  })
}
