import { columnNamed, gatheredFor, keyOf, rowCount, type DataTable, type Entry, type Gathered } from '../data'
import type { ChartSpec } from '../model'
import { memoByRecords } from '../values'
import { chosenColumns } from './columns'
import type { ChartDrawing } from './drawing'
import { shapeOf, type BarMark, type ChartMark } from './marks'
import { shownRows } from './motion/shown-rows'

/** What a mark stands for: a category, a series, or one in the other. */
export interface MarkSubject {
  category: Entry | null
  series: Entry | null
}

/** A number in a table: its row, the name of its column, and what it is. */
export interface TableCell {
  row: number
  column: string
  value: number | null
}

/** What the rows of a chart are gathered to, as it shows them. */
function shownIn(spec: ChartSpec, table: DataTable, language: string): Gathered {
  const shown = shownRows(spec, table, language)
  return gatheredFor(shown.spec, shown.table, language)
}

/** What marks stand for, by their keys: categories, series, and each of the one in the other. */
const subjectsIn = memoByRecords(
  (spec: ChartSpec, table: DataTable, language: string) => [spec, table, language],
  (spec, table, language): ReadonlyMap<string, MarkSubject> => {
    const { categories, series } = shownIn(spec, table, language)
    const made = new Map<string, MarkSubject>(categories.map(category => [category.key, { category, series: null }]))
    if (series.length < 2) return made
    for (const one of series) {
      for (const category of categories) {
        made.set(`${category.key} ${one.key}`, { category, series: one })
        made.set(`${one.key} ${category.key}`, { category, series: one })
      }
    }
    for (const one of series) made.set(one.key, { category: null, series: one })
    return made
  },
)

/** What a mark stands for, by its key; null where it is none of the table’s, such as the line nearest to all. */
export const subjectOf = (spec: ChartSpec, table: DataTable, { key }: Pick<ChartMark, 'key'>, language = 'en'): MarkSubject | null =>
  subjectsIn(spec, table, language).get(key) ?? null

/**
 * The cell that the amount of a mark stands in; or, in words, why there is none: it is made of several rows, or of none.
 */
export function cellOf(spec: ChartSpec, table: DataTable, { category, series }: MarkSubject, language = 'en'): TableCell | string {
  const { across, height, series: parting, beside } = chosenColumns(spec, table)
  const several = parting !== null || beside.length > 0
  if (!category || (several && !series)) return 'This is several amounts together. Change them in the grid.'
  if (!height) return 'This counts rows. Change them in the grid.'
  const column = parting || !series ? height : (columnNamed(table, series.key) ?? height)
  const { run } = shownRows(spec, table, language)
  const through = run && columnNamed(table, spec.moment?.column ?? null)
  const moment = run?.moments[Math.round(run.time)]?.key
  const rows = [...Array(rowCount(table)).keys()].filter(
    row =>
      keyOf(across.values[row]) === category.key &&
      (!parting || !series || keyOf(parting.values[row]) === series.key) &&
      (!through || keyOf(through.values[row]) === moment),
  )
  if (rows.length !== 1)
    return rows.length
      ? `This is made of ${rows.length} rows. Change them in the grid.`
      : 'No row of the table says this. Add it in the grid.'
  const value = column.values[rows[0]!]
  return { row: rows[0]!, column: column.name, value: typeof value === 'number' ? value : null }
}

/** The rows that name a category, and the column that they do it in. */
export function naming(spec: ChartSpec, table: DataTable, { category, series }: MarkSubject): { rows: number[]; column: string } | null {
  const { across, series: parting } = chosenColumns(spec, table)
  const [column, key] = category ? [across, category.key] : [parting, series?.key]
  if (!column || column.type !== 'text') return null
  const rows = [...column.values.keys()].filter(row => keyOf(column.values[row]) === key)
  return rows.length ? { rows, column: column.name } : null
}

/** Along which way the amounts of a drawing run, and how many px one is; null where that cannot be told. */
export interface AmountWay {
  along: 'x' | 'y'
  /** px to the right, or downwards, for 1. */
  scale: number
}

/** How much bars may be shorter than their amounts, px: by what lies between those that stand on each other. */
const lengthSlack = 4.5

const isBar = (mark: ChartMark): mark is BarMark => mark.shape === 'bar'

/** How amounts run in a drawing, told by the lengths of its bars, else by where its dots stand. */
export function amountWay({ marks }: ChartDrawing): AmountWay | null {
  const bars = marks.filter(isBar).filter(({ value, width, height, lying }) => value && (lying ? width : height) > 0)
  const longest = bars.reduce<BarMark | null>((most, bar) => (Math.abs(bar.value!) > Math.abs(most?.value ?? 0) ? bar : most), null)
  if (longest) {
    const along = longest.lying ? 'x' : 'y'
    const scale = (longest.lying ? longest.width : longest.height) / Math.abs(longest.value!)
    // Bars that show shares, or ranks, are not as long as their amounts.
    const longAs = ({ value, lying, width, height }: BarMark) => Math.abs((lying ? width : height) - Math.abs(value!) * scale)
    const fits = bars.every(bar => longAs(bar) < lengthSlack)
    return fits ? { along, scale: along === 'x' ? scale : -scale } : null
  }
  const dots = marks.filter(mark => mark.shape === 'point' && mark.value !== null)
  if (dots.length < 2) return null
  const sorted = [...dots].sort((a, b) => a.value! - b.value!)
  const [low, high] = [sorted[0]!, sorted.at(-1)!]
  const apart = high.value! - low.value!
  if (!apart) return null
  const [from, to] = [shapeOf(low).anchor(low), shapeOf(high).anchor(high)]
  // Where amounts run, they are in proportion to places; elsewhere dots only happen to stand apart.
  const fits = (along: 'x' | 'y') => {
    const scale = (to[along] - from[along]) / apart
    return scale && dots.every(dot => Math.abs(shapeOf(dot).anchor(dot)[along] - from[along] - scale * (dot.value! - low.value!)) < 1)
      ? scale
      : 0
  }
  const [up, across] = [fits('y'), fits('x')]
  return up ? { along: 'y', scale: up } : across ? { along: 'x', scale: across } : null
}

/** The step that an amount is dragged by: round, not finer than a px, nor than the column’s own decimals where those are coarser. */
export function dragStep({ scale }: AmountWay, values: readonly (number | null)[]): number {
  const px = 1 / Math.abs(scale)
  const power = 10 ** Math.floor(Math.log10(px))
  const round = [1, 2, 5, 10].map(step => step * power).find(step => step >= px * 0.999)!
  const isWhole = values.every(value => value === null || Number.isInteger(value))
  return isWhole ? Math.max(1, round) : round
}

/** An amount at a step, without the rounding of machines. */
export const atStep = (value: number, step: number) => Number((Math.round(value / step) * step).toPrecision(12))
