import { deviation, extent, quantile } from 'd3-array'
import { scaleLinear } from 'd3-scale'
import { keyOf } from '../../data'
import { shorten } from '../category-labels'
import { chosenColumns } from '../columns'
import { amountsAlong, finished, linesAlong } from '../finish'
import type { AreaMark, LineMark, Point } from '../marks'
import { nearOf, ticksOf } from '../plane'
import { labelAt, settingOf, type Setting } from '../setting'
import type { Tone } from '../tones'
import type { ChartKind } from './kind'

/** Points that a curve is drawn through. */
const steps = 90
/** How far a ridge reaches over the one above it, in heights of a row. */
const reach = 1.7

/**
 * How wide the kernel of a density is: 0.9 times the smaller of the standard deviation and the interquartile range by 1.34, by the fifth
 * root of how many there are (Silverman 1986, 3.31).
 */
export function bandwidthOf(values: readonly number[]): number {
  const spread = deviation(values) ?? 0
  const range = ((quantile(values, 0.75) ?? 0) - (quantile(values, 0.25) ?? 0)) / 1.34
  const least = Math.min(...[spread, range].filter(one => one > 0))
  return Number.isFinite(least) ? 0.9 * least * values.length ** -0.2 : 0
}

/** The density of values at a place, by a Gaussian kernel. */
export function densityAt(values: readonly number[], width: number, at: number): number {
  let sum = 0
  for (const value of values) sum += Math.exp(-0.5 * ((at - value) / width) ** 2)
  return sum / (values.length * width * Math.sqrt(2 * Math.PI))
}

/** The amounts of the rows of each category, one by one. */
function amountsOf({ spec, table, data }: Setting): number[][] {
  const { height, across } = chosenColumns(spec, table)
  const groups = new Map(data.categories.map(({ key }) => [key, [] as number[]]))
  height?.values.forEach((value, row) => {
    if (typeof value === 'number') groups.get(keyOf(across.values[row]))?.push(value)
  })
  return data.categories.map(({ key }) => groups.get(key)!)
}

/** So many groups are told by their middles. */
const mostTold = 6

function inWords({ data, among }: Setting, groups: readonly (readonly number[])[]): string {
  const middles = groups.map(values => quantile(values, 0.5))
  const write = among(middles.flatMap(middle => middle ?? []))
  const told = data.categories
    .slice(0, mostTold)
    .flatMap(({ label }, at) => (middles[at] === undefined ? [] : [`${label} ${write(middles[at])}`]))
  const head = `Chart of ridges of ${data.amount?.name ?? 'rows'} by ${data.category.name}, ${data.categories.length} groups.`
  return told.length ? `${head} In the middle: ${told.join(', ')}.` : head
}

/** Where the amounts of each category lie: a curve for each, over the one above it. */
export const ridges: ChartKind = {
  name: 'ridges',
  label: 'Ridges',
  part: 'ridge',
  shows: ['spread'],
  takes: ['across', 'height'],
  options: [],
  suits: ({ categories, rows }) => {
    const each = rows / Math.max(1, categories)
    if (each < 8 || categories < 2) return { score: 0, why: '', lacks: 'at least eight rows for each of two groups' }
    return {
      score: categories <= 12 ? 0.52 : 0.2,
      why: `Where the ${rows} rows of ${categories} groups lie, and how wide each spreads.`,
    }
  },
  draw(spec, table, room) {
    const setting = settingOf(spec, table, room)
    const { data, size, line, isHighlighted, anyHighlighted, ratio } = setting
    const groups = amountsOf(setting)
    const [least = 0, most = 1] = extent(groups.flat())
    const ends = nearOf([least, most])
    const ticks = ticksOf(ends, 6)
    const names = Math.min(
      room.width * 0.26,
      data.categories.reduce((wide, { label }) => Math.max(wide, setting.width(label, 'name')), 0),
    )
    const left = names + size('name') * 0.8
    const bottom = room.height - line('axis') * 1.2
    const along = scaleLinear([ticks[0]!, ticks.at(-1)!], [left, room.width - size('axis')])
    const row = bottom / (data.categories.length + reach - 1 || 1)
    const curves = groups.map(values => {
      // What hardly spreads is as wide as can be seen.
      const width = Math.max(bandwidthOf(values), (ticks.at(-1)! - ticks[0]!) / 200, 1e-9)
      const places = Array.from({ length: steps + 1 }, (_, at) => ticks[0]! + ((ticks.at(-1)! - ticks[0]!) * at) / steps)
      return values.length ? places.map(at => ({ at, density: densityAt(values, width, at) })) : []
    })
    const highest = curves.flat().reduce((max, { density }) => Math.max(max, density), 0) || 1
    const marks = data.categories.flatMap(({ key }, part): (AreaMark | LineMark)[] => {
      const foot = row * (part + reach)
      const top = curves[part]!.map(({ at, density }): Point => ({ x: along(at), y: foot - (density / highest) * row * reach }))
      if (!top.length) return []
      const highlighted = isHighlighted(key)
      const tone: Tone = { name: highlighted ? 'highlighted' : anyHighlighted ? 'quiet' : 'plain' }
      const common = { part, value: groups[part]!.length, highlighted, foot }
      return [
        { shape: 'area', key, ...common, tone, opacity: 0.78, top, bottom: top.map(({ x }) => ({ x, y: foot })) },
        { shape: 'line', key: `${key} edge`, ...common, tone: { name: 'ground' }, points: top, width: 2.5 * ratio },
      ]
    })
    const labels = data.categories.map(({ key, label }, part) => {
      const words = shorten(label, names, text => setting.width(text, 'name'))
      const lit = isHighlighted(key)
      const place = { x: names, y: row * (part + reach) - line('name') * 0.4, at: 'end' as const }
      return labelAt(setting, 'name', words, place, {
        part,
        key: `name ${key}`,
        weight: lit ? 700 : 500,
        tone: { name: lit ? ('highlighted' as const) : ('ink' as const) },
      })
    })
    return finished(setting, {
      of: 'Chart of ridges',
      each: 'ridges',
      marks,
      labels: [...labels, ...amountsAlong(setting, ticks, along)],
      rules: linesAlong(ticks, along, 0, bottom),
      names: data.categories.map(({ label }) => label),
      total: '',
      description: inWords(setting, groups),
    })
  },
}
