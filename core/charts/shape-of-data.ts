import { gatheredFor, isTime, type DataTable, type Gathered } from '../data'
import type { ChartSpec } from '../model'

/** What the columns that a chart draws hold: what the choice of a kind goes by. */
export interface TableShape {
  data: Gathered
  categories: number
  series: number
  /** Rows of the table. */
  rows: number
  /** Whether the categories run in time, and whether they stand in its order. */
  time: boolean
  inOrder: boolean
  negative: boolean
  /** Whether amounts are such as are added up: no shares, no means, no moments. */
  adds: boolean
  /** Names of columns of numbers beside the one drawn. */
  otherAmounts: readonly string[]
  /** How often two series pass each other from one category to the next. */
  crossings: number
  /** Numbers that are missing. */
  missing: number
}

/** How well a kind suits what a table holds. */
export interface Suit {
  /** 0 (misleads, or can hardly be read) to 1 (as if made for it). */
  score: number
  /** One sentence of why, true of these rows. */
  why: string
  /** Where it would mislead: what, and what to do. */
  warning?: string
  /** What to do, where a press can do it. */
  remedy?: { label: string; change: Partial<ChartSpec> }
  /** The column that it would need and that is not there; it cannot be drawn. */
  lacks?: string
}

function crossingsOf({ values, categories }: Gathered): number {
  // Of very many series, it is enough to know that there are many.
  if (values.length > 40) return values.length
  let count = 0
  for (let at = 1; at < categories.length; at++)
    for (let a = 0; a < values.length; a++)
      for (let b = a + 1; b < values.length; b++) {
        const [before, after] = [(values[a]![at - 1] ?? 0) - (values[b]![at - 1] ?? 0), (values[a]![at] ?? 0) - (values[b]![at] ?? 0)]
        if (before * after < 0) count++
      }
  return count
}

/** What a chart's columns hold. */
export function shapeOfData(spec: ChartSpec, table: DataTable, language = 'en'): TableShape {
  const data = gatheredFor(spec, table, language)
  const all = data.values.flat()
  const { category, amount } = data
  return {
    data,
    categories: data.categories.length,
    series: data.series.length,
    rows: table.columns[0]?.values.length ?? 0,
    time: isTime(category),
    inOrder: spec.order === 'data' || !isTime(category),
    negative: all.some(value => value !== null && value < 0),
    adds: spec.aggregate !== 'mean' && amount?.kind !== 'percent' && amount?.kind !== 'duration',
    otherAmounts: table.columns
      .filter(column => column.type === 'number' && column !== amount && column !== category)
      .map(({ name }) => name),
    crossings: crossingsOf(data),
    missing: all.filter(value => value === null).length,
  }
}

/** The remedy of too many: the largest few, and all others as one. */
export const showLargest = (largest: number) => ({ label: `Show ${largest} and the rest`, change: { largest } })

/** What is to be said where time runs in another order than its own. */
export const outOfOrder = {
  warning: 'Time does not run in order.',
  remedy: { label: 'Put it in its order', change: { order: 'data' as const } },
}
