import type { DecimalSign } from './numbers'
import { namesOf } from './reading/names'
import { readColumn } from './reading/column'
import type { Column, DataTable } from './table'

/**
 * A table of rows that somebody has written in a grid, to be shown as they are: the header names the columns, each row is data, and a
 * column is of numbers or days only where each of its cells is.
 */
export function tableOfRows(
  header: readonly string[],
  rows: readonly (readonly string[])[],
  name: string,
  id: string,
  decimal: DecimalSign = '.',
): DataTable {
  const width = rows.reduce((most, row) => Math.max(most, row.length), header.length)
  const written = Array.from({ length: width }, (_, at) => header[at] ?? '')
  const { names } = namesOf(written)
  const columns = names.map((column, index): Column => {
    const at = (row: number) => rows[row]![index] ?? ''
    const { column: made, reading } = readColumn(
      { name: column, written: written[index]!, index, count: rows.length, at, zero: false },
      { decimal, order: null },
    )
    const isWhole = reading.unread.count === 0 && reading.missing.every(([mark]) => mark === '')
    return isWhole ? made : { name: column, type: 'text', kind: 'text', values: rows.map((_, row) => at(row) || null) }
  })
  return { id, name, columns }
}
