import * as Y from 'yjs'
import { isSound, isTooDeep, mostRecords, tableNames, tooMany, type AnyRecord, type Deck, type TableName } from '../model'
import { faultOnForm } from '../resolved'
import { liveTable, readRecord } from './document'
import { touchedBy } from './touched'

/** Bounds of what one browser may send, and of what a document may hold, bytes. */
export const liveLimits = {
  /** One update: the records of a deck of the largest kind, sent again after a week offline, have a fraction of this. */
  update: 8 * 1024 * 1024,
  /** The whole document, as Yjs encodes it. */
  document: 64 * 1024 * 1024,
  /** Pieces of one update that Yjs has to put in their places. */
  pieces: 400_000,
  /** One message on who is here, and how many browsers it may speak for. */
  awareness: 16 * 1024,
  clients: 4,
}

const unreadable = 'The change could not be read and was not kept. Load the page again.'

/** A sentence on why an update cannot be let near a document; null where it can. Looks at its form alone. */
export function faultOfUpdate(update: Uint8Array): string | null {
  if (update.length > liveLimits.update) return `One change may have ${liveLimits.update / 1048576} MB at most. Make it in several steps.`
  let pieces: readonly unknown[]
  try {
    pieces = Y.decodeUpdate(update).structs
  } catch (error) {
    // What Yjs cannot decode, or what nests deeper than its reader goes.
    if (error instanceof Error) return unreadable
    throw error
  }
  if (pieces.length > liveLimits.pieces) return 'The change has too many parts to be taken at once. Make it in several steps.'
  for (const piece of pieces) {
    const content = piece instanceof Y.Item ? piece.content : null
    if (
      content &&
      !(content instanceof Y.ContentString) &&
      !(content instanceof Y.ContentType) &&
      !(content instanceof Y.ContentDeleted) &&
      isTooDeep(content.getContent())
    )
      return unreadable
    if (piece instanceof Y.Item && (piece.parentSub === '__proto__' || content instanceof Y.ContentDoc)) return unreadable
  }
  return null
}

/** The one record that a table of one has. */
const sole: Partial<Record<TableName, string>> = { info: 'info', theme: 'theme' }

/**
 * A sentence on what is wrong with a record as it stands in a document; null where nothing is. One that is gone is nothing wrong, unless a
 * deck cannot be without it.
 */
export function faultOfRecord(document: Y.Doc, table: TableName, id: string): string | null {
  const live = liveTable(document, table).get(id) as unknown
  if (live === undefined) return sole[table] === id ? 'A deck cannot be without its title and theme. The change was not kept.' : null
  if (!(live instanceof Y.Map) || (sole[table] && sole[table] !== id)) return unreadable
  for (const value of live.values()) if (value instanceof Y.AbstractType && !(value instanceof Y.XmlFragment)) return unreadable
  const record = readRecord(table, live)
  if (record.id !== id || !isSound(table, record))
    return 'The change would leave something that cannot be shown, so it was not kept. What you see now is what is kept.'
  return null
}

const recordIn = (document: Y.Doc, table: TableName, id: string): AnyRecord | null => {
  const live = liveTable(document, table).get(id)
  return live ? readRecord(table, live) : null
}

/**
 * What came of trying an update: null where it can be taken; else a sentence on why not, and whether that is only for want of what it
 * builds on.
 */
export type Fault = { message: string; lacking: boolean } | null

/**
 * Applies an update to a document that is there to try it, and looks at all that it touched. After a fault the document that tried it
 * is spoilt: make a new one. `before` is the deck as it stands where its form holds the sender to its places.
 */
export function tryUpdate(trial: Y.Doc, update: Uint8Array, origin: unknown, before: Deck | null = null): Fault {
  let message: string | null = null
  const look = (transaction: Y.Transaction) => {
    const { touched, foreign } = touchedBy(trial, transaction)
    if (foreign) message ??= unreadable
    for (const [table, ids] of touched) {
      for (const [id, fields] of ids) {
        message ??= faultOfRecord(trial, table, id)
        if (before) message ??= faultOnForm(before, table, id, fields, recordIn(trial, table, id))
      }
      if (liveTable(trial, table).size > mostRecords[table] && ids.size) message ??= tooMany(table)
    }
  }
  trial.on('afterTransaction', look)
  try {
    Y.applyUpdate(trial, update, origin)
  } catch (error) {
    // Whatever a broken update makes Yjs, or the reading of what it made, stumble over.
    if (!(error instanceof Error)) throw error
    message = unreadable
  } finally {
    trial.off('afterTransaction', look)
  }
  if ([...trial.share.keys()].some(name => !(tableNames as string[]).includes(name))) message ??= unreadable
  if (message) return { message, lacking: false }
  return trial.store.pendingStructs || trial.store.pendingDs
    ? { message: 'The change builds on something that is not here, so it was not kept. Load the page again.', lacking: true }
    : null
}
