import { extent } from 'd3-array'
import { shorten } from '../category-labels'
import type { ChartLabel } from '../drawing'
import { finished, namesAlong } from '../finish'
import type { CellMark } from '../marks'
import { labelAt, settingOf, type Setting } from '../setting'
import type { Tone } from '../tones'
import type { ChartKind } from './kind'

/** px between fields. */
const between = 5
const numberOf = (count: number) => new Intl.NumberFormat('en').format(count)

/** The measures of the grid. */
function gridOf({ data, room, size, line, width }: Setting) {
  const names = data.series.reduce((wide, { label }) => Math.max(wide, width(label, 'name')), 0)
  const left = Math.min(room.width * 0.28, names) + size('name') * 0.6
  const [x, y] = [
    (room.width - left) / Math.max(1, data.categories.length),
    (room.height - line('axis') * 1.3) / Math.max(1, data.series.length),
  ]
  return { left, step: { x, y }, gap: { x: Math.min(between, x * 0.14), y: Math.min(between, y * 0.14) } }
}
type Grid = ReturnType<typeof gridOf>

/** The fields of one line, and what they say within themselves; `leftOut`: those that found no room. */
function lineOf(setting: Setting, { left, step, gap }: Grid, part: number, [least, most]: readonly [number, number]) {
  const { data, words, spec } = setting
  const { key } = data.series[part]!
  const marks: CellMark[] = []
  const labels: ChartLabel[] = []
  const leftOut: string[] = []
  data.categories.forEach((category, at) => {
    const value = data.values[part]![at]!
    const share = value === null ? 0 : most > least ? (value - least) / (most - least) : 1
    const tone: Tone = value === null ? { name: 'track' } : { name: 'scale', at: share }
    const own = `${key} ${category.key}`
    const [x, y] = [left + at * step.x, part * step.y]
    const common = { key: own, part, value, highlighted: false, tone, ...(value === null ? { opacity: 0.4 } : {}) }
    marks.push({ ...common, shape: 'cell', x: x + gap.x / 2, y: y + gap.y / 2, width: step.x - gap.x, height: step.y - gap.y })
    const isEnd = value === most || value === least
    if (value === null || spec.labels === 'none' || (spec.labels === 'highlighted' && !isEnd)) return
    const text = words(value)
    if (setting.width(text, 'value') >= step.x - gap.x - 6 || setting.line('value') >= step.y - gap.y) return void leftOut.push(text)
    const place = { x: x + step.x / 2, y: y + step.y / 2 }
    labels.push(
      labelAt(setting, 'value', text, place, { kind: 'value', part, key: `value ${own}`, tone: { on: tone }, weight: isEnd ? 700 : 500 }),
    )
  })
  return { marks, labels, leftOut }
}

/** Names of the lines at the left: as many as there is height for, and those that are highlighted. */
function lineNames(setting: Setting, { left, step }: Grid): ChartLabel[] {
  const { data, size, isHighlighted } = setting
  const every = Math.max(1, Math.ceil((setting.line('name') * 0.95) / step.y))
  return data.series.flatMap((one, part) => {
    const lit = isHighlighted(one.key)
    if (part % every && !lit) return []
    const words = shorten(one.label, left - size('name') * 0.6, text => setting.width(text, 'name'))
    const place = { x: left - size('name') * 0.6, y: (part + 0.5) * step.y, at: 'end' as const }
    return [
      labelAt(setting, 'name', words, place, {
        part,
        key: `name ${one.key}`,
        weight: lit ? 700 : 500,
        tone: { name: lit ? 'ink' : 'second-ink' },
      }),
    ]
  })
}

/** A grid of fields, each as strong as its amount: where the strong ones gather is seen at once. */
export const heat: ChartKind = {
  name: 'heat',
  label: 'Heat grid',
  part: 'row',
  shows: ['spread', 'change'],
  takes: ['across', 'height', 'series'],
  options: [],
  suits: ({ series, categories }) => {
    if (series < 2) return { score: 0, why: '', lacks: 'a column that parts each amount into rows of the grid' }
    const many = series * categories
    return {
      score: many > 60 ? 0.6 : many < 9 ? 0.2 : 0.45,
      why: `${numberOf(many)} fields: finds the quiet and the busy ones; exact amounts are lost.`,
    }
  },
  draw(spec, table, room) {
    const setting = settingOf(spec, table, room)
    const { data } = setting
    const grid = gridOf(setting)
    const [least = 0, most = 0] = extent(data.values.flat().filter(value => value !== null))
    const lines = data.series.map((_, part) => lineOf(setting, grid, part, [least, most]))
    const names = lineNames(setting, grid)
    const named = new Set(names.map(({ part }) => part))
    return finished(setting, {
      of: 'Heat grid',
      each: 'fields',
      marks: lines.flatMap(({ marks }) => marks),
      labels: [...names, ...lines.flatMap(({ labels }) => labels), ...namesAlong(setting, at => grid.left + (at + 0.5) * grid.step.x)],
      names: data.series.map(({ label }) => label),
      leftOut: [...data.series.flatMap(({ label }, part) => (named.has(part) ? [] : label)), ...lines.flatMap(({ leftOut }) => leftOut)],
    })
  },
}
