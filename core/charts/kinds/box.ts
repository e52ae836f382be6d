import { extent, quantileSorted } from 'd3-array'
import { columnNamed, firstAmount, keyOf, keyWords, type DataTable, type Entry } from '../../data'
import type { ChartSpec } from '../../model'
import type { ChartLabel } from '../drawing'
import { amountsAlong, finished, linesAlong } from '../finish'
import type { ChartMark } from '../marks'
import { ticksOf } from '../plane'
import { lyingPlane, type LyingPlane } from '../plane/lying'
import { labelAt, settingOf, type Setting } from '../setting'
import type { Tone } from '../tones'
import { optionOf } from '../../values'
import type { ChartKind } from './kind'

/** The numbers of a box: quartiles (R-7, linear between neighbours), and the furthest rows within 1.5 times their distance (Tukey 1977). */
export interface Spread {
  count: number
  low: number
  first: number
  middle: number
  third: number
  high: number
  outside: readonly number[]
}

/** The spread of some numbers; null of none. */
export function spreadOf(values: readonly number[]): Spread | null {
  if (!values.length) return null
  const sorted = [...values].sort((a, b) => a - b)
  const [first, middle, third] = [0.25, 0.5, 0.75].map(share => quantileSorted(sorted, share)!) as [number, number, number]
  const reach = 1.5 * (third - first)
  const isWithin = (value: number) => value >= first - reach && value <= third + reach
  const within = sorted.filter(isWithin)
  return {
    count: sorted.length,
    low: within[0]!,
    first,
    middle,
    third,
    high: within.at(-1)!,
    outside: sorted.filter(value => !isWithin(value)),
  }
}

/** Rows of one group beyond which their dots say nothing more: of more as many are drawn, evenly taken, and it is said. */
const mostDots = 2000

/** How many of some rows are not drawn. */
const thinned = (count: number) => count - Math.ceil(count / Math.max(1, Math.ceil(count / mostDots)))

type Group = Entry & { value: null; list: readonly number[]; spread: Spread | null }

/** The numbers of each category, row by row. */
function groupsOf(spec: ChartSpec, table: DataTable, { data }: Setting): Group[] {
  const amount = columnNamed(table, spec.height) ?? firstAmount(table)
  const lists = new Map<string, number[]>(data.categories.map(({ key }) => [key, []]))
  data.category.values.forEach((value, index) => {
    const number = amount?.values[index]
    if (typeof number === 'number') lists.get(keyOf(value))?.push(number)
  })
  return data.categories.map(entry => ({ ...entry, value: null, list: lists.get(entry.key)!, spread: spreadOf(lists.get(entry.key)!) }))
}

type Look = 'both' | 'box' | 'strip'
interface Place {
  part: number
  plane: LyingPlane
  look: Look
  tone: Tone
  highlighted: boolean
}
const middleOf = ({ plane, part }: Place) => plane.down(part) + plane.band / 2
const thickOf = ({ plane, look }: Place) => plane.band * (look === 'both' ? 0.36 : 0.8)
const boxAt = (place: Place) => (place.look === 'both' ? place.plane.down(place.part) + thickOf(place) / 2 : middleOf(place))

function boxOf({ ratio }: Setting, { key }: Group, spread: Spread, place: Place): ChartMark[] {
  const { plane, part, tone, highlighted } = place
  const [y, thick] = [boxAt(place), thickOf(place)]
  const common = { part, highlighted, tone, foot: y, value: spread.middle }
  const whisker = (name: string, from: number, to: number): ChartMark => ({
    ...common,
    shape: 'line',
    key: `${key} ${name}`,
    points: [from, to].map(value => ({ x: plane.along(value), y })),
    width: 3,
  })
  const field = (own: string, from: number, width: number, more: number, ink?: Tone): ChartMark => ({
    ...common,
    ...(ink ? { tone: ink } : {}),
    shape: 'cell',
    key: own,

    x: from,
    width,
    y: y - thick / 2 - more,
    height: thick + 2 * more,
  })
  const [left, right] = [plane.along(spread.first), plane.along(spread.third)]
  return [
    whisker('low', spread.low, spread.first),
    whisker('high', spread.third, spread.high),
    field(key, left, Math.max(2, right - left), 0),
    field(`${key} middle`, plane.along(spread.middle) - 2 * ratio, 4 * ratio, 3, { name: 'ink' }),
  ]
}

/** Every row as a dot, those far out of a box alone. Where they lie up and down says nothing: a fixed sequence spreads them evenly. */
function dotsOf({ ratio }: Setting, { key, list }: Group, spread: Spread, place: Place): ChartMark[] {
  const { plane, part, tone, highlighted, look } = place
  const every = Math.ceil(list.length / mostDots)
  const shown = look === 'box' ? spread.outside : list.filter((_, at) => at % every === 0)
  const radius = Math.max(2, Math.min(7 * ratio, 60 / Math.sqrt(shown.length)))
  const [top, height] = look === 'strip' ? [plane.down(part), plane.band] : [plane.down(part) + plane.band * 0.48, plane.band * 0.5]
  const golden = 0.618034
  return shown.map((value, index): ChartMark => {
    const y = look === 'box' ? boxAt(place) : top + radius + ((index * golden) % 1) * Math.max(0, height - 2 * radius)
    const common = { part, highlighted, tone, value, key: `${key} row ${index}`, foot: middleOf(place), opacity: look === 'box' ? 1 : 0.55 }
    return { ...common, shape: 'point', x: plane.along(value), y, radius }
  })
}

function saidOf(setting: Setting, { key }: Group, spread: Spread, place: Place): ChartLabel[] {
  const { spec, size, words, width } = setting
  const { plane, part, look, highlighted, tone } = place
  if (look === 'strip' || plane.band <= size('value') * 1.2 || spec.labels === 'none' || (spec.labels === 'highlighted' && !highlighted))
    return []
  const text = words(spread.middle)
  const x = Math.min(plane.right - width(text, 'value'), Math.max(plane.left, plane.along(spread.high) + size('value') * 0.5))
  const marked = highlighted ? { tone } : {}
  return [labelAt(setting, 'value', text, { x, y: boxAt(place), at: 'start' }, { kind: 'value', part, key: `value ${key}`, ...marked })]
}

/** How the rows of each group spread: every row as a fine dot, the middle half as a box, and what lies far out. */
export const box: ChartKind = {
  name: 'box',
  label: 'Boxes and strips',
  part: 'row',
  shows: ['spread'],
  takes: ['across', 'height'],
  options: [
    {
      kind: 'choice',
      name: 'as',
      label: 'Drawn as',
      initial: 'both',
      values: [
        { value: 'both', label: 'boxes and dots' },
        { value: 'box', label: 'boxes' },
        { value: 'strip', label: 'dots' },
      ],
    },
  ],
  suits: ({ rows, categories, data, series }) => {
    if (!data.amount) return { score: 0, why: '', lacks: 'a column of numbers' }
    const each = rows / Math.max(1, categories)
    if (series > 1) return { score: 0.15, why: 'How the rows of each group spread, whatever parts them.' }
    if (each < 4) return { score: 0.05, why: 'Too few rows in each group to show how they spread.' }
    return {
      score: categories > 20 || each < 8 ? 0.3 : 0.64,
      why: `How the ${Math.round(each)} or so rows of each of ${categories} spread; sums hide it.`,
    }
  },
  draw(spec, table, room) {
    const { largest: _, ...all } = spec
    const setting = settingOf({ ...all, series: null, beside: [] }, table, room)
    const { isHighlighted, anyHighlighted, size, words, data } = setting
    const look = optionOf<Look>(box, spec.options ?? {}, 'as')
    const groups = groupsOf(spec, table, setting)
    const [least = 0, most = 1] = extent(groups.flatMap(({ spread }) => (spread ? [spread.low, spread.high, ...spread.outside] : [])))
    const ends = least === most ? ([least - 1, most + 1] as const) : ([least, most] as const)
    const ticks = ticksOf(ends)
    const domain = [Math.min(ends[0], ticks[0]!), Math.max(ends[1], ticks.at(-1)!)] as const
    const foot = setting.line('axis') * 1.3
    const plane = lyingPlane(setting, { rows: groups, most, least }, { ahead: size('axis') * 1.4, foot, domain, thickest: 76 })
    const drawn = groups.flatMap((group, part) => {
      const { spread, key } = group
      if (!spread) return []
      const highlighted = isHighlighted(key)
      const place: Place = {
        part,
        plane,
        look,
        highlighted,
        tone: { name: highlighted ? 'highlighted' : anyHighlighted ? 'quiet' : 'plain' },
      }
      const marks = [...(look === 'strip' ? [] : boxOf(setting, group, spread, place)), ...dotsOf(setting, group, spread, place)]
      return [{ marks, labels: saidOf(setting, group, spread, place), group, spread }]
    })
    const of = `${data.amount?.name ?? 'rows'} by ${data.category.name}`
    const high = drawn.reduce<(typeof drawn)[number] | null>(
      (best, one) => (!best || one.spread.middle > best.spread.middle ? one : best),
      null,
    )
    const said = high
      ? `${groups.length} rows. Highest middle: ${keyWords(data.category, high.group.key, room.language)}, ${words(high.spread.middle)}.`
      : 'without numbers.'
    const notDrawn = look === 'box' ? 0 : groups.reduce((sum, { list }) => sum + thinned(list.length), 0)
    return finished(setting, {
      of: 'Box chart',
      each: 'rows',
      marks: drawn.flatMap(({ marks }) => marks),
      labels: [...plane.names, ...drawn.flatMap(({ labels }) => labels), ...amountsAlong(setting, ticks, plane.along)],
      rules: linesAlong(ticks, plane.along, plane.top, plane.bottom).map(rule => ({ ...rule, kind: 'grid' })),
      names: groups.map(({ label }) => label),
      total: '',
      leftOut: plane.leftOut,
      ...(notDrawn
        ? {
            notes: [
              `${notDrawn === 1 ? 'One dot' : `${notDrawn} dots`} would lie on others and ${notDrawn === 1 ? 'is' : 'are'} not drawn.`,
            ],
          }
        : {}),
      description: `Box chart of ${of}, ${said}`,
    })
  },
}
