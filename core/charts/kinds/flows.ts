import type { Entry } from '../../data'
import type { ChartLabel } from '../drawing'
import { finished } from '../finish'
import type { ChartMark } from '../marks'
import { labelAt, settingOf, type Setting } from '../setting'
import { besideLabels, nameBeside } from '../side-labels'
import type { Tone } from '../tones'
import { showLargest } from '../shape-of-data'
import type { ChartKind } from './kind'

/** Width of the sides, px at the usual size, and what of the height the gaps between their parts take. */
const side = 26
const gaps = 0.16

/**
 * An order of one side in which the ribbons cross least, by the mean of where they come from (the barycentre heuristic; Sugiyama, Tagawa
 * and Toda 1981).
 */
export function leastCrossing(flows: readonly (readonly number[])[], count: number): number[] {
  const centre = (to: number) => {
    let [sum, all] = [0, 0]
    flows.forEach((list, from) => {
      sum += from * (list[to] ?? 0)
      all += list[to] ?? 0
    })
    return all ? sum / all : Infinity
  }
  const centres = Array.from({ length: count }, (_, to) => centre(to))
  return centres.map((_, to) => to).sort((a, b) => centres[a]! - centres[b]! || a - b)
}

/** The most of the width that names take at one side. */
const mostBeside = 0.26
const sumOf = (values: readonly number[]) => values.reduce((sum, value) => sum + value, 0)

/** One of the two sides: its entries with what they come to, and where they stand. */
interface Side {
  of: 'from' | 'to'
  entries: readonly Entry[]
  sums: readonly number[]
  order: readonly number[]
  tops: readonly number[]
  /** px of its outer edge, where its names end or begin. */
  edge: number
}

/** What goes from each category to each series, and both sides laid out. */
function planOf(setting: Setting) {
  const { data, room, ratio, size, width, words } = setting
  const amounts = data.categories.map((_, from) => data.series.map((__, to) => Math.max(0, data.values[to]![from] ?? 0)))
  const sums = { from: amounts.map(sumOf), to: data.series.map((_, to) => sumOf(amounts.map(list => list[to]!))) }
  const whole = sumOf(sums.from)
  const most = Math.max(1, Math.max(data.categories.length, data.series.length) - 1)
  const gap = Math.min(28 * ratio, (room.height * gaps) / most)
  const scale = whole ? (room.height - gap * most) / whole : 0
  const sideOf = (of: 'from' | 'to', entries: readonly Entry[], order: readonly number[]): Side => {
    const own = sums[of]
    let y = (room.height - whole * scale - gap * Math.max(0, order.length - 1)) / 2
    const tops: number[] = []
    for (const at of order) {
      tops[at] = y
      y += own[at]! * scale + gap
    }
    const widest = entries.reduce((wide, { label }, at) => Math.max(wide, width(`${label}  ${words(own[at]!)}`, 'name')), 0)
    const names = Math.min(room.width * mostBeside, widest) + size('name') * 1.2
    return { of, entries, sums: own, order, tops, edge: of === 'from' ? names : room.width - names }
  }
  const from = sideOf('from', data.categories, [...data.categories.keys()])
  const to = sideOf('to', data.series, leastCrossing(amounts, data.series.length))
  return { amounts, whole, scale, from, to, wide: side * ratio }
}
type Plan = ReturnType<typeof planOf>

function ribbonsOf({ isHighlighted, anyHighlighted }: Setting, { amounts, scale, from, to, wide }: Plan): ChartMark[] {
  const used = { from: [...from.tops], to: [...to.tops] }
  return from.order.flatMap(a =>
    to.order.flatMap((b): ChartMark[] => {
      const value = amounts[a]![b]!
      if (!value) return []
      const width = value * scale
      const [start, end] = [from.entries[a]!, to.entries[b]!]
      const highlighted = isHighlighted(start.key) || isHighlighted(end.key)
      const tone: Tone = { name: highlighted ? 'highlighted' : anyHighlighted ? 'quiet' : 'plain' }
      const ends = {
        from: { x: from.edge + wide, y: used.from[a]! + width / 2 },
        to: { x: to.edge - wide, y: used.to[b]! + width / 2 },
      }
      used.from[a]! += width
      used.to[b]! += width
      const common = { key: `${start.key} → ${end.key}`, part: a, value, highlighted, tone, width }
      return [{ ...common, ...ends, shape: 'link', opacity: highlighted ? 0.75 : anyHighlighted ? 0.35 : 0.3 }]
    }),
  )
}

/** The blocks of a side. Those that things go to are there from the first ribbon on. */
function blocksOf({ isHighlighted, anyHighlighted }: Setting, { of, entries, sums, tops, edge }: Side, { scale, wide }: Plan): ChartMark[] {
  return entries.map(({ key }, at): ChartMark => {
    const highlighted = isHighlighted(key)
    const tone: Tone = { name: highlighted ? 'highlighted' : anyHighlighted ? 'quiet' : 'plain' }
    const place = { x: of === 'from' ? edge : edge - wide, y: tops[at]!, width: wide, height: sums[at]! * scale }
    return { shape: 'cell', key: `${of} ${key}`, part: of === 'from' ? at : 0, value: sums[at]!, highlighted, tone, ...place }
  })
}

function namesOf(setting: Setting, { of, entries, sums, tops, edge }: Side, { scale }: Plan) {
  const { room, size, isHighlighted, words } = setting
  const way = of === 'from' ? -1 : 1
  const wishes = entries.flatMap(({ key, label }, at) => {
    if (!sums[at]) return []
    const y = tops[at]! + (sums[at]! * scale) / 2
    const part = of === 'from' ? at : null
    const said = `${label}  ${words(sums[at]!)}`
    return [
      nameBeside(setting, {
        key: `${of} ${key}`,
        part,
        y,
        words: said,
        room: room.width * mostBeside,
        weighs: sums[at]!,
        highlighted: isHighlighted(key),
      }),
    ]
  })
  return besideLabels(setting, wishes, {
    x: edge + way * size('name') * 0.6,
    from: edge,
    at: of === 'from' ? 'end' : 'start',
    top: 0,
    bottom: room.height,
  })
}

/** What goes from each of one side to each of the other, as ribbons as wide as it is much. */
export const flows: ChartKind = {
  name: 'flows',
  label: 'Flows between two sides',
  part: 'ribbon',
  shows: ['link', 'share'],
  takes: ['across', 'height', 'series'],
  options: [],
  suits: ({ series, categories, adds, negative, time }) => {
    if (series < 2) return { score: 0, why: '', lacks: 'a column for the other side' }
    if (negative || !adds) return { score: 0.05, why: 'Flows.', warning: 'What flows is an amount that adds up and is not below zero.' }
    if (time) return { score: 0.1, why: 'From each moment to each series; time is read better from left to right.' }
    const many = series * categories
    return {
      score: many > 60 ? 0.3 : 0.58,
      why: `What goes from ${categories} to ${series}, with the sums of both sides.`,
      ...(many > 120 ? { warning: `${many} ribbons cannot be followed.`, remedy: showLargest(6) } : {}),
    }
  },
  draw(spec, table, room) {
    const setting = settingOf(spec, table, room)
    const plan = planOf(setting)
    const sides = [plan.from, plan.to]
    const names = sides.map(one => namesOf(setting, one, plan))
    const total: ChartLabel[] = spec.total
      ? [
          labelAt(
            setting,
            'value',
            `Total ${setting.words(plan.whole)}`,
            { x: room.width / 2, y: room.height - setting.line('value') / 2 },
            { kind: 'total', key: 'total' },
          ),
        ]
      : []
    return finished(setting, {
      of: 'Flow chart',
      each: 'flows',
      marks: [...ribbonsOf(setting, plan), ...sides.flatMap(one => blocksOf(setting, one, plan))],
      labels: [...names.flatMap(({ labels }) => labels), ...total],
      names: plan.from.entries.map(({ label }) => label),
      leftOut: names.flatMap(({ leftOut }) => leftOut),
    })
  },
}
