import { utils, write, type CellObject, type WorkSheet } from '@e965/xlsx'
import { keyWords, momentPlace, type Column, type DataTable } from '../../data'

/** Days from 30 December 1899, from which workbooks count, to 1 January 1970. */
const epoch = 25_569

/** Letters that a cell of a workbook holds (Office Open XML as spreadsheets have it). */
const longestCell = 32_767

/** How a number of a column is shown: shares in hundredths, money with its sign. */
function formatOf({ kind, unit }: Column): string | undefined {
  if (kind === 'percent') return '0.0%'
  return kind === 'money' && unit ? `#,##0.00 [$${unit.replace(/[[\]"]/g, '')}]` : undefined
}

/** A value as a workbook keeps it: days as numbers with the format of a day, what has no number as words. */
function cellOf(column: Column, value: string | number | null): CellObject | null {
  if (value === null) return null
  if (typeof value === 'number') {
    if (column.kind === 'duration') return { t: 'n', v: value / 86_400, z: '[h]:mm' }
    const z = formatOf(column)
    return { t: 'n', v: value, ...(z ? { z } : {}) }
  }
  if (value.length > longestCell)
    return { t: 's', v: `${keyWords(column, value, 'en').slice(0, 200)}: too long for a workbook, a CSV has it whole` }
  const place = column.type === 'date' && column.grain === 'day' ? momentPlace(value, 'day') : null
  return place === null ? { t: 's', v: value } : { t: 'n', v: place + epoch, z: 'yyyy-mm-dd' }
}

/** What a sheet may be called: at most 31 letters, none of those that name a place in a workbook. */
const sheetName = (name: string) =>
  name
    .replace(/[\\/?*[\]:]/g, ' ')
    .trim()
    .slice(0, 31) || 'Table'

/** A table as a workbook (Office Open XML) of one sheet. */
export function writeWorkbook(table: DataTable): Uint8Array {
  const { columns, name } = table
  const count = columns[0]?.values.length ?? 0
  const header = columns.map((column): CellObject => ({ t: 's', v: column.name }))
  const rows = Array.from({ length: count }, (_, row) => columns.map(column => cellOf(column, column.values[row] ?? null)))
  const sheet: WorkSheet = utils.aoa_to_sheet([header, ...rows], { dense: true })
  const book = utils.book_new()
  utils.book_append_sheet(book, sheet, sheetName(name.replace(/\.\w+$/, '')))
  return new Uint8Array(write(book, { type: 'array', bookType: 'xlsx', compression: true }) as ArrayBuffer)
}
