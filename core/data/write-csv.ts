import Papa from 'papaparse'
import type { DataTable } from './table'

/** What begins so a spreadsheet would take for a formula. */
const formula = /^[=+\-@\t\r]/
/** A number, a telephone number, a dash: no formula can come of these. */
const isHarmless = /^[-+]?[\d\s().,/-]*$/

/**
 * A table as comma-separated text (RFC 4180) in UTF-8 with its mark: numbers as they are kept, with a point; moments in the form of ISO
 * 8601; missing values empty. Words that a spreadsheet would take for a formula have an apostrophe before them.
 */
export function writeCsv({ columns }: DataTable): string {
  const count = columns[0]?.values.length ?? 0
  const cell = (value: string | number | null | undefined) => {
    const text = String(value ?? '')
    return typeof value === 'string' && formula.test(text) && !isHarmless.test(text) ? `'${text}` : text
  }
  const rows = Array.from({ length: count }, (_, row) => columns.map(({ values }) => cell(values[row])))
  return `\ufeff${Papa.unparse([columns.map(({ name }) => cell(name)), ...rows], { newline: '\r\n' })}`
}
