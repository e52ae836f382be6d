import { failed, parseJson, type Outcome } from '../values'

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

/** The list in a file: the file itself, the features of GeoJSON (RFC 7946) by their properties, or the only list that a record holds. */
function listIn(value: unknown): Json[] | undefined {
  if (Array.isArray(value)) return value as Json[]
  if (!isRecord(value)) return undefined
  if (value.type === 'FeatureCollection' && Array.isArray(value.features))
    return value.features.map(feature => {
      if (!isRecord(feature)) return {}
      const properties = isRecord(feature.properties) ? feature.properties : {}
      return typeof feature.id === 'string' || typeof feature.id === 'number' ? { id: feature.id, ...properties } : properties
    })
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

/**
 * The rows in JSON, a header first: a list of records or of lists, lines with a record each (NDJSON), the features of GeoJSON. What stands
 * within a record has its way as a name.
 */
export function rowsOfJson(text: string, name: string): Outcome<string[][]> {
  const whole = parseJson(text)
  const lines = whole === undefined ? linesIn(text) : undefined
  if (lines && 'wrong' in lines)
    return failed(`“${name}” is no JSON that can be read: line ${lines.wrong} ends too early or holds what does not belong there.`)
  const list = lines ?? listIn(whole)
  if (!list) return failed(`“${name}” holds no list of records. A list of records, or a line for each, can be read.`)
  if (list.every(item => Array.isArray(item))) return { ok: true, value: (list as Json[][]).map(row => row.map(cellOf)) }
  const rows = list.map(item => {
    const cells = new Map<string, string>()
    if (isRecord(item)) flatten(item, cells)
    else cells.set('value', cellOf(item))
    return cells
  })
  const header = [...new Set(rows.flatMap(row => [...row.keys()]))]
  return { ok: true, value: [header, ...rows.map(row => header.map(key => row.get(key) ?? ''))] }
}
