import { scaleLinear } from 'd3-scale'
import { shorten } from '../category-labels'
import type { ChartLabel } from '../drawing'
import { finished, namesAlong } from '../finish'
import type { ChartMark, Point } from '../marks'
import { onCurve } from '../../place'
import { labelAt, settingOf, type Setting } from '../setting'
import type { Tone } from '../tones'
import { optionOf } from '../../values'
import type { ChartKind } from './kind'

const quiet = 12
const strong = 20
const pieces = 10

/** The rank of each series in each category, 1 for the most; null where it has no number. Equal amounts keep the order of the table. */
export function ranksOf(values: readonly (readonly (number | null)[])[], categories: number): (number | null)[][] {
  const ranks = values.map(() => Array.from({ length: categories }, (): number | null => null))
  for (let at = 0; at < categories; at++) {
    const order = values.flatMap((list, index) => {
      const value = list[at] ?? null
      return value === null ? [] : [{ index, value }]
    })
    order.sort((a, b) => b.value - a.value || a.index - b.index)
    order.forEach(({ index }, rank) => (ranks[index]![at] = rank + 1))
  }
  return ranks
}

/** From level to level, level at both ends. */
const bend = (from: Point, to: Point): Point[] => {
  if (from.y === to.y) return [from, to]
  const half = (from.x + to.x) / 2
  return Array.from({ length: pieces + 1 }, (_, piece) => onCurve(from, { x: half, y: from.y }, { x: half, y: to.y }, to, piece / pieces))
}

/** Which series are drawn: those that end highest, and whoever is highlighted; in the order of the table. */
function shownOf({ data, isHighlighted, spec }: Setting, ranked: readonly (readonly (number | null)[])[]): number[] {
  const best = (index: number) => ranked[index]!.findLast(rank => rank !== null) ?? Infinity
  const lit = (index: number) => Number(isHighlighted(data.series[index]!.key))
  return data.series
    .map((_, index) => index)
    .sort((a, b) => lit(b) - lit(a) || best(a) - best(b))
    .slice(0, Math.round(optionOf<number>(ranks, spec.options ?? {}, 'top')))
    .sort((a, b) => a - b)
}

/** Where moments and ranks stand, and how large their dots are. */
function placesOf(setting: Setting, ranked: readonly (readonly (number | null)[])[], shown: readonly number[]) {
  const { data, room, size, ratio, width } = setting
  const count = data.categories.length
  const levels = shown.reduce((deep, index) => ranked[index]!.reduce<number>((worst, rank) => Math.max(worst, rank ?? 0), deep), 1)
  const names = Math.min(
    room.width * 0.24,
    shown.reduce((wide, index) => Math.max(wide, width(data.series[index]!.label, 'name')), 0),
  )
  const bottom = room.height - setting.line('axis') * 1.4
  const radius = Math.min(26 * ratio, (bottom / levels) * 0.4)
  const side = names + 2 * radius + size('name') * 0.7
  const domain = data.moments ? [data.moments[0] ?? 0, data.moments.at(-1) ?? 1] : [0, Math.max(1, count - 1)]
  const x = scaleLinear(domain, [side, room.width - side])
  return {
    names,
    bottom,
    radius,
    across: (at: number) => (count === 1 ? room.width / 2 : x(data.moments ? data.moments[at]! : at)),
    down: (rank: number) => radius + (levels === 1 ? bottom / 2 - radius : ((rank - 1) / (levels - 1)) * (bottom - 2 * radius)),
  }
}
type Places = ReturnType<typeof placesOf>

/** The way of one series through its ranks, broken where it has none. */
function wayOf(points: readonly (Point | null)[]): Point[][] {
  const runs: Point[][] = [[]]
  for (const point of points) {
    if (!point) {
      if (runs.at(-1)!.length) runs.push([])
      continue
    }
    const before = runs.at(-1)!.at(-1)
    runs.at(-1)!.push(...(before ? bend(before, point).slice(1) : [point]))
  }
  return runs.filter(run => run.length > 1)
}

/** One series: its way, and at both ends its rank in a dot and its name. */
function drawOne(setting: Setting, places: Places, ranked: readonly (number | null)[], index: number, part: number) {
  const { data, isHighlighted, anyHighlighted, size, ratio } = setting
  const { radius, bottom } = places
  const { key, label } = data.series[index]!
  const highlighted = isHighlighted(key)
  const tone: Tone = highlighted ? { name: 'highlighted' } : { name: anyHighlighted ? 'quiet' : 'plain' }
  const points = ranked.map((rank, at) => (rank === null ? null : { x: places.across(at), y: places.down(rank) }))
  const common = { part, value: null, highlighted, tone, foot: bottom }
  const width = (highlighted ? strong : quiet) * Math.min(ratio, radius / 13) * 0.8
  const marks = wayOf(points).map((run, at): ChartMark => ({
    ...common,
    shape: 'line',
    key: at ? `${key} ${at}` : key,
    points: run,
    width,
  }))
  const labels: ChartLabel[] = []
  const [first, last] = [points.findIndex(point => point !== null), points.findLastIndex(point => point !== null)]
  for (const at of new Set([first, last])) {
    if (at < 0) continue
    const [point, rank, isLast] = [points[at]!, ranked[at]!, at === last]
    const own = `${key} ${isLast ? 'last' : 'first'}`
    marks.push({ ...common, shape: 'point', key: own, value: rank, ...point, radius: highlighted ? radius : radius * 0.82 })
    if (radius > size('axis') * 0.55)
      labels.push(
        labelAt(setting, 'axis', String(rank), point, { kind: 'value', part, key: `rank ${own}`, tone: { on: tone }, weight: 700 }),
      )
    if (isLast ? last !== ranked.length - 1 : first !== 0) continue
    const place = {
      x: point.x + (isLast ? 1 : -1) * (radius + size('name') * 0.5),
      y: point.y,
      at: isLast ? ('start' as const) : ('end' as const),
    }
    const words = shorten(label, places.names, text => setting.width(text, 'name'))
    labels.push(
      labelAt(setting, 'name', words, place, {
        part,
        key: `name ${own}`,
        weight: highlighted ? 700 : 500,
        ...(highlighted ? { tone } : {}),
      }),
    )
  }
  return { marks, labels }
}

/** Who stands where, moment by moment: crossings are places exchanged. */
export const ranks: ChartKind = {
  name: 'ranks',
  label: 'Ranks over time',
  part: 'line',
  shows: ['order', 'change'],
  takes: ['across', 'height', 'series'],
  options: [{ kind: 'number', name: 'top', label: 'At most this many', min: 2, max: 60, step: 1, unit: '', initial: 12 }],
  suits: ({ series, categories, time, crossings }) => {
    if (series < 2) return { score: 0, why: '', lacks: 'a column that parts each amount, such as a route' }
    if (categories < 2) return { score: 0, why: '', lacks: 'a second moment to go to' }
    if (!crossings)
      return {
        score: 0.2,
        why: 'The order never changes.',
        warning: 'The order never changes, so ranks would show level lines only. Draw lines.',
      }
    return { score: time ? 0.7 : 0.4, why: crossings === 1 ? 'The order changes once.' : `The order changes ${crossings} times.` }
  },
  draw(spec, table, room) {
    const setting = settingOf(spec, table, room)
    const { data } = setting
    const ranked = ranksOf(data.values, data.categories.length)
    const shown = shownOf(setting, ranked)
    const places = placesOf(setting, ranked, shown)
    const drawn = shown.map((index, part) => drawOne(setting, places, ranked[index]!, index, part))
    return finished(setting, {
      of: 'Chart of ranks',
      each: 'lines',
      marks: drawn.flatMap(({ marks }) => marks).sort((a, b) => Number(a.highlighted) - Number(b.highlighted)),
      labels: [...drawn.flatMap(({ labels }) => labels), ...namesAlong(setting, places.across)],
      rules: data.categories.map((_, at) => ({
        from: { x: places.across(at), y: 0 },
        to: { x: places.across(at), y: places.bottom },
        kind: 'divider',
      })),
      names: shown.map(index => data.series[index]!.label),
      total: '',
      leftOut: data.series.flatMap(({ label }, index) => (shown.includes(index) ? [] : label)),
    })
  },
}
