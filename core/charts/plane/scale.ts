import { scaleBand, scaleLinear } from 'd3-scale'
import { settleCategories, type CategorySetting } from '../category-labels'
import type { Setting } from '../setting'
import { placedIn, placesIn } from './placed'
import type { ChartRows, Tick } from './rows'
import { ticksOf } from './ticks'
import { timeNames, type TimeName } from './time-names'

/**
 * The plane that a chart with an upright axis is drawn in: where each row stands across, how high each amount is, and what its words take.
 */
export interface Plane {
  /** The chart's own edges of the plane, px. */
  left: number
  right: number
  top: number
  bottom: number
  /** px that names hang below, and that the total and the key take on top. */
  namesTop: number
  head: number
  /** Where an amount of 0 stands. */
  baseline: number
  /** From an amount to px. */
  up(value: number): number
  /** The left edge of a row's band, and how wide each is. */
  across(row: number): number
  band: number
  /** The numbers of the axis; none where every mark says its own. */
  ticks: readonly number[]
  /** How much of one of them is seen, 0 to 1. */
  seen(tick: number): number
  names: CategorySetting
  /** Of a long run of days: beginnings of months and years in the names' stead, and where a day stands. */
  time: { names: readonly TimeName[]; across(day: number): number } | null
}

/** What a kind asks of its plane. */
export interface PlaneWish {
  /** px by which marks reach past their amounts. */
  beyond: number
  /** Rows stand at points from edge to edge, where time runs as far apart as they are, and not in bands. */
  points?: boolean
  /** px left free for words beside the plane. */
  right?: number
  /** px left free on top. */
  head?: number
  /** Whether amounts are told by an axis, whatever is asked for. */
  axis?: boolean
  /** How its numbers are written, where not as the chart writes them. */
  words?: (value: number) => string
  /** Whether one highlighted amount is written large. */
  leads?: boolean
}

/** What an axis that need not begin at nothing holds: the amounts themselves, from nothing on where they come near to it. */
export function nearOf(values: readonly number[]): [number, number] {
  let [low, high] = [Infinity, -Infinity]
  for (const value of values) {
    if (value < low) low = value
    if (value > high) high = value
  }
  if (!Number.isFinite(low)) return [0, 1]
  if (low >= 0 && low < high * 0.35) return [0, high]
  return low === high ? [low - 1, high + 1] : [low, high]
}

const timeAlong = (days: readonly [number, number], language: string, fits: number, ends: readonly [number, number]) => ({
  names: timeNames(days[0], days[1], language, fits),
  across: scaleLinear(days, ends),
})

/** The numbers of an axis with the room that they take, px. */
function ticksFor(setting: Setting, asked: readonly (Tick | number)[], words: PlaneWish['words']) {
  const list = asked.map(tick => (typeof tick === 'number' ? { value: tick, seen: 1 } : tick))
  const ticks = list.map(({ value }) => value)
  const written = words ?? setting.among(ticks)
  const faint = new Map(list.map(tick => [tick.value, tick.seen]))
  const gap = setting.size('axis') * 0.6
  return {
    ticks,
    seen: (tick: number) => faint.get(tick) ?? 1,
    width: ticks.reduce((most, tick) => Math.max(most, setting.width(written(tick), 'axis') + gap), 0),
  }
}

/** Lays out the plane of a chart. */
export function planeOf(setting: Setting, { rows, values, most, least, ticks: through }: ChartRows, wish: PlaneWish): Plane {
  const { room, spec, size, line, width: wide } = setting
  const write = wish.words ?? setting.words
  const leads = spec.labels !== 'none' && (wish.leads ?? true) && setting.leads
  const extent = [least, most === 0 && least === 0 ? 1 : most] as const
  const value = line('value')
  const head = (wish.head ?? 0) + (spec.total ? line('lead') * 1.1 : 0)

  // Amounts at every mark make an axis of numbers superfluous; where they cannot all stand, the axis comes back.
  const widthOf = (amount: number) => wide(write(amount), 'value') + size('value') * 0.3
  const axisNeeded = wish.axis || spec.labels !== 'all' || crowded(values, rows.length, room.width, widthOf)
  const headroom = (axisNeeded && spec.labels === 'none' ? 4 : (leads ? line('lead') : value) * 1.2) + wish.beyond
  const { ticks, seen, width: axisWidth } = ticksFor(setting, axisNeeded ? (through ?? ticksOf(extent)) : [], wish.words)

  const right = Math.max(axisWidth + 1, room.width - (wish.right ?? 0))
  const indices = placesIn(setting, rows)
  const place = (from: number) => (wish.points ? pointsOf(setting, from, right) : bandsOf(indices, from, right))
  const font = { size: size('axis'), weight: setting.weight('axis') }
  const { step } = place(axisWidth)
  const days = wish.points ? longRun(setting) : null
  const labels = rows.map(row => row.label)
  const names = days
    ? { angle: 0 as const, height: line('axis') * 1.3, every: 1, lines: (name: string) => [name] }
    : // What runs in time is read without each of its moments.
      settleCategories(labels, step, room, font, !wish.points)
  // A slanted name reaches to the left of its mark: the first must not leave the chart.
  const left = names.angle === 0 ? axisWidth : Math.max(axisWidth, names.height - step / 2)
  const { across: acrossAt, band } = place(left)
  const across = wish.points ? acrossAt : placedIn(setting, rows, acrossAt)
  const fits = Math.floor((right - left) / (wide('Sept', 'axis') + size('axis')))
  const time = days && timeAlong(days, room.language, fits, [across(0), across(rows.length - 1)])
  const top = head + headroom
  const below = least < 0 ? headroom : 0
  const bottom = Math.max(top + 1, room.height - names.height - below)
  const domain = ticks.length && !through ? ([Math.min(extent[0], ticks[0]!), Math.max(extent[1], ticks.at(-1)!)] as const) : extent
  const up = scaleLinear(domain, [bottom, top])
  const baseline = up(Math.max(0, least))
  return {
    left,
    right,
    top,
    bottom,
    namesTop: Math.max(bottom, baseline) + below,
    head,
    baseline,
    up,
    across,
    band,
    ticks,
    seen,
    names,
    time,
  }
}

/** The first and last day of a run of days, weeks or months that is too long to name each of them; null of what is none. */
function longRun({ data }: Setting): readonly [number, number] | null {
  const { moments, category } = data
  if (!moments || moments.length <= 24 || !['day', 'week', 'month', 'minute', 'second'].includes(category.grain ?? 'day')) return null
  const [first, last] = [moments[0]!, moments.at(-1)!]
  return last - first > 45 ? [first, last] : null
}

/** Whether words of numbers, each as wide as `wide` says, do not fit beside each other. */
function crowded(values: readonly number[], count: number, room: number, wide: (value: number) => number): boolean {
  if (!count) return false
  const step = room / count
  // A digit is at least so wide: with very many nothing has to be measured.
  if (step < 8) return true
  return values.some(value => wide(value) > step)
}

/** The widest that a bar gets, px, and the share of its step that it takes. */
const widest = 170
const ofStep = 0.68

function bandsOf(indices: readonly number[], from: number, to: number) {
  // Over forty, bars stand 2 px apart.
  const step = scaleBand<number>(indices, [from, to]).step()
  const inner = indices.length > 40 ? Math.min(0.32, 2 / Math.max(2, step)) : 1 - ofStep
  const scale = scaleBand<number>(indices, [from, to])
    .paddingInner(inner)
    .paddingOuter(inner / 3)
  const band = Math.min(scale.bandwidth(), Math.max(widest, (to - from) * 0.14))
  const inset = (scale.bandwidth() - band) / 2
  return { across: (row: number) => (scale(row) ?? from) + inset, band, step: scale.step() }
}

function pointsOf({ data, size }: Setting, from: number, to: number) {
  const count = data.categories.length
  // The first and the last name stand within the chart.
  const pad = Math.min(size('axis') * 1.2, (to - from) / 4)
  const scale = data.moments
    ? scaleLinear([data.moments[0] ?? 0, data.moments.at(-1) ?? 1], [from + pad, to - pad])
    : scaleLinear([0, Math.max(1, count - 1)], [from + pad, to - pad])
  const across = (row: number) => (count === 1 ? (from + to) / 2 : scale(data.moments ? data.moments[row]! : row))
  return { across, band: 0, step: count > 1 ? (to - from - 2 * pad) / (count - 1) : to - from }
}
