import { scaleBand, scaleLinear } from 'd3-scale'
import { formatNumber, summarise, type DataTable } from '../../data'
import type { ChartSpec } from '../../model'
import { measureWith, settleCategories } from '../category-labels'
import type { ChartDrawing, ChartLabel, ChartMark, ChartRoom, ChartRule } from '../drawing'
import { placeLabels, type Candidate } from '../labels'

const slant = Math.PI / 4
/** What is smaller than this has no length: scales cannot part it from rounding. */
const nothing = 1e-9

/** Upright bars from a common baseline, one for each group of rows, with their names below and their amounts at their ends. */
export function bar(spec: ChartSpec, table: DataTable, room: ChartRoom): ChartDrawing {
  const {
    rows: summed,
    amount,
    category,
  } = summarise(table, { by: spec.across, value: spec.height, aggregate: spec.aggregate, order: spec.order })
  const rows = summed.map(row => (row.value !== null && Math.abs(row.value) < nothing ? { ...row, value: 0 } : row))
  const values = rows.map(row => row.value).filter(value => value !== null)
  const format = (value: number | null) => formatNumber(value, spec.format, room.language, values)
  const textSize = room.textSize
  const font = { size: textSize, weight: 500 }
  const amountFont = { size: textSize, weight: 600 }
  const measure = measureWith(room.measurer, room.fonts.body, font)
  const measureAmount = measureWith(room.measurer, room.fonts.body, amountFont)
  const line = textSize * 1.25

  const most = Math.max(0, ...values)
  const least = Math.min(0, ...values)
  const extent = [least, most === 0 && least === 0 ? 1 : most] as const
  const lit = new Set(spec.lit)
  const labelled = (key: string) => spec.labels === 'all' || (spec.labels === 'lit' && lit.has(key))
  const headroom = spec.labels === 'none' ? 4 : line * 1.2
  const totalHeight = spec.total ? line * 1.3 : 0

  // Amounts at every bar make an axis of numbers superfluous; where they cannot all stand, the axis comes back.
  const widest = values.reduce((wide, value) => Math.max(wide, measureAmount(format(value))), 0)
  const axisNeeded = spec.labels !== 'all' || (rows.length > 0 && widest + textSize * 0.3 > room.width / rows.length)
  const ticks = axisNeeded ? scaleLinear(extent, [0, 1]).nice(5).ticks(5) : []
  const axisWidth = ticks.reduce((wide, tick) => Math.max(wide, measure(format(tick)) + textSize * 0.6), 0)

  const bands = (left: number) =>
    scaleBand<number>(
      rows.map((_, index) => index),
      [left, room.width],
    )
      .paddingInner(0.28)
      .paddingOuter(0.1)
  const names = settleCategories(
    rows.map(row => row.key),
    bands(axisWidth).step(),
    room,
    font,
  )
  // A slanted name reaches to the left of its bar: the first must not leave the chart.
  const left = names.angle === 0 ? axisWidth : Math.max(axisWidth, names.height - bands(axisWidth).step() / 2)
  const across = bands(left)
  const top = totalHeight + headroom
  const bottom = Math.max(top + 1, room.height - names.height - (least < 0 ? headroom : 0))
  const domain = axisNeeded ? scaleLinear(extent, [bottom, top]).nice(5) : scaleLinear(extent, [bottom, top])
  const baseline = domain(0)

  const marks = rows.map((row, index): ChartMark => {
    const end = row.value === null ? baseline : domain(row.value)
    return {
      key: row.key,
      value: row.value,
      lit: lit.has(row.key),
      negative: (row.value ?? 0) < 0,
      x: across(index)!,
      width: across.bandwidth(),
      y: Math.min(end, baseline),
      height: Math.abs(end - baseline),
    }
  })

  const labels: ChartLabel[] = []
  const plain = { size: textSize, weight: 500, angle: 0 }
  const namesTop = Math.max(bottom, baseline) + (least < 0 ? headroom : 0)
  const nameCandidates: Candidate<ChartLabel>[] = []
  rows.forEach((row, index) => {
    if (index % names.every) return
    const lines = names.lines(row.key)
    const width = lines.reduce((wide, words) => Math.max(wide, measure(words)), 0)
    const middle = marks[index]!.x + marks[index]!.width / 2
    const height = lines.length * line
    if (names.angle === 0) {
      const x = Math.min(Math.max(middle, left + width / 2), Math.max(width / 2, room.width - width / 2))
      const y = namesTop + line * 0.2 + height / 2
      const label: ChartLabel = { ...plain, kind: 'category', lines, x, y, width, height, mark: index }
      nameCandidates.push({ label, priority: -index, places: [{ x: x - width / 2, y: y - height / 2, width, height }] })
    } else {
      const reach = (width / 2) * Math.cos(slant)
      labels.push({
        ...plain,
        kind: 'category',
        lines,
        angle: -45,
        x: middle - reach,
        y: namesTop + 4 + (line / 2 + width / 2) * Math.sin(slant),
        width,
        height,
        mark: index,
      })
    }
  })

  const nameRoom = { x: 0, y: 0, width: room.width, height: room.height + line }
  const placedNames = placeLabels(nameCandidates, nameRoom).placed
  for (const { label } of placedNames) labels.push(label)

  const candidates = marks.flatMap((mark, index): Candidate<ChartLabel>[] => {
    if (!labelled(mark.key) || mark.value === null) return []
    const words = format(mark.value)
    const width = measureAmount(words)
    const centred = {
      x: mark.x + mark.width / 2 - width / 2,
      y: mark.negative ? mark.y + mark.height + line * 0.1 : mark.y - line * 1.1,
      width,
      height: line,
    }
    // At the chart's edges an amount may stand a little beside its bar's middle.
    const inward = { ...centred, x: Math.min(Math.max(centred.x, left), room.width - width) }
    const extreme = mark.value === most || mark.value === least
    const label: ChartLabel = {
      kind: 'value',
      lines: [words],
      x: 0,
      y: 0,
      width,
      height: line,
      size: textSize,
      weight: 600,
      angle: 0,
      mark: index,
    }
    return [
      {
        label,
        priority: (mark.lit ? 4 : 0) + (extreme ? 2 : 0) + Math.abs(mark.value) / (Math.max(most, -least) || 1),
        places: [centred, inward],
      },
    ]
  })
  const amountRoom = { x: left, y: totalHeight, width: room.width - left, height: room.height - totalHeight }
  const { placed, leftOut } = placeLabels(candidates, amountRoom, [...marks, ...placedNames.map(({ place }) => place)])
  for (const { label, place } of placed) labels.push({ ...label, x: place.x + place.width / 2, y: place.y + place.height / 2 })

  const rules: ChartRule[] = ticks.map(tick => ({ y: domain(tick), from: left, to: room.width, baseline: false }))
  rules.push({ y: baseline, from: left, to: room.width, baseline: true })
  for (const tick of ticks) {
    const width = measure(format(tick))
    labels.push({
      ...plain,
      kind: 'axis',
      lines: [format(tick)],
      x: left - textSize * 0.6 - width / 2,
      y: domain(tick),
      width,
      height: line,
      mark: null,
    })
  }

  const total = format(values.reduce((sum, value) => sum + value, 0))
  if (spec.total) {
    const words = `Total ${total}`
    const width = measureAmount(words)
    labels.push({
      kind: 'total',
      lines: [words],
      x: room.width - width / 2,
      y: line / 2,
      width,
      height: line,
      size: textSize,
      weight: 600,
      angle: 0,
      mark: null,
    })
  }
  const highest = rows.reduce((best, row) => ((row.value ?? -Infinity) > (best?.value ?? -Infinity) ? row : best), rows[0])
  const description = rows.length
    ? `Bar chart of ${amount ?? 'rows'} by ${category}, ${rows.length} bars. Highest: ${highest!.key}, ${format(highest!.value)}.`
    : `Bar chart of ${amount ?? 'rows'} by ${category}, without rows.`
  return { marks, labels, rules, total, leftOut: leftOut.length, description }
}
