import { ascending, descending, max, mean, min, rollup, sum } from 'd3-array'
import type { ChartSpec } from '../model'
import { keyWords } from './moments'
import { columnNamed, firstAmount, firstCategory, rowCount, type DataTable } from './table'

/** One group of rows: its key as it is kept, the same as a reader sees it, and the number made of it (null where no row holds one). */
export interface Row {
  key: string
  label: string
  value: number | null
}

const aggregates: Readonly<Record<ChartSpec['aggregate'], (values: number[]) => number | undefined>> = {
  sum: values => (values.length ? sum(values) : undefined),
  mean: values => mean(values),
  least: values => min(values),
  most: values => max(values),
  count: values => values.length,
}

/** Gathers a table's rows by a column and makes one number of each group, in the order asked for; labels are in a language (BCP 47). */
export function summarise(
  table: DataTable,
  input: { by: string | null; value: string | null; aggregate: ChartSpec['aggregate']; order: ChartSpec['order'] },
  language = 'en',
): { rows: Row[]; category: string; amount: string | null } {
  const category = columnNamed(table, input.by) ?? firstCategory(table)
  const amount = columnNamed(table, input.value) ?? firstAmount(table)
  const counting = input.aggregate === 'count' || !amount
  const indices = Array.from({ length: rowCount(table) }, (_, index) => index)
  const groups = rollup(
    indices,
    group => {
      const values = counting ? group.map(() => 1) : group.map(index => amount.values[index]).filter(value => typeof value === 'number')
      return aggregates[counting ? 'count' : input.aggregate](values) ?? null
    },
    index => String(category.values[index] ?? ''),
  )
  const rows = Array.from(groups, ([written, value]): Row => {
    const key = written.replace(/\s+/g, ' ').trim() || 'not given'
    return { key, label: keyWords(category, key, language), value }
  })
  const amountOf = (row: Row) => row.value ?? Number.NEGATIVE_INFINITY
  if (input.order === 'rising') rows.sort((a, b) => ascending(amountOf(a), amountOf(b)))
  if (input.order === 'falling') rows.sort((a, b) => descending(amountOf(a), amountOf(b)))
  if (input.order === 'name') rows.sort((a, b) => a.key.localeCompare(b.key))
  return { rows, category: category.name, amount: counting ? null : amount.name }
}
