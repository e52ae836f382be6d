import type { ChartLabel } from '../drawing'
import { mix, type CellMark, type ChartMark, type Point } from '../marks'
import { slowEnds } from '../motion/ease'
import { drawOnPlane, type OnPlane, type Plane } from '../plane'
import { seriesTones } from '../series-tones'
import { labelAt, type Setting } from '../setting'
import { besideLabels, besideWidth, nameBeside } from '../side-labels'
import { outOfOrder } from '../shape-of-data'
import type { Tone } from '../tones'
import type { ChartKind } from './kind'

/** Pieces that a ribbon is drawn in. */
const pieces = 16
/** How much of a row’s band its column takes, and at most where what it says is wider. */
const ofBand = { usual: 0.45, most: 0.85 }
/** px between what stands on each other. */
const between = 3
/** At most so much of the chart’s width is left for the names at its end. */
const mostBeside = 0.28

/** Where a series stands in one column: the largest on top. */
interface Stand {
  value: number
  top: number
  bottom: number
}

/** Where each series stands in each column, `[series][category]`; null where it has nothing there. */
function standsOf({ data }: Setting, plane: Plane): (Stand | null)[][] {
  const stands = data.series.map(() => data.categories.map((): Stand | null => null))
  data.categories.forEach((_, at) => {
    const own = data.values.flatMap((list, index) => ((list[at] ?? 0) > 0 ? [{ index, value: list[at]! }] : []))
    let level = 0
    for (const { index, value } of own.sort((a, b) => a.value - b.value || b.index - a.index)) {
      const bottom = plane.up(level)
      level += value
      const high = bottom - plane.up(level)
      stands[index]![at] = { value, bottom, top: bottom - Math.max(0, high - Math.min(between, high / 2)) }
    }
  })
  return stands
}

/** The columns: as wide as what they say where there is room for it. */
function columnsOf({ data, spec, size, width: wide, words }: Setting, plane: Plane) {
  const widest =
    spec.labels === 'none' ? 0 : data.values.flat().reduce<number>((most, value) => Math.max(most, wide(words(value), 'axis')), 0)
  const width = Math.max(plane.band * ofBand.usual, Math.min(plane.band * ofBand.most, widest + size('axis') * 0.6))
  return (at: number) => ({ x: plane.across(at) + (plane.band - width) / 2, width })
}
type Columns = ReturnType<typeof columnsOf>

/** From one column to the next, slowly out of the one and into the other. */
function edgeOf(from: Point, to: Point): Point[] {
  return Array.from({ length: pieces + 1 }, (_, piece) => {
    const progress = piece / pieces
    return { x: mix(from.x, to.x, progress), y: mix(from.y, to.y, slowEnds(progress)) }
  })
}

/** One series: its columns and its ribbons, and what it comes to in each where there is room to say it. */
function seriesOn(setting: Setting, columnAt: Columns, stands: readonly (Stand | null)[], part: number, tone: Tone) {
  const { data, isHighlighted, anyHighlighted, spec, line } = setting
  const { key } = data.series[part]!
  const highlighted = isHighlighted(key)
  const wants = spec.labels === 'all' || (spec.labels === 'highlighted' && highlighted)
  const opacity = highlighted ? 0.55 : anyHighlighted ? 0.3 : 0.4
  const said: ChartLabel[] = []
  const leftOut: string[] = []
  const marks = stands.flatMap((stand, at): ChartMark[] => {
    if (!stand) return []
    const { value, top, bottom } = stand
    const place = columnAt(at)
    const common = { part, highlighted, tone, value }
    const own = `${key} ${data.categories[at]!.key}`
    const cell: CellMark = { ...common, shape: 'cell', key: own, ...place, y: top, height: bottom - top }
    const words = setting.words(value)
    const fits = bottom - top > line('axis') * 0.9 && setting.width(words, 'axis') < place.width - 6
    const middle = { x: place.x + place.width / 2, y: (top + bottom) / 2 }
    if (wants && (fits || setting.isMoved(`value ${own}`)))
      said.push(labelAt(setting, 'axis', words, middle, { kind: 'value', part, key: `value ${own}`, tone: { on: tone }, amount: value }))
    else if (wants) leftOut.push(words)
    const next = stands[at + 1]
    if (!next) return [cell]
    const [from, to] = [place.x + place.width, columnAt(at + 1).x]
    const edges = {
      top: edgeOf({ x: from, y: top }, { x: to, y: next.top }),
      bottom: edgeOf({ x: from, y: bottom }, { x: to, y: next.bottom }),
    }
    return [{ ...common, ...edges, shape: 'area', key: `${own} on`, foot: bottom, opacity }, cell]
  })
  return { marks, said, leftOut }
}

function ribbonsOf(setting: Setting, plane: Plane): OnPlane {
  const { data, isHighlighted, room, size, line } = setting
  const stands = standsOf(setting, plane)
  const columnAt = columnsOf(setting, plane)
  const tones = seriesTones(setting, 'voices')
  const drawn = stands.map((list, part) => seriesOn(setting, columnAt, list, part, tones[part]!))
  const end = data.categories.length ? columnAt(data.categories.length - 1) : { x: plane.right, width: 0 }
  const wide = room.width * mostBeside - size('name') * 1.6
  const wishes = stands.flatMap((list, part) => {
    const last = list.at(-1)
    if (!last) return []
    const { key, label } = data.series[part]!
    const y = (last.top + last.bottom) / 2
    return [nameBeside(setting, { key, part, y, words: label, room: wide, weighs: last.value, highlighted: isHighlighted(key) })]
  })
  const from = end.x + end.width
  const place = { x: from + size('name') * 1.2, from, at: 'start' as const, top: 0, bottom: plane.bottom + line('name') * 0.5 }
  const beside = besideLabels(setting, wishes, place)
  // The ribbons of all lie beneath the columns of all, and those that are highlighted on the others.
  const level = ({ shape, highlighted }: ChartMark) => Number(shape === 'cell') * 2 + Number(highlighted)
  return {
    marks: drawn.flatMap(({ marks }) => marks).sort((a, b) => level(a) - level(b)),
    ends: [],
    taken: [],
    labels: [...drawn.flatMap(({ said }) => said), ...beside.labels],
    names: data.series.map(({ label }) => label),
    leftOut: [...beside.leftOut, ...drawn.flatMap(one => one.leftOut)],
  }
}

/** Columns of parts in the order of their size, each joined to itself in the next column: what passes what is seen as it crosses. */
export const ribbons: ChartKind = {
  name: 'ribbons',
  label: 'Ribbons from column to column',
  part: 'ribbon',
  shows: ['change', 'share', 'order'],
  takes: ['across', 'height', 'series'],
  options: [],
  suits: ({ series, categories, adds, negative, time, inOrder, crossings }) => {
    if (series < 2) return { score: 0, why: '', lacks: 'a column that parts each amount' }
    if (categories < 2) return { score: 0, why: '', lacks: 'a second moment or group to go to' }
    const why = crossings
      ? `The ${series} add up to each column, the largest on top, and pass each other ${crossings === 1 ? 'once' : `${crossings} times`}.`
      : `The ${series} add up to each column, the largest on top.`
    if (negative) return { score: 0.1, why, warning: 'Amounts below zero have no width.' }
    if (!adds) return { score: 0.15, why, warning: 'These amounts are not parts of a whole: adding them up says nothing.' }
    if (!time) return { score: 0.2, why }
    if (!inOrder) return { score: 0.15, why, ...outOfOrder }
    return {
      score: series > 8 || categories > 12 ? 0.36 : crossings ? 0.63 : 0.42,
      why,
      ...(series > 16 ? { warning: `${series} ribbons cannot be followed.` } : {}),
    }
  },
  draw: (spec, table, room) =>
    drawOnPlane(
      spec,
      table,
      room,
      setting => ({
        of: 'Ribbon chart',
        parts: 'columns',
        beyond: 4,
        axis: true,
        leads: false,
        standing: 'stacked',
        right: besideWidth(setting, index => setting.data.series[index]!.label, mostBeside),
      }),
      (_, plane, __, setting) => ribbonsOf(setting, plane),
    ),
}
