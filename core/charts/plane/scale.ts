import { scaleBand, scaleLinear } from 'd3-scale'
import { settleCategories, type CategorySetting } from '../category-labels'
import type { Setting } from '../setting'
import type { ChartRows } from './rows'
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

/** At most so many steps are laid across the plane, of one of these sizes times a power of ten. */
const mostSteps = 4
const stepSizes = [1, 2, 2.5, 5, 10]

/** The numbers of an axis that holds an extent: round steps, at most four unless more are asked for. */
export function ticksOf([low, high]: readonly [number, number], most = mostSteps): number[] {
  const span = high - low
  if (!(span > 0) || !Number.isFinite(span)) return [low]
  const power = 10 ** Math.floor(Math.log10(span / most))
  for (const size of [...stepSizes, ...stepSizes.map(step => step * 10)]) {
    const step = size * power
    const [from, to] = [Math.floor(low / step + 1e-9), Math.ceil(high / step - 1e-9)]
    if (to - from <= most) return Array.from({ length: to - from + 1 }, (_, index) => Number(((from + index) * step).toPrecision(15)))
  }
  return [low, high]
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

/** Lays out the plane of a chart. */
export function planeOf(setting: Setting, { rows, values, most, least }: ChartRows, wish: PlaneWish): Plane {
  const { room, spec, size, line, width: wide } = setting
  const write = wish.words ?? setting.words
  const leads = spec.labels !== 'none' && (wish.leads ?? true) && setting.leads
  const extent = [least, most === 0 && least === 0 ? 1 : most] as const
  const value = line('value')
  const head = (wish.head ?? 0) + (spec.total ? line('lead') * 1.1 : 0)

  // Amounts at every mark make an axis of numbers superfluous; where they cannot all stand, the axis comes back.
  const axisNeeded =
    wish.axis ||
    spec.labels !== 'all' ||
    crowded(values, rows.length, room.width, words => wide(write(words), 'value') + size('value') * 0.3)
  const headroom = (axisNeeded && spec.labels === 'none' ? 4 : (leads ? line('lead') : value) * 1.2) + wish.beyond
  const ticks = axisNeeded ? ticksOf(extent) : []
  const tickWords = wish.words ?? setting.among(ticks)
  const axisWidth = ticks.reduce((most, tick) => Math.max(most, wide(tickWords(tick), 'axis') + size('axis') * 0.6), 0)

  const right = Math.max(axisWidth + 1, room.width - (wish.right ?? 0))
  const indices = rows.map((_, index) => index)
  const place = (from: number) => (wish.points ? pointsOf(setting, from, right) : bandsOf(indices, from, right))
  const font = { size: size('axis'), weight: setting.weight('axis') }
  const { step } = place(axisWidth)
  const days = wish.points ? longRun(setting) : null
  const names = days
    ? { angle: 0 as const, height: line('axis') * 1.3, every: 1, lines: (name: string) => [name] }
    : settleCategories(
        rows.map(row => row.label),
        step,
        room,
        font,
        // What runs in time is read without each of its moments.
        !wish.points,
      )
  // A slanted name reaches to the left of its mark: the first must not leave the chart.
  const left = names.angle === 0 ? axisWidth : Math.max(axisWidth, names.height - step / 2)
  const { across, band } = place(left)
  const fits = Math.floor((right - left) / (wide('Sept', 'axis') + size('axis')))
  const time = days && {
    names: timeNames(days[0], days[1], room.language, fits),
    across: scaleLinear(days, [across(0), across(rows.length - 1)]),
  }
  const top = head + headroom
  const below = least < 0 ? headroom : 0
  const bottom = Math.max(top + 1, room.height - names.height - below)
  const domain = ticks.length ? ([Math.min(extent[0], ticks[0]!), Math.max(extent[1], ticks.at(-1)!)] as const) : extent
  const up = scaleLinear(domain, [bottom, top])
  const baseline = up(Math.max(0, least))
  return { left, right, top, bottom, namesTop: Math.max(bottom, baseline) + below, head, baseline, up, across, band, ticks, names, time }
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
