import { bin, thresholdFreedmanDiaconis, thresholdSturges } from 'd3-array'
import { columnNamed, firstAmount, formatNumber, type DataTable } from '../../data'
import { drawOnPlane, endOf, type ChartRows, type OnPlane, type Plane } from '../plane'
import type { BarMark } from '../marks'
import { optionOf } from '../../values'
import type { ChartSpec } from '../../model'
import type { ChartKind } from './kind'

/** What is smaller than this is nothing: steps of an amount cannot be told from rounding. */
const nothing = 1e-9
/** Numbers that differ beyond so many digits differ by rounding: no steps lie between them. */
const digits = 12
const mostSteps = 60

function amountsOf(spec: ChartSpec, table: DataTable) {
  const column = columnNamed(table, spec.height) ?? firstAmount(table) ?? table.columns.find(({ type }) => type === 'number')
  const values = (column?.type === 'number' ? column.values : []).filter(value => typeof value === 'number')
  return { column, values: values.map(value => (Math.abs(value) < nothing ? 0 : Number(value.toPrecision(digits)))) }
}

/** Into about how many steps numbers are parted; where most are alike the rule gives no width, and that of Sturges stands in. */
function stepsFor(values: readonly number[], asked: number): number {
  if (asked) return asked
  const sorted = [...values].sort((a, b) => a - b)
  const count = values.length > 1 ? thresholdFreedmanDiaconis(values, sorted[0]!, sorted.at(-1)!) : 1
  return Number.isFinite(count) && count > 0 ? Math.min(mostSteps, count) : thresholdSturges(values)
}

/** The rows counted by steps of their amount, as a table. */
function counted(spec: ChartSpec, table: DataTable, language: string): DataTable {
  const { column, values } = amountsOf(spec, table)
  const asked = Math.round(optionOf<number>(histogram, spec.options ?? {}, 'steps'))
  const bins = bin()
    .thresholds(stepsFor(values, asked))(values)
    .filter(one => one.x0 !== undefined)
  const format = column?.kind === 'percent' ? { ...spec.format, scale: 'percent' as const } : spec.format
  const edges = bins.flatMap(({ x0, x1 }) => [x0!, x1!])
  const edge = (value: number) => formatNumber(value, format, language, edges)
  return {
    id: table.id,
    name: table.name,
    columns: [
      { name: column?.name ?? 'amount', type: 'text', values: bins.map(({ x0, x1 }) => `${edge(x0!)} – ${edge(x1!)}`) },
      { name: 'rows', type: 'number', values: bins.map(list => list.length) },
    ],
  }
}

/** Steps of one amount touch: there is nothing between them. */
function barsOf({ rows }: ChartRows, { up, across, band, baseline }: Plane, isHighlighted: (key: string) => boolean): OnPlane {
  const step = rows.length > 1 ? across(1) - across(0) : band
  const gap = Math.min(3, step * 0.06)
  const marks = rows.map(({ key, value }, part): BarMark => {
    const end = up(value ?? 0)
    const place = { x: across(part) - (step - band) / 2 + gap / 2, width: step - gap, y: end, height: baseline - end, corner: 0 }
    return { shape: 'bar', key, part, value, highlighted: isHighlighted(key), negative: false, ...place }
  })
  return { marks, ends: marks.map(mark => endOf(mark, false)), taken: marks }
}

/** How many rows lie in each step of an amount: steps of one width, as many as the rows tell (Freedman and Diaconis 1981). */
export const histogram: ChartKind = {
  name: 'histogram',
  label: 'Histogram',
  part: 'step',
  shows: ['spread'],
  takes: ['height'],
  options: [
    { kind: 'number', name: 'steps', label: 'About so many steps (0: by the rows)', min: 0, max: 100, step: 1, unit: '', initial: 0 },
  ],
  suits: ({ rows, categories, data, series }) => {
    if (!data.amount) return { score: 0, why: '', lacks: 'a column of numbers' }
    if (rows < 12) return { score: 0.08, why: `${rows} rows are too few to show how they spread.` }
    return {
      score: series > 1 ? 0.2 : rows >= 30 && categories > 20 ? 0.7 : 0.35,
      why: `Where the ${rows} rows gather, and how far they spread.`,
    }
  },
  draw(spec, table, room) {
    const plain = { decimals: null, scale: 'none' as const, prefix: '', suffix: '' }
    const whole = {
      ...spec,
      across: null,
      height: 'rows',
      series: null,
      beside: [],
      aggregate: 'sum' as const,
      order: 'data' as const,
      format: plain,
    }
    // Its rows are steps of an amount, which nothing runs through.
    const { run: _run, ...still } = room
    return drawOnPlane(whole, counted(spec, table, room.language), still, { of: 'Histogram', parts: 'steps', beyond: 0 }, barsOf)
  },
}
