import { formatNumber, summarise, type DataTable, type Row } from '../../data'
import type { ChartSpec } from '../../model'

/** What is smaller than this has no length: scales cannot part it from rounding. */
const nothing = 1e-9

/** The rows that a chart shows, with what its numbers lie between. */
export interface ChartRows {
  rows: readonly Row[]
  values: readonly number[]
  /** The names of the columns; the amount's is null where rows are counted. */
  category: string
  amount: string | null
  /** At least 0, and at most 0. */
  most: number
  least: number
}

/** Gathers the rows of a chart from its table. */
export function rowsOf(spec: ChartSpec, table: DataTable, language: string): ChartRows {
  const made = summarise(table, { by: spec.across, value: spec.height, aggregate: spec.aggregate, order: spec.order }, language)
  const rows = made.rows.map(row => (row.value !== null && Math.abs(row.value) < nothing ? { ...row, value: 0 } : row))
  const values = rows.map(row => row.value).filter(value => value !== null)
  return { rows, values, category: made.category, amount: made.amount, most: Math.max(0, ...values), least: Math.min(0, ...values) }
}

/** A number as this chart writes it. */
export const numberWords =
  (spec: ChartSpec, values: readonly number[], language: string) =>
  (value: number | null): string =>
    formatNumber(value, spec.format, language, values)

/** The chart in a sentence, for those who do not see it. `of` and `parts`: as “Bar chart” and “bars”. */
export function describe(
  { rows, amount, category }: ChartRows,
  of: string,
  parts: string,
  words: (value: number | null) => string,
): string {
  const highest = rows.reduce((best, row) => ((row.value ?? -Infinity) > (best?.value ?? -Infinity) ? row : best), rows[0])
  return highest
    ? `${of} of ${amount ?? 'rows'} by ${category}, ${rows.length} ${parts}. Highest: ${highest.label}, ${words(highest.value)}.`
    : `${of} of ${amount ?? 'rows'} by ${category}, without rows.`
}
