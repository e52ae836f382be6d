import { decimalsFor, featuresOf, looksLikeMap, simplified, writeWkt } from '../maps'
import { failed, numberWords, parseJson, type Outcome } from '../values'
import type { ReadingNote } from './reading'

type Json = string | number | boolean | null | Json[] | { [key: string]: Json }
type JsonRecord = { [key: string]: Json }

const isRecord = (value: unknown): value is JsonRecord => typeof value === 'object' && value !== null && !Array.isArray(value)
/** How deep what stands within a record becomes columns of its own: “address.town”. */
const deepest = 3

/** A value as a cell has it. */
function cellOf(value: Json | undefined): string {
  if (value === null || value === undefined) return ''
  return typeof value === 'object' ? JSON.stringify(value) : String(value)
}

/** The fields of a record with their names from outside in. */
function flatten(record: JsonRecord, into: Map<string, string>, before = '', depth = 1) {
  for (const [key, value] of Object.entries(record)) {
    const name = before ? `${before}.${key}` : key
    if (isRecord(value) && depth < deepest) flatten(value, into, name, depth + 1)
    else into.set(name, cellOf(value))
  }
}

/** The list in a file: the file itself, or the only list that a record holds. */
function listIn(value: unknown): Json[] | undefined {
  if (Array.isArray(value)) return value as Json[]
  if (!isRecord(value)) return undefined
  const lists = Object.values(value).filter(inner => Array.isArray(inner))
  return lists.length === 1 ? (lists[0] as Json[]) : [value]
}

/** Lines that are a record each (NDJSON); undefined where one of them is none. */
function linesIn(text: string): Json[] | { wrong: number } {
  const found: Json[] = []
  for (const [index, line] of text.split(/\r?\n/).entries()) {
    if (!line.trim()) continue
    const value = parseJson(line)
    if (value === undefined) return { wrong: index + 1 }
    found.push(value as Json)
  }
  return found
}

/** Whether a text is JSON, by how it begins. */
export const looksLikeJson = (text: string) => /^\s*(?:\[\s*[[{"\d\-tfn\]]|\{\s*["}])/.test(text)

/** Rows of a file, a header first, with what was done to them. */
export interface WrittenFile {
  rows: string[][]
  notes: ReadingNote[]
}

const plural = (count: number, one: string, many: string) => (count === 1 ? `One ${one}` : `${numberWords(count)} ${many}`)

/** The places of a map as rows: what is known of each, and its outline as well-known text. */
function rowsOfMap(value: unknown, name: string): Outcome<WrittenFile> {
  const found = featuresOf(value)
  if (!found.ok) return failed(`“${name}”: ${found.reason}`)
  const { features, were } = simplified(found.features)
  const decimals = decimalsFor(features.flatMap(({ outline }) => outline ?? []))
  const written = features.map(({ id, properties, outline }) => {
    const cells = new Map<string, string>()
    if (id !== undefined) cells.set('id', String(id))
    flatten(properties as JsonRecord, cells)
    return { cells, outline: outline ? writeWkt(outline, decimals) : '' }
  })
  const header = [...new Set(written.flatMap(({ cells }) => [...cells.keys()]))]
  const bare = features.filter(({ outline }) => !outline).length
  const notes: ReadingNote[] = [
    ...(were === null
      ? []
      : [
          { about: 'outlines' as const, words: `${numberWords(were)} points of outlines were *made fewer*: more are not seen on a slide.` },
        ]),
    ...(bare
      ? [
          {
            about: 'outlines' as const,
            words: `${plural(bare, 'row has', 'rows have')} *no outline that can be read* and no place on a map.`,
          },
        ]
      : []),
  ]
  const rows = written.map(({ cells }) => header.map(key => cells.get(key) ?? ''))
  if (bare === features.length) return { ok: true, value: { rows: [header, ...rows], notes } }
  // A map may have a property of this name.
  const column = ['outline', 'outline of map', 'geometry'].find(one => !header.includes(one)) ?? 'outline on the map'
  return { ok: true, value: { rows: [[...header, column], ...rows.map((row, at) => [...row, written[at]!.outline])], notes } }
}

/**
 * The rows in JSON: a list of records or of lists, lines with a record each (NDJSON), the features of GeoJSON and TopoJSON with their
 * outlines. What stands within a record has its way as a name.
 */
export function rowsOfJson(text: string, name: string): Outcome<WrittenFile> {
  const whole = parseJson(text)
  if (looksLikeMap(whole)) return rowsOfMap(whole, name)
  const lines = whole === undefined ? linesIn(text) : undefined
  if (lines && 'wrong' in lines)
    return failed(`“${name}” is no JSON that can be read: line ${lines.wrong} ends too early or holds what does not belong there.`)
  const list = lines ?? listIn(whole)
  if (!list) return failed(`“${name}” holds no list of records. A list of records, or a line for each, can be read.`)
  if (list.every(item => Array.isArray(item)))
    return { ok: true, value: { rows: (list as Json[][]).map(row => row.map(cellOf)), notes: [] } }
  const rows = list.map(item => {
    const cells = new Map<string, string>()
    if (isRecord(item)) flatten(item, cells)
    else cells.set('value', cellOf(item))
    return cells
  })
  const header = [...new Set(rows.flatMap(row => [...row.keys()]))]
  return { ok: true, value: { rows: [header, ...rows.map(row => header.map(key => row.get(key) ?? ''))], notes: [] } }
}
