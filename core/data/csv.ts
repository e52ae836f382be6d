import Papa from 'papaparse'
import { failed, type Outcome } from '../values'
import type { DecimalSign } from './numbers'
import { tableOfRows } from './rows'
import type { DataTable } from './table'

/** The most bytes a file of data may have. */
export const csvByteLimit = 100 * 1024 * 1024

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

/**
 * Reads separated text (comma, semicolon, tab, bar) with a header line into a table. Decimal signs are found by column;
 * where the delimiter is a semicolon a decimal comma is the likelier. What cannot be read comes back as one sentence.
 */
export function readCsv(bytes: Uint8Array, name: string, id: string): Outcome<DataTable> {
  if (bytes.length > csvByteLimit)
    return failed(
      `“${name}” has ${Math.round(bytes.length / 1048576)} MB; at most 100 MB can be read. Leave out rows or columns that are not needed.`,
    )
  const text = decodeText(bytes).replace(/^\ufeff/, '')
  if (text.includes('\0')) return failed(`“${name}” is not text. Save it as CSV, then drop it again.`)
  const parsed = Papa.parse<string[]>(text, { skipEmptyLines: 'greedy', delimitersToGuess: [',', ';', '\t', '|'] })
  const quotes = parsed.errors.find(error => error.type === 'Quotes')
  if (quotes)
    return failed(
      `“${name}” has a quotation mark that is never closed, near row ${(quotes.row ?? 0) + 1}. Close it, then drop the file again.`,
    )
  const [header, ...rows] = parsed.data
  if (!header || !rows.length)
    return failed(`“${name}” holds no rows under its first line. The first line names the columns; data follow from the second.`)
  const width = rows.reduce((most, row) => Math.max(most, row.length), header.length)
  if (width > 500) return failed(`“${name}” has ${width} columns; at most 500 can be read.`)
  const preferred: DecimalSign = parsed.meta.delimiter === ';' || parsed.meta.delimiter === '\t' ? ',' : '.'
  return { ok: true, value: tableOfRows(header, rows, name.slice(0, 200) || 'Table', id, preferred) }
}
