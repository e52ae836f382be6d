import { dropRecord, putRecord, fitRecord, tableNames, type AnyRecord, type Change, type TableName } from '../model'
import * as Y from 'yjs'
import type { Id } from '../values'
import { faultOfRecord } from './guard'
import { liveTable, readRecord } from './document'

/** A record that could not be mended, as it stood. */
export interface SetAside {
  table: TableName
  id: Id
  /** As JSON where it can be written as such, else in words. */
  content: string
  reason: string
}

/** What puts a document right that an older program, or a clash, left with broken records. */
export interface Mending {
  changes: Change[]
  aside: SetAside[]
  /** What was put within its limits, in sentences. */
  notes: string[]
}

function asJson(value: unknown): string {
  try {
    return JSON.stringify(value) ?? String(value)
  } catch (error) {
    if (!(error instanceof Error)) throw error
    return `not to be written down: ${error.message}`
  }
}

/**
 * Looks at every record of a document, so many at a time, and says what would put it right: what is over a limit is put within it,
 * what cannot be read goes out and is handed over to be kept aside. `fallback` stands in for what a deck cannot be without.
 */
export function* mendingOf(document: Y.Doc, fallback: (table: TableName, id: Id) => AnyRecord | undefined): Generator<undefined, Mending> {
  const mending: Mending = { changes: [], aside: [], notes: [] }
  let looked = 0
  for (const table of tableNames) {
    const ids = new Set(liveTable(document, table).keys())
    if (table === 'info' || table === 'theme') ids.add(table)
    for (const id of ids) {
      if (++looked % 400 === 0) yield
      const reason = faultOfRecord(document, table, id)
      if (!reason) continue
      const live = liveTable(document, table).get(id) as unknown
      const record: unknown = live instanceof Y.Map ? readRecord(table, live) : live
      const fit = live instanceof Y.Map && (record as AnyRecord).id === id ? fitRecord(table, record) : null
      if (fit?.ok) {
        mending.changes.push(putRecord(table, fit.value.record) as Change)
        mending.notes.push(...fit.value.notes)
        continue
      }
      if (live !== undefined) {
        mending.aside.push({ table, id, content: asJson(record), reason: fit && !fit.ok ? fit.message : reason })
        mending.changes.push(dropRecord(table, id))
      }
      const instead = fallback(table, id)
      if (instead) mending.changes.push(putRecord(table, instead) as Change)
    }
  }
  return mending
}

/** The sentence for those who have the deck open; null where nothing was to be mended. */
export function mendedWords({ changes, aside, notes }: Mending): string | null {
  if (!changes.length) return null
  const mended = changes.filter(change => change.do === 'put').length
  const parts = [
    ...(mended
      ? [
          `${mended === 1 ? 'One record' : `${mended} records`} of this deck went beyond ${mended === 1 ? 'its' : 'their'} ` +
            `limits and ${mended === 1 ? 'was' : 'were'} put within them.`,
        ]
      : []),
    ...(aside.length
      ? [
          `${aside.length === 1 ? 'One' : aside.length} could not be read and ${aside.length === 1 ? 'is' : 'are'} kept aside ` +
            'on the server.',
        ]
      : []),
  ]
  return [...parts, ...notes.slice(0, 2)].join(' ')
}
