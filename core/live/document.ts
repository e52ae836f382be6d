import { updateYFragment, yXmlFragmentToProsemirrorJSON } from 'y-prosemirror'
import { Node } from 'prosemirror-model'
import * as Y from 'yjs'
import { tableNames, type AnyRecord, type Change, type Deck, type Id, type TableName, type TextDoc } from '../deck'
import { textSchema } from '../text'

/** The origin of transactions that the person at this browser made: the ones that undo takes back. */
export const localOrigin = 'local'

const isText = (value: unknown): value is TextDoc => typeof value === 'object' && value !== null && (value as { type?: unknown }).type === 'doc'

export type LiveRecord = Y.Map<unknown>
export const liveTable = (document: Y.Doc, table: TableName) => document.getMap<LiveRecord>(table)

/** ProseMirror drops what equals an attribute's default; so do we, that a text read back is the text written. */
function plainText(json: TextDoc): TextDoc {
  const content = (json.content ?? []).map(paragraph => {
    const { attrs = {}, ...rest } = paragraph
    const kept = Object.fromEntries(Object.entries(attrs).filter(([name, value]) => (name === 'level' ? value !== 0 : value !== null)))
    return Object.keys(kept).length ? { ...rest, attrs: kept } : rest
  })
  return { type: 'doc', content: content.length ? content : [{ type: 'paragraph' }] } as TextDoc
}

/** The JSON of a shared text. */
export function readText(fragment: Y.XmlFragment): TextDoc {
  return plainText(yXmlFragmentToProsemirrorJSON(fragment) as TextDoc)
}

/** Changes a shared text into another one, touching only what differs. */
function writeText(document: Y.Doc, fragment: Y.XmlFragment, text: TextDoc) {
  updateYFragment(document, fragment, Node.fromJSON(textSchema, text), { mapping: new Map(), isOMark: new Map() })
}

function putField(document: Y.Doc, live: LiveRecord, field: string, value: unknown) {
  if (value === undefined) {
    live.delete(field)
    return
  }
  if (!isText(value)) {
    live.set(field, value)
    return
  }
  const old = live.get(field)
  if (old instanceof Y.XmlFragment) writeText(document, old, value)
  else {
    const fragment = new Y.XmlFragment()
    live.set(field, fragment)
    writeText(document, fragment, value)
  }
}

function putRecord(document: Y.Doc, table: TableName, record: AnyRecord) {
  const live = new Y.Map<unknown>()
  liveTable(document, table).set(record.id, live)
  for (const [field, value] of Object.entries(record)) putField(document, live, field, value)
}

/** Applies an edit's changes in one transaction: one step of undo. */
export function applyToDocument(document: Y.Doc, changes: readonly Change[], origin: unknown = localOrigin) {
  document.transact(() => {
    for (const change of changes) {
      if (change.do === 'put') putRecord(document, change.table, change.record)
      else if (change.do === 'drop') liveTable(document, change.table).delete(change.id)
      else {
        const live = liveTable(document, change.table).get(change.id)
        if (live) for (const [field, value] of Object.entries(change.fields)) putField(document, live, field, value)
      }
    }
  }, origin)
}

/** Fills an empty document with a deck. */
export function fillDocument(document: Y.Doc, deck: Deck) {
  document.transact(() => {
    for (const table of tableNames) for (const record of Object.values(deck[table])) putRecord(document, table, record)
  }, 'fill')
}

/** One record as plain JSON. */
export function readRecord(live: LiveRecord): AnyRecord {
  const record: Record<string, unknown> = {}
  live.forEach((value, field) => {
    record[field] = value instanceof Y.XmlFragment ? readText(value) : value
  })
  return record as AnyRecord
}

/** The whole document as plain tables, not yet mended. */
export function readDocument(document: Y.Doc): Deck {
  const tables = tableNames.map(table => {
    const records: Record<Id, AnyRecord> = {}
    liveTable(document, table).forEach((live, id) => {
      records[id] = readRecord(live)
    })
    return [table, records]
  })
  return Object.fromEntries(tables) as Deck
}
