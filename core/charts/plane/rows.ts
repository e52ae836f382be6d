import type { Gathered, Row } from '../../data'
import { mix } from '../marks'
import { clamp, slowEnds } from '../motion/ease'
import type { RunMoment } from '../run-moment'
import { small, type Setting } from '../setting'
import { ticksOf } from './ticks'

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
  /** Where the rows are those of one moment of many: the numbers of the axis there, and how much of each is seen, 0 to 1. */
  ticks?: readonly Tick[]
}

/** A number of an axis, and how much of it is seen, 0 to 1. */
export interface Tick {
  value: number
  seen: number
}

const isNumber = (value: number | null): value is number => value !== null

/** What amounts come to; null where there are none. */
function sumOf(amounts: readonly (number | null)[]): number | null {
  const own = amounts.filter(isNumber)
  return own.length ? own.reduce((sum, value) => sum + value, 0) : null
}

/** What the rows of a chart come to; `more` are names of rows of its own after them, each with their sum. */
export function rowsOf({ data, run }: Setting, standing: Standing, more: readonly string[] = []): ChartRows {
  const rows = data.categories.map((entry, at): Row => ({ ...entry, value: sumOf(data.values.map(list => list[at]!)) }))
  const whole = rows.reduce((sum, { value }) => sum + (value ?? 0), 0)
  if (rows.length) for (const label of more) rows.push({ key: `sum ${label}`, label, value: whole })
  const values = data.values.flat().filter(isNumber)
  if (standing === 'share') return { rows, values, most: 1, least: 0 }
  const extent = run ? extentThrough(run, standing) : extentOf(data, rows, standing)
  return { rows, values, ...extent }
}

/** What the amounts of rows lie between: at least 0, and at most 0. */
function extentOf(data: Gathered, rows: readonly Row[], standing: Standing): { most: number; least: number } {
  const columns = data.categories.map((_, at) => data.values.map(list => list[at]!))
  const side = (list: readonly (number | null)[], way: 1 | -1) =>
    list.reduce<number>((sum, value) => (value !== null && value * way > 0 ? sum + value : sum), 0)
  let level = 0
  const ends =
    standing === 'steps'
      ? rows.map(({ value }, at) => (level = at < data.categories.length ? level + (value ?? 0) : level))
      : standing === 'stacked'
        ? columns.flatMap(list => [side(list, 1), side(list, -1)])
        : data.values.flat().filter(isNumber)
  let [most, least] = [0, 0]
  for (const end of ends) {
    if (end > most) most = end
    if (end < least) least = end
  }
  return { most, least }
}

/** So near to the plane’s end, as a share of it, a number of the axis is seen to come. */
const edge = 0.06

/**
 * What amounts lie between as a table is run through: round ends that hold this moment and the next, and on the way to it those of the next
 * and the one after it. So each end stands before any amount needs it, and none leaps.
 */
function extentThrough({ knots, time }: RunMoment, standing: Standing): Pick<ChartRows, 'most' | 'least' | 'ticks'> {
  const extents = knots.map(raw => {
    const knot = { ...raw, values: raw.values.map(list => list.map(small)) }
    const rows = knot.categories.map((entry, at) => ({ ...entry, value: sumOf(knot.values.map(list => list[at]!)) }))
    return extentOf(knot, rows, standing)
  })
  const from = Math.min(knots.length - 1, Math.max(0, Math.floor(time)))
  const ticksAt = (at: number) => {
    const near = extents.slice(at, at + 2)
    const [least, most] = [Math.min(...near.map(one => one.least)), Math.max(...near.map(one => one.most))]
    return ticksOf([least, least === 0 && most === 0 ? 1 : most])
  }
  const [before, after] = [ticksAt(from), ticksAt(Math.min(from + 1, knots.length - 1))]
  const share = time - from
  const eased = slowEnds(share)
  const [least, most] = [mix(before[0]!, after[0]!, eased), mix(before.at(-1)!, after.at(-1)!, eased)]
  const near = edge * (most - least)
  const seenOf = (value: number) => {
    const stays = mix(before.includes(value) ? 1 : 0, after.includes(value) ? 1 : 0, eased)
    // What lies beyond the plane comes as the plane comes to it.
    const beyond = Math.max(0, value - most, least - value)
    return stays * clamp(1 - beyond / near)
  }
  return {
    least,
    most,
    ticks: [...new Set([...before, ...after])]
      .sort((a, b) => a - b)
      .map(value => ({ value, seen: seenOf(value) }))
      .filter(({ seen }) => seen > 0),
  }
}
