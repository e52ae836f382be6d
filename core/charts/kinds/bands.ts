import { quantileSorted } from 'd3-array'
import { gapless } from '../gapless'
import type { Tone } from '../tones'
import type { ChartMark, Point } from '../marks'
import { drawOnPlane, type OnPlane, type Plane } from '../plane'
import { optionOf } from '../../values'
import type { Setting } from '../setting'
import { besideLabels, besideWidth, nameBeside, type BesideWish } from '../side-labels'
import { outOfOrder } from '../shape-of-data'
import type { ChartKind } from './kind'

/** At most so much of the chart’s width is left for the names at its end. */
const mostBeside = 0.34
/** Widths of the middle’s line, and of one that is highlighted, px at the usual size. */
const widths = { middle: 6, highlighted: 9 }

/** A part of the chart: what lies between two shares of the series, in their order; of a line both are the same. */
interface Level {
  key: string
  label: string
  low: number
  high: number
}

const shareOf = (setting: Setting, name: 'inner' | 'outer') => optionOf<number>(bands, setting.spec.options ?? {}, name) / 100

function levelsOf(setting: Setting): Level[] {
  const between = (key: string, share: number): Level => ({
    key,
    label: share === 1 ? 'All' : share === 0.5 ? 'Middle half' : `Middle ${Math.round(share * 100)} %`,
    low: (1 - share) / 2,
    high: (1 + share) / 2,
  })
  const [inner, outer] = [shareOf(setting, 'inner'), Math.max(shareOf(setting, 'inner'), shareOf(setting, 'outer'))]
  return [
    between('outer', outer),
    ...(inner < outer ? [between('inner', inner)] : []),
    { key: 'middle', label: 'Median', low: 0.5, high: 0.5 },
  ]
}

const lastOf = (values: readonly (number | null)[]) => values.findLast(value => value !== null) ?? null

/** What lies between two shares of the amounts of each category (R-7, linear between neighbours); null where there are none. */
export function betweenShares({ values, categories }: Pick<Setting['data'], 'values' | 'categories'>, low: number, high: number) {
  return categories.map((_, at) => {
    const own = values.flatMap(list => list[at] ?? []).sort((a, b) => a - b)
    return own.length ? ([quantileSorted(own, low)!, quantileSorted(own, high)!] as const) : null
  })
}

/** Of one alone there is no line. */
const runsOf = <T>(list: readonly (T | null)[]) => gapless(list).filter(run => run.length > 1)

interface Said {
  marks: ChartMark[]
  wishes: BesideWish[]
}

/** The bands and the median, each a part. */
function levelOn(setting: Setting, plane: Plane, { key, label, low, high }: Level, part: number): Said {
  const { ratio, anyHighlighted, words, data } = setting
  const tone: Tone = { name: anyHighlighted ? 'quiet' : 'plain' }
  const isLine = low === high
  const through = betweenShares(data, low, high).map((ends, at) => {
    const place = (value: number): Point => ({ x: plane.across(at), y: plane.up(value) })
    return ends && { top: place(ends[1]), bottom: place(ends[0]), value: ends[1] }
  })
  const common = { part, value: null, highlighted: false, tone, foot: plane.baseline }
  const marks = runsOf(through).map((run, at): ChartMark => {
    const own = at ? `${key} ${at}` : key
    const [top, bottom] = [run.map(one => one.top), run.map(one => one.bottom)]
    return isLine
      ? { ...common, shape: 'line', key: own, points: top, width: widths.middle * ratio }
      : { ...common, shape: 'area', key: own, top, bottom, opacity: part ? 0.4 : 0.2 }
  })
  // A band is named at its upper edge, where it does not lie on the others.
  const last = through.findLast(one => one !== null)
  if (!last) return { marks, wishes: [] }
  const said = isLine ? `${words(last.value)}  ${label}` : label
  return {
    marks,
    wishes: [nameAt(setting, { key, part, y: last.top.y, words: said, weighs: isLine ? 3 : 1 + part * 0.1, highlighted: false })],
  }
}

/** A series that is highlighted, as its own line. */
function litOn(setting: Setting, plane: Plane, index: number, part: number): Said {
  const { data, ratio, words } = setting
  const { key, label } = data.series[index]!
  const points = data.values[index]!.map((value, at) => (value === null ? null : { x: plane.across(at), y: plane.up(value) }))
  const common = { part, highlighted: true, tone: { name: 'highlighted' as const }, foot: plane.baseline }
  const width = widths.highlighted * ratio
  const marks = runsOf(points).map((run, at): ChartMark => {
    return { ...common, value: null, shape: 'line', key: at ? `${key} ${at}` : key, points: run, width }
  })
  const [end, value] = [points.findLast(point => point !== null), lastOf(data.values[index]!)]
  if (!end) return { marks, wishes: [] }
  marks.push({ ...common, value, shape: 'point', key: `${key} end`, ...end, radius: width * 1.2, edge: 2 })
  const said = `${words(value)}  ${label}`
  return { marks, wishes: [nameAt(setting, { key, part, y: end.y, words: said, weighs: 4, highlighted: true })] }
}

const nameAt = (setting: Setting, of: Omit<Parameters<typeof nameBeside>[1], 'room'>) =>
  nameBeside(setting, { ...of, room: setting.room.width * mostBeside - setting.size('name') * 1.6 })

function bandsOn(setting: Setting, plane: Plane): OnPlane {
  const { data, isHighlighted, size } = setting
  const levels = levelsOf(setting)
  const lit = data.series.flatMap((entry, index) => (isHighlighted(entry.key) ? [{ ...entry, index }] : []))
  const drawn = [
    ...levels.map((level, part) => levelOn(setting, plane, level, part)),
    ...lit.map(({ index }, at) => litOn(setting, plane, index, levels.length + at)),
  ]
  const from = plane.right - size('axis') * 0.9
  const place = { x: plane.right + size('name') * 1.2, from, at: 'start' as const, top: 0, bottom: plane.namesTop }
  return {
    marks: drawn.flatMap(({ marks }) => marks),
    ends: [],
    taken: [],
    names: [...levels, ...lit].map(({ label }) => label),
    ...besideLabels(
      setting,
      drawn.flatMap(({ wishes }) => wishes),
      place,
    ),
  }
}

/** px that the words at the end take. */
function roomBeside(setting: Setting): number {
  const { data, words, width, room, size, isHighlighted } = setting
  const middle = betweenShares(data, 0.5, 0.5).findLast(ends => ends !== null)
  const own = levelsOf(setting).reduce((wide, { label, low, high }) => {
    const said = low === high ? `${words(middle?.[0] ?? null)}  ${label}` : label
    return Math.max(wide, width(said, 'name'))
  }, 0)
  const lit = (index: number) =>
    isHighlighted(data.series[index]!.key) ? `${words(lastOf(data.values[index]!))}  ${data.series[index]!.label}` : ''
  return Math.max(besideWidth(setting, lit, mostBeside), Math.min(room.width * mostBeside, own + size('name') * 1.6))
}

/** What many series lie between through time: all of them, the middle of them, and their median. One that is highlighted is drawn on it. */
export const bands: ChartKind = {
  name: 'bands',
  isMarked: true,
  label: 'Median with bands',
  part: 'band',
  shows: ['spread', 'change'],
  takes: ['across', 'height', 'series'],
  options: [
    { kind: 'number', name: 'inner', label: 'Inner band holds', min: 10, max: 90, step: 5, unit: '%', initial: 50 },
    { kind: 'number', name: 'outer', label: 'Outer band holds', min: 20, max: 100, step: 5, unit: '%', initial: 100 },
  ],
  suits: ({ series, categories, time, inOrder }) => {
    if (series < 2) return { score: 0, why: '', lacks: 'a column that parts each amount' }
    const why = `The ${series} as what they lie between: from the least to the most, the middle half, and the median.`
    if (categories < 3) return { score: 0.05, why: 'Too few moments for a band.' }
    if (!time) return { score: 0.1, why, warning: 'These rows have no order that a band could follow.' }
    if (!inOrder) return { score: 0.15, why, ...outOfOrder }
    if (series < 5) return { score: 0.1, why, warning: `Of ${series} there is no middle to speak of: draw each as a line.` }
    return { score: series > 12 ? 0.72 : 0.46, why }
  },
  draw: (spec, table, room) =>
    drawOnPlane(
      spec,
      table,
      room,
      setting => ({
        of: 'Band chart',
        parts: 'points',
        beyond: 4,
        points: true,
        axis: true,
        leads: false,
        right: roomBeside(setting),
      }),
      (_, plane, __, setting) => bandsOn(setting, plane),
    ),
}
