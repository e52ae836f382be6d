import { updateYFragment, yXmlFragmentToProsemirrorJSON } from 'y-prosemirror'
import { Node } from 'prosemirror-model'
import * as Y from 'yjs'
import { cleanValue, tableNames, type AnyRecord, type Change, type Deck, type TableName, type TextDoc } from '../model'
import type { Id } from '../values'
import { textSchema } from '../text'

/** The origin of transactions that the person at this browser made: the ones that undo takes back. */
export const localOrigin = 'local'

const isText = (value: unknown): value is TextDoc =>
  typeof value === 'object' && value !== null && (value as { type?: unknown }).type === 'doc'

/**
 * Fields that are kept together under one key, because they hardly change or change together: a large deck then takes
 * half as long to load. Of two people who change fields of one group at once, the last wins.
 */
const together: Partial<Record<TableName, Readonly<Record<string, readonly string[]>>>> = {
  elements: { is: ['id', 'owner', 'kind'] },
  beats: { is: ['id', 'slide'] },
  cues: { is: ['id', 'element'], how: ['what', 'effect', 'options', 'parts'], pace: ['anchor', 'easing', 'repeat'] },
}
const groupKeys = new Map(
  Object.entries(together).map(([table, groups]) => [
    table,
    new Map(Object.entries(groups).flatMap(([key, fields]) => fields.map(field => [field, key] as const))),
  ]),
)
const isGroup = (table: TableName, key: string) => together[table]?.[key] !== undefined

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

/** Gives fields of a record their values; undefined takes a field away. */
function putFields(document: Y.Doc, table: TableName, live: LiveRecord, fields: Readonly<Record<string, unknown>>) {
  const keys = groupKeys.get(table)
  const groups = new Map<string, Record<string, unknown>>()
  for (const [field, value] of Object.entries(fields)) {
    const key = keys?.get(field)
    if (!key) {
      putField(document, live, field, value)
      continue
    }
    let group = groups.get(key)
    if (!group) groups.set(key, (group = { ...(live.get(key) as Record<string, unknown> | undefined) }))
    if (value === undefined) delete group[field]
    else group[field] = value
  }
  for (const [key, group] of groups) live.set(key, group)
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
  putFields(document, table, live, record)
}

/** Applies an edit's changes in one transaction: one step of undo. */
export function applyToDocument(document: Y.Doc, changes: readonly Change[], origin: unknown = localOrigin) {
  document.transact(() => {
    for (const change of changes) {
      if (change.do === 'put') putRecord(document, change.table, change.record)
      else if (change.do === 'drop') liveTable(document, change.table).delete(change.id)
      else {
        const live = liveTable(document, change.table).get(change.id)
        if (live) putFields(document, change.table, live, change.fields)
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
export function readRecord(table: TableName, live: LiveRecord): AnyRecord {
  const record: Record<string, unknown> = {}
  live.forEach((value, field) => {
    if (isGroup(table, field)) Object.assign(record, value)
    else if (field !== '__proto__') record[field] = value instanceof Y.XmlFragment ? readText(value) : value
  })
  return cleanValue(record) as AnyRecord
}

/** The whole document as plain tables, not yet mended. */
export function readDocument(document: Y.Doc): Deck {
  const tables = tableNames.map(table => {
    const records: Record<Id, AnyRecord> = {}
    liveTable(document, table).forEach((live: unknown, id) => {
      if (live instanceof Y.Map && id !== '__proto__') records[id] = readRecord(table, live)
    })
    return [table, records]
  })
  return Object.fromEntries(tables) as Deck
}
