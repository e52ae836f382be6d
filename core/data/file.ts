import type { Outcome } from '../values'
import { csvByteLimit, decodeText, readCsv, readTable } from './csv'
import { looksLikeJson, rowsOfJson } from './json'
import type { ReadingChoices, TableReading } from './reading'

/** Endings of files that tables and maps come in. */
export const tableEndings = ['csv', 'tsv', 'txt', 'json', 'geojson', 'topojson', 'ndjson', 'jsonl', 'xlsx', 'xlsm', 'xls', 'ods'] as const

const endings = new RegExp(`[^/]\\.(${tableEndings.join('|')})$`, 'i')
/** Whether a file is a table by its name. */
export const isTableFileName = (name: string): boolean => endings.test(name)

/** What a file of a table is called without its ending. */
export const nameWithoutEnding = (name: string): string =>
  name.replace(/\.(?:[A-Za-z0-9]{1,5}|geojson|topojson|ndjson)$/i, '').trim() || name

/** Reads a file of data by what stands in it: separated text, JSON, lines of JSON, GeoJSON. What cannot be read is one sentence. */
export function readDataFile(bytes: Uint8Array, name: string, id: string, choices: ReadingChoices = {}): Outcome<TableReading> {
  if (!/\.(?:geo|topo|nd)?jsonl?$/i.test(name) && !(bytes.length <= csvByteLimit && looksLikeJson(decodeText(bytes.subarray(0, 400)))))
    return readCsv(bytes, name, id, choices)
  if (bytes.length > csvByteLimit) return readCsv(bytes, name, id, choices)
  const written = rowsOfJson(decodeText(bytes).replace(/^\ufeff/, ''), name)
  if (!written.ok) return written
  // Records name their fields: nothing stands above them.
  const read = readTable(written.value.rows, { name, id, decimal: '.', choices: { above: 0, header: 1, ...choices } })
  return read.ok
    ? {
        ok: true,
        value: {
          ...read.value,
          notes: [...written.value.notes, ...read.value.notes.filter(({ about }) => about !== 'header' || choices.header !== undefined)],
        },
      }
    : read
}
