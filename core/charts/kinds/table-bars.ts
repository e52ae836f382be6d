import { extent } from 'd3-array'
import { columnNamed, formatNumber, formatOfColumn, settledFormat } from '../../data'
import { shorten } from '../category-labels'
import type { ChartLabel, ChartRule } from '../drawing'
import { finished } from '../finish'
import type { BarMark, CellMark } from '../marks'
import { rowsOf } from '../plane'
import { lyingPlane, type LyingPlane } from '../plane/lying'
import { labelAt, saidBy, settingOf, type Setting } from '../setting'
import { showLargest } from '../shape-of-data'
import type { ChartKind } from './kind'

/** How much of its column a bar takes at most, and the thickest that it gets, px at the usual size. */
const ofColumn = 0.55
const thickest = 22

/** A column of numbers: where it stands, how it writes, and what its bars lie between. */
interface TableColumn {
  key: string
  label: string
  left: number
  right: number
  /** Where its numbers end and its bars begin. */
  numbers: number
  words(value: number | null): string
  along(value: number): number
  /** Whether its bars lie beneath its numbers, where there is no room beside them. */
  beneath: boolean
}

/** How each column writes its amounts, and what they lie between: amounts of several columns have nothing to do with each other. */
function scalesOf({ data, spec, table, room, words }: Setting) {
  const areColumns = data.seriesName === null && data.series.length > 1
  const known = (list: readonly (number | null)[]) => list.filter(value => value !== null)
  const ends = (list: readonly number[]) => extent([0, ...list]) as [number, number]
  const common = ends(known(data.values.flat()))
  return data.series.map(({ key, label }, index) => {
    if (!areColumns) return { words: (value: number | null) => (value === null ? '–' : words(value)), ends: common }
    const amounts = known(data.values[index]!)
    const column = columnNamed(table, key) ?? columnNamed(table, label) ?? null
    const format = settledFormat(formatOfColumn(spec.format, column, amounts), amounts)
    return { words: (value: number | null) => (value === null ? '–' : formatNumber(value, format, room.language)), ends: ends(amounts) }
  })
}

function columnsOf(setting: Setting, plane: LyingPlane): TableColumn[] {
  const { data, size, width } = setting
  const scales = scalesOf(setting)
  const gap = size('value') * 1.2
  const step = (setting.room.width - plane.left) / data.series.length
  return data.series.map(({ key, label }, index) => {
    const { words, ends } = scales[index]!
    const left = plane.left + index * step + gap
    const right = plane.left + (index + 1) * step
    const widest = data.values[index]!.reduce<number>((wide, value) => Math.max(wide, width(words(value), 'value')), 0)
    const numbers = Math.min(left + widest, right)
    const beside = Math.max(numbers + size('value') * 0.5, right - (right - left) * ofColumn)
    const beneath = right - beside < size('value') * 1.2
    const from = beneath ? left : beside
    const [low, high] = ends
    const scale = high > low ? (right - from) / (high - low) : 0
    return { key, label, left, right, numbers, words, along: value => from + (value - low) * scale, beneath }
  })
}

/** One cell: its bar, and its number. */
function cellOf(setting: Setting, plane: LyingPlane, column: TableColumn, at: { part: number; index: number }) {
  const { data, isHighlighted, anyHighlighted, ratio, spec } = setting
  const row = data.categories[at.part]!
  const value = data.values[at.index]![at.part] ?? null
  const highlighted = isHighlighted(row.key) || (data.series.length > 1 && isHighlighted(column.key))
  const thick = Math.min(plane.band * (column.beneath ? 0.2 : 0.7), (column.beneath ? thickest / 3 : thickest) * ratio)
  const middle = plane.down(at.part) + plane.band / 2
  const [base, end] = [column.along(0), column.along(value ?? 0)]
  const negative = (value ?? 0) < 0
  const bar: BarMark = {
    shape: 'bar',
    key: `${row.key} ${column.key}`,
    part: at.part,
    value,
    highlighted,
    lying: true,
    negative,
    corner: 2,
    x: Math.min(base, end),
    width: Math.abs(end - base),
    y: column.beneath ? middle + setting.size('value') * 0.62 : middle - thick / 2,
    height: thick,
    tone: { name: highlighted ? 'highlighted' : negative ? 'loss' : anyHighlighted ? 'quiet' : 'plain' },
  }
  const isSaid = spec.labels === 'all' || (spec.labels === 'highlighted' && highlighted)
  const words = shorten(column.words(value), column.right - column.left, text => setting.width(text, 'value'))
  const look = { kind: 'value' as const, part: at.part, key: `value ${bar.key}`, ...(value === null ? {} : { amount: value }) }
  const strong = highlighted ? { weight: 700, tone: { name: 'highlighted' as const } } : {}
  return {
    bar: value === null ? null : bar,
    label: isSaid ? labelAt(setting, 'value', words, { x: column.numbers, y: middle, at: 'end' }, { ...look, ...strong }) : null,
  }
}

/** The names of the columns above them. */
const headsOf = (setting: Setting, columns: readonly TableColumn[]): ChartLabel[] =>
  columns.map(({ key, label, left, right, numbers, beneath }) => {
    const words = shorten(label, right - left, text => setting.width(text, 'axis'))
    const wide = setting.width(words, 'axis')
    // Above its numbers; what is wider than they are begins where they may.
    const place = !beneath && wide > numbers - left ? ({ x: left, at: 'start' } as const) : ({ x: numbers, at: 'end' } as const)
    return labelAt(
      setting,
      'axis',
      words,
      { ...place, y: setting.line('axis') * 0.5 },
      { kind: 'axis', key: `head ${key}`, tone: { name: 'second-ink' } },
    )
  })

const counted = (count: number, one: string) => `${count} ${count === 1 ? one : `${one}s`}`

/** The table in words: what each of its columns holds most of. */
function inWords({ data }: Setting, columns: readonly TableColumn[]): string {
  const rows = data.categories.length
  const said = columns.slice(0, 12).flatMap(({ label, words }, index) => {
    const list = data.values[index]!
    const most = list.reduce<number>((best, value, at) => (value !== null && value > (list[best] ?? -Infinity) ? at : best), 0)
    return list[most] === null || list[most] === undefined
      ? []
      : [`${label}: highest ${data.categories[most]!.label}, ${words(list[most])}.`]
  })
  return [`Table with bars by ${data.category.name}: ${counted(rows, 'row')}, ${counted(columns.length, 'column')}.`, ...said].join(' ')
}

/** A table with a line for each row, and in each of its columns the number and a bar. */
export const tableBars: ChartKind = {
  name: 'table-bars',
  label: 'Table with bars',
  part: 'row',
  shows: ['order', 'share'],
  takes: ['across', 'height', 'series'],
  options: [],
  suits: ({ data, categories, series }) => {
    if (series < 2) return { score: 0.12, why: 'Each name with its number and a bar.' }
    const columns = data.seriesName === null
    const why = columns
      ? `${series} amounts of ${categories} rows, each column with bars of its own.`
      : `${categories} rows in ${series} columns, every number said and seen.`
    if (series > 8) return { score: 0.1, why, warning: `${series} columns are too narrow for their numbers.` }
    if (categories > 24) return { score: 0.15, why, warning: `${categories} rows cannot all be read.`, remedy: showLargest(12) }
    return { score: columns ? 0.74 : 0.4, why }
  },
  draw(spec, table, room) {
    const setting = settingOf(spec, table, room)
    const { data, line, size } = setting
    const rows = rowsOf(setting, 'beside')
    const head = line('axis') * 1.3
    const plane = lyingPlane(setting, rows, { ahead: 0, head, thickest: 90 })
    const columns = columnsOf(setting, plane)
    const cells = data.categories.flatMap((_, part) => columns.map((column, index) => cellOf(setting, plane, column, { part, index })))
    // Where lines are lower than their words, only those that have a name say their numbers.
    const named = new Set(plane.names.map(({ part }) => part))
    const said = cells.flatMap(({ label }) => (label && named.has(label.part) ? [label] : []))
    const step = data.categories.length > 1 ? plane.down(1) - plane.down(0) : plane.band
    const hasLines = step > size('value')
    const rules = data.categories.flatMap((_, part): ChartRule[] => {
      const y = plane.down(part) + plane.band / 2 + step / 2
      return hasLines && part < data.categories.length - 1
        ? [{ from: { x: 0, y }, to: { x: room.width, y }, kind: 'grid', key: `line ${part}` }]
        : []
    })
    const bars: (BarMark | CellMark)[] = cells.flatMap(({ bar }) => bar ?? [])
    return finished(setting, {
      of: 'Table with bars',
      each: 'rows',
      marks: bars,
      labels: [...plane.names, ...headsOf(setting, columns), ...said],
      rules: [{ from: { x: 0, y: head * 0.86 }, to: { x: room.width, y: head * 0.86 }, kind: 'base', key: 'head' }, ...rules],
      names: rows.rows.map(({ label }) => label),
      description: inWords(setting, columns),
      leftOut: [...plane.leftOut, ...cells.flatMap(({ label }) => (label && !said.includes(label) ? saidBy(label) : []))],
    })
  },
}
