import type { AreaMark, ChartMark, LineMark } from '../marks'
import { drawOnPlane, type OnPlane, type Plane } from '../plane'
import { orderedParts, seriesTones } from '../series-tones'
import { besideLabels, besideWidth, nameBeside, type BesideWish } from '../side-labels'
import { optionOf } from '../../values'
import type { Setting } from '../setting'
import { outOfOrder } from '../shape-of-data'
import type { ChartKind } from './kind'

/** At most so much of the chart’s width is left for the names of the areas. */
const mostBeside = 0.28
const asShares = (setting: Setting) => optionOf<boolean>(area, setting.spec.options ?? {}, 'share')

/** The levels between which each series lies, from the lowest; as shares, of what each category comes to. */
function levelsOf(setting: Setting, order: readonly number[]): { index: number; from: number[]; to: number[] }[] {
  const { categories, values } = setting.data
  const share = asShares(setting)
  const whole = categories.map((_, at) => values.reduce((sum, list) => sum + Math.max(0, list[at] ?? 0), 0))
  let level = categories.map(() => 0)
  return order.map(index => {
    const from = level
    level = from.map((start, at) => {
      const value = values[index]![at] ?? 0
      return start + (share ? (whole[at] ? Math.max(0, value) / whole[at]! : 0) : value)
    })
    return { index, from, to: level }
  })
}

function areasOf(setting: Setting, plane: Plane): OnPlane {
  const { data, ratio, isHighlighted, size, line, room } = setting
  const several = data.series.length > 1
  const tones = seriesTones(setting, 'parts')
  const marks: ChartMark[] = []
  const wishes: BesideWish[] = []
  const points = (levels: readonly number[]) => levels.map((level, at) => ({ x: plane.across(at), y: plane.up(level) }))
  for (const { index, from, to } of levelsOf(setting, orderedParts(setting))) {
    const { key, label } = data.series[index]!
    const highlighted = isHighlighted(key)
    const [top, bottom] = [points(to), points(from)]
    const common = { key, part: index, value: null, tone: tones[index]!, foot: plane.baseline }
    marks.push({ ...common, shape: 'area', highlighted, top, bottom, ...(several ? { edge: 3 } : { opacity: 0.3 }) } satisfies AreaMark)
    if (!several) marks.push({ ...common, shape: 'line', highlighted: false, points: top, width: 6 * ratio } satisfies LineMark)
    const [up, down] = [top.at(-1)?.y ?? 0, bottom.at(-1)?.y ?? 0]
    const wide = room.width * mostBeside - size('name') * 1.6
    wishes.push(
      nameBeside(setting, { key, part: index, y: (up + down) / 2, words: label, room: wide, weighs: Math.abs(up - down), highlighted }),
    )
  }
  const names = data.series.map(({ label }) => label)
  if (!several) return { marks, ends: [], taken: [], names }
  const end = plane.right - size('axis') * 1.1
  const place = { x: end + size('name') * 1.2, from: end, at: 'start' as const, top: 0, bottom: plane.bottom + line('name') * 0.5 }
  return { marks, ends: [], taken: [], names, ...besideLabels(setting, wishes, place) }
}

/** The room beneath a line; of several series, one on the other, each named at its end. */
export const area: ChartKind = {
  name: 'area',
  isMarked: true,
  label: 'Areas',
  part: 'area',
  shows: ['change', 'share'],
  takes: ['across', 'height', 'series'],
  options: [{ kind: 'boolean', name: 'share', label: 'As shares of 100 %', initial: false }],
  suits: ({ series, time, categories, adds, negative, inOrder }) => {
    if (categories < 3) return { score: 0.05, why: 'Too few moments for an area.' }
    if (!time) return { score: 0.15, why: 'The room beneath a line.', warning: 'These rows have no order that an area could follow.' }
    if (!inOrder) return { score: 0.15, why: 'The room beneath a line.', ...outOfOrder }
    if (series > 1 && (negative || !adds))
      return { score: 0.15, why: 'Areas on each other.', warning: 'These amounts do not add up to a whole.' }
    return {
      score: series > 1 ? (series > 8 ? 0.4 : 0.66) : 0.55,
      why:
        series > 1 ? `The ${series} add up to a whole, so the total is seen too.` : 'One amount through time, and how much of it there is.',
    }
  },
  draw: (spec, table, room) =>
    drawOnPlane(
      spec,
      table,
      room,
      setting => ({
        of: 'Area chart',
        parts: 'points',
        beyond: 4,
        points: true,
        axis: true,
        standing: asShares(setting) ? 'share' : 'stacked',
        ...(asShares(setting) ? { words: (value: number) => setting.share(value, 1) } : {}),
        right: setting.data.series.length > 1 ? besideWidth(setting, index => setting.data.series[index]!.label, mostBeside) : 0,
      }),
      (_, plane, __, setting) => areasOf(setting, plane),
    ),
}
