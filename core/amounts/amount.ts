import {
  columnNamed,
  firstCategory,
  formatNumber,
  formatOfColumn,
  isTime,
  keyOf,
  keyWords,
  momentPlace,
  type Column,
  type DataTable,
} from '../data'
import type { Amount } from '../model'
import { findingNamed, type Found } from './findings'

/** What an amount is now. */
export interface AmountNow {
  words: string
  /** Null where it is no number. */
  value: number | null
}

/** The rows of a table that count, by their numbers; `row` is the one of a slide that is there for it. */
function rowsOf({ where, find }: Amount, table: DataTable, row: number | null): number[] {
  if (find === 'row' && row !== null) return [row]
  const column = where && columnNamed(table, where.column)
  const rows = [...(table.columns[0]?.values.keys() ?? [])]
  return where ? rows.filter(at => column && keyOf(column.values[at]) === where.key) : rows
}

/** The column that tells the order of time; undefined where there is none. */
const timeOf = (table: DataTable, of: Column | undefined) => table.columns.find(column => column !== of && isTime(column))

/** Numbers of rows, those of one moment as one, in the order of time. */
function through(rows: readonly number[], column: Column, time: Column | undefined): number[] {
  const sums = new Map<string | number, { sum: number; place: number }>()
  rows.forEach((row, index) => {
    const value = column.values[row]
    const moment = time?.values[row]
    if (typeof value !== 'number' || moment === null) return
    const key = moment ?? index
    const place = time ? (typeof key === 'number' ? key : (momentPlace(key, time.grain ?? 'day') ?? index)) : index
    const before = sums.get(key)
    sums.set(key, { sum: (before?.sum ?? 0) + value, place: before?.place ?? place })
  })
  return [...sums.values()].sort((a, b) => a.place - b.place).map(({ sum }) => sum)
}

function foundIn(amount: Amount, table: DataTable, rows: readonly number[], language: string): Found {
  const column = columnNamed(table, amount.column)
  const numbered = column ? rows.filter(row => typeof column.values[row] === 'number') : []
  const names = firstCategory(table)
  return {
    values: numbered.map(row => column!.values[row] as number),
    through: column ? through(rows, column, timeOf(table, column)) : [],
    rows: rows.length,
    names: numbered.map(row => keyWords(names, names.values[row] ?? null, language)),
  }
}

/** A number with its sign as it is asked for; a true minus. */
function signed(words: string, value: number, sign: Amount['sign']): string {
  if (sign === 'never') return words.replace(/^[-−]/, '')
  return sign === 'always' && value > 0 ? `+${words}` : words
}

/**
 * What an amount comes to in the rows of its table, and how it is written in a language (BCP 47); null where its column is gone, or holds
 * nothing that it could say. `row` is that of a slide that is there for it.
 */
export function amountIn(amount: Amount, table: DataTable, language: string, row: number | null = null): AmountNow | null {
  const column = columnNamed(table, amount.column)
  const finding = findingNamed(amount.find)
  if (!column && amount.find !== 'count') return null
  const rows = rowsOf(amount, table, row)
  const [only] = rows
  // A row has words as well as numbers.
  if (amount.find === 'row' && column && column.type !== 'number') {
    const value = only === undefined ? null : (column.values[only] ?? null)
    return value === null ? null : { words: keyWords(column, value, language), value: null }
  }
  const value = finding.find(foundIn(amount, table, rows, language))
  if (value === null) return null
  if (typeof value === 'string') return { words: value, value: null }
  return { words: wordsOf(amount, value, finding.isShare || amount.find === 'count' ? undefined : column, language), value }
}

/** A number in the words of an amount; `column` is what it is a number of, unless it is a share or a count. */
function wordsOf(amount: Amount, value: number, column: Column | undefined, language: string): string {
  if (amount.words) return value > 0 ? amount.words.more : value < 0 ? amount.words.less : amount.words.same
  if (column?.kind === 'duration') return signed(keyWords(column, value, language), value, amount.sign)
  const isShare = findingNamed(amount.find).isShare && amount.format.scale !== 'percent'
  const format = formatOfColumn(isShare ? { ...amount.format, scale: 'percent' } : amount.format, column, [value])
  const unit = column?.kind === 'number' && column.unit && !format.suffix && !format.prefix ? { ...format, suffix: column.unit } : format
  return signed(formatNumber(value, unit, language, [value]), value, amount.sign)
}
