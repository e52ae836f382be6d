import type { Row } from '../../data'
import type { Setting } from '../setting'

/**
 * How amounts stand: each from the base; those of one category on each other, or as shares of their sum; or each where that of the category
 * before it ended.
 */
export type Standing = 'beside' | 'stacked' | 'share' | 'steps'

/** The rows that a chart shows, with what its numbers lie between. */
export interface ChartRows {
  /** The categories; of several series, each with what they come to together. */
  rows: readonly Row[]
  values: readonly number[]
  /** At least 0, and at most 0, of what is drawn. */
  most: number
  least: number
}

const isNumber = (value: number | null): value is number => value !== null

/** What the rows of a chart come to; `more` are names of rows of its own after them, each with their sum. */
export function rowsOf({ data }: Setting, standing: Standing, more: readonly string[] = []): ChartRows {
  const columns = data.categories.map((_, at) => data.values.map(list => list[at]!))
  const rows = data.categories.map((entry, at): Row => {
    const own = columns[at]!.filter(isNumber)
    return { ...entry, value: own.length ? own.reduce((sum, value) => sum + value, 0) : null }
  })
  const whole = rows.reduce((sum, { value }) => sum + (value ?? 0), 0)
  if (rows.length) for (const label of more) rows.push({ key: `sum ${label}`, label, value: whole })
  const values = data.values.flat().filter(isNumber)
  const side = (list: readonly (number | null)[], way: 1 | -1) =>
    list.reduce<number>((sum, value) => (value !== null && value * way > 0 ? sum + value : sum), 0)
  if (standing === 'share') return { rows, values, most: 1, least: 0 }
  let level = 0
  const ends =
    standing === 'steps'
      ? rows.map(({ value }, at) => (level = at < data.categories.length ? level + (value ?? 0) : level))
      : standing === 'stacked'
        ? columns.flatMap(list => [side(list, 1), side(list, -1)])
        : values
  let [most, least] = [0, 0]
  for (const end of ends) {
    if (end > most) most = end
    if (end < least) least = end
  }
  return { rows, values, most, least }
}
