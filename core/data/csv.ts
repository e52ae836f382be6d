import Papa from 'papaparse'
import { failed, type Outcome } from '../values'
import { readRows, type ReadingChoices, type TableReading } from './reading'

/** The most bytes a file of data may have. */
export const csvByteLimit = 100 * 1024 * 1024
/** The most columns that a table may have. */
export const columnLimit = 500

/** Text of bytes: by their mark, else strict UTF-8, else windows-1252. */
export function decodeText(bytes: Uint8Array): string {
  if (bytes[0] === 0xff && bytes[1] === 0xfe) return new TextDecoder('utf-16le').decode(bytes)
  if (bytes[0] === 0xfe && bytes[1] === 0xff) return new TextDecoder('utf-16be').decode(bytes)
  try {
    return new TextDecoder('utf-8', { fatal: true }).decode(bytes)
  } catch (error) {
    if (!(error instanceof TypeError)) throw error
    return new TextDecoder('windows-1252').decode(bytes)
  }
}

/** What parts the cells of a text: that by which most of its first lines have as many cells as each other, title lines aside. */
function delimiterOf(text: string): string {
  const rated = ['\t', ';', '|', ','].map(delimiter => {
    const rows = Papa.parse<string[]>(text.slice(0, 100_000), { delimiter, preview: 200, skipEmptyLines: 'greedy' }).data
    const widths = new Map<number, number>()
    for (const { length } of rows) if (length > 1) widths.set(length, (widths.get(length) ?? 0) + 1)
    const [usual] = [...widths].sort(([, a], [, b]) => b - a)
    return { delimiter, rate: usual ? usual[1] / rows.length + Math.min(usual[0], 50) / 1000 : 0 }
  })
  return rated.reduce((best, one) => (one.rate > best.rate ? one : best)).delimiter
}

/** The decimal sign that goes with what parts cells: where it is a semicolon, commas are free for decimals. */
const decimals: Readonly<Record<string, '.' | ','>> = { ';': ',', ',': '.' }

/**
 * Reads separated text (comma, semicolon, tab, bar) as people leave it. Where a semicolon parts cells a decimal comma is the likelier.
 * What cannot be read comes back as one sentence.
 */
export function readCsv(bytes: Uint8Array, name: string, id: string, choices: ReadingChoices = {}): Outcome<TableReading> {
  if (bytes.length > csvByteLimit)
    return failed(
      `“${name}” has ${Math.round(bytes.length / 1048576)} MB; at most 100 MB can be read. Leave out rows or columns that are not needed.`,
    )
  const text = decodeText(bytes).replace(/^\ufeff/, '')
  if (text.includes('\0')) return failed(`“${name}” is not text. Save it as CSV, then drop it again.`)
  const parsed = Papa.parse<string[]>(text, { delimiter: delimiterOf(text) })
  const quotes = parsed.errors.find(error => error.type === 'Quotes')
  if (quotes)
    return failed(
      `“${name}” has a quotation mark that is never closed, near row ${(quotes.row ?? 0) + 1}. Close it, then drop the file again.`,
    )
  return readTable(parsed.data, { name, id, decimal: decimals[parsed.meta.delimiter] ?? null, choices })
}

/** Reads rows as a table of data; one sentence where there is none in them. */
export function readTable(
  rows: readonly (readonly string[])[],
  { name, id, decimal, choices = {} }: { name: string; id: string; decimal: '.' | ',' | null; choices?: ReadingChoices },
): Outcome<TableReading> {
  const width = rows.reduce((most, row) => Math.max(most, row.length), 0)
  if (width > columnLimit) return failed(`“${name}” has ${width} columns; at most ${columnLimit} can be read.`)
  if (!rows.some(row => row.some(cell => cell.trim() !== '')))
    return failed(`“${name}” holds nothing. Rows of a table, under a line that names its columns, can be read.`)
  const read = readRows(rows, { name: name.slice(0, 200) || 'Table', id, decimal, choices })
  if (!read.table.columns.length || !read.table.columns[0]!.values.length)
    return failed(`“${name}” holds no rows under its header. The header names the columns; data follow below it.`)
  return { ok: true, value: read }
}
