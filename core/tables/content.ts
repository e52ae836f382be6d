import { memoByRecords } from '../values'
import { columnNamed, formatNumber, formatOfColumn, keyWords, settledFormat, tableOfRows, type Column, type DataTable } from '../data'
import type { NumberFormat, TableElement } from '../model'

const tableOfCells = memoByRecords(
  (cells: readonly (readonly string[])[]) => [cells],
  ([head, ...rows]): DataTable => tableOfRows(head ?? [], rows, 'written', 'written'),
)

/**
 * What a table shows: its columns in the order shown; null while its data are not here. Written cells are told into types as a file of data
 * is.
 */
export function tableContent(
  element: Pick<TableElement, 'table' | 'cells' | 'columns'>,
  tableOf: (id: string) => DataTable | undefined,
): readonly Column[] | null {
  if (element.table) {
    const table = tableOf(element.table)
    if (!table) return null
    const chosen = element.columns.map(name => columnNamed(table, name)).filter(column => column !== undefined)
    return chosen.length ? chosen : table.columns
  }
  return element.cells?.length ? tableOfCells(element.cells).columns : []
}

/** Decimals that a column's numbers have, at most four. */
function decimalsOf(values: readonly (string | number | null)[]): number {
  let most = 0
  for (const value of values)
    if (typeof value === 'number')
      most = Math.max(most, Math.min(4, (String(Math.round(value * 10_000) / 10_000).split('.')[1] ?? '').length))
  return most
}

/** How numbers stand in a table where nobody chose: with every decimal that one of them has, shares in hundredths, each with its unit. */
function usualFormat({ kind, unit, name }: Column, among: readonly number[]): NumberFormat {
  const plain = { scale: 'none' as const, prefix: '', suffix: '' }
  if (kind === 'percent') return { ...plain, decimals: decimalsOf(among.map(value => value * 100)), scale: 'percent' }
  if (kind === 'money') return { ...plain, decimals: among.every(Number.isInteger) ? 0 : 2 }
  const isNamed = !unit || name.toLocaleLowerCase().includes(unit.toLocaleLowerCase())
  return { ...plain, decimals: decimalsOf(among), suffix: isNamed ? '' : unit }
}

/** The words of a column's cells: numbers in one format, moments at their grain as the language writes them, words as they are. */
export function cellWords(column: Column, format: NumberFormat | undefined, language: string): string[] {
  if (column.type === 'number' && column.kind !== 'duration') {
    const numbers = column.values as (number | null)[]
    const among = numbers.filter(value => value !== null)
    const settled = settledFormat(formatOfColumn(format ?? usualFormat(column, among), column, among), among)
    return numbers.map(value => (value === null ? '' : formatNumber(value, settled, language)))
  }
  if (column.type === 'date' || column.kind === 'duration') return column.values.map(value => keyWords(column, value, language))
  return column.values.map(value => String(value ?? ''))
}

/** What stands in a column's total: the sum of its numbers; null of words and days. */
export const totalOf = (column: Column) =>
  column.type === 'number' ? (column.values as (number | null)[]).reduce<number>((sum, value) => sum + (value ?? 0), 0) : null

/** A number's words told at its decimal sign: what stands before it, and what begins with it. */
export function atDecimal(words: string, language: string): [string, string] {
  const sign = new Intl.NumberFormat(language).formatToParts(1.5).find(part => part.type === 'decimal')?.value ?? '.'
  const at = words.lastIndexOf(sign)
  if (at > 0 && /\d/.test(words[at + 1] ?? '')) return [words.slice(0, at), words.slice(at)]
  const end = /\d(?!.*\d)/.exec(words)
  return end ? [words.slice(0, end.index + 1), words.slice(end.index + 1)] : [words, '']
}
