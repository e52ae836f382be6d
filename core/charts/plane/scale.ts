import { scaleBand, scaleLinear } from 'd3-scale'
import type { ChartSpec } from '../../model'
import { measureWith, settleCategories, type CategorySetting } from '../category-labels'
import type { ChartRoom } from '../drawing'
import type { ChartRows } from './rows'

/**
 * The plane that a chart with an upright axis is drawn in: where each row stands across, how high each amount is, and what its words take.
 */
export interface Plane {
  /** The chart's own edges of the plane, px. */
  left: number
  top: number
  bottom: number
  /** px that names hang below, and that the total takes on top. */
  namesTop: number
  totalHeight: number
  /** Where an amount of 0 stands. */
  baseline: number
  /** From an amount to px. */
  up(value: number): number
  /** The left edge of a row's band, and how wide each is. */
  across(row: number): number
  band: number
  /** The numbers of the axis; none where every mark says its own. */
  ticks: readonly number[]
  names: CategorySetting
  /** px of a line of words. */
  line: number
  measure(words: string): number
  measureAmount(words: string): number
}

/** Lays out the plane of a chart. `beyond`: px by which marks reach past their amounts. */
export function planeOf(
  spec: ChartSpec,
  { rows, values, most, least }: ChartRows,
  room: ChartRoom,
  words: (value: number) => string,
  beyond: number,
): Plane {
  const { textSize } = room
  const font = { size: textSize, weight: 500 }
  const measure = measureWith(room.measurer, room.fonts.body, font)
  const measureAmount = measureWith(room.measurer, room.fonts.body, { size: textSize, weight: 600 })
  const line = textSize * 1.25
  const extent = [least, most === 0 && least === 0 ? 1 : most] as const
  const headroom = (spec.labels === 'none' ? 4 : line * 1.2) + beyond
  const totalHeight = spec.total ? line * 1.3 : 0

  // Amounts at every mark make an axis of numbers superfluous; where they cannot all stand, the axis comes back.
  const widest = values.reduce((wide, value) => Math.max(wide, measureAmount(words(value))), 0)
  const axisNeeded = spec.labels !== 'all' || (rows.length > 0 && widest + textSize * 0.3 > room.width / rows.length)
  const ticks = axisNeeded ? scaleLinear(extent, [0, 1]).nice(5).ticks(5) : []
  const axisWidth = ticks.reduce((wide, tick) => Math.max(wide, measure(words(tick)) + textSize * 0.6), 0)

  const indices = rows.map((_, index) => index)
  const bands = (left: number) => scaleBand<number>(indices, [left, room.width]).paddingInner(0.28).paddingOuter(0.1)
  const step = bands(axisWidth).step()
  const names = settleCategories(
    rows.map(row => row.label),
    step,
    room,
    font,
  )
  // A slanted name reaches to the left of its mark: the first must not leave the chart.
  const left = names.angle === 0 ? axisWidth : Math.max(axisWidth, names.height - step / 2)
  const across = bands(left)
  const top = totalHeight + headroom
  const below = least < 0 ? headroom : 0
  const bottom = Math.max(top + 1, room.height - names.height - below)
  const up = axisNeeded ? scaleLinear(extent, [bottom, top]).nice(5) : scaleLinear(extent, [bottom, top])
  const baseline = up(0)
  return {
    left,
    top,
    bottom,
    namesTop: Math.max(bottom, baseline) + below,
    totalHeight,
    baseline,
    up,
    across: row => across(row) ?? left,
    band: across.bandwidth(),
    ticks,
    names,
    line,
    measure,
    measureAmount,
  }
}
