import { scaleLinear } from 'd3-scale'
import { shorten } from '../category-labels'
import type { ChartLabel, ChartRule } from '../drawing'
import { finished } from '../finish'
import type { ChartMark, Point } from '../marks'
import { rowsOf, ticksOf } from '../plane'
import { labelAt, settingOf, type Setting } from '../setting'
import type { Tone } from '../tones'
import { optionOf } from '../../values'
import type { ChartKind } from './kind'

/** So many panels at most can be read. */
const mostPanels = 36

/** Columns of panels that keep them nearest to a shape of 3 to 2. */
export function panelGrid(count: number, width: number, height: number): { columns: number; lines: number } {
  let best = { columns: 1, lines: count, off: Infinity }
  for (let columns = 1; columns <= count; columns++) {
    const lines = Math.ceil(count / columns)
    const off = Math.abs(Math.log(width / columns / (height / lines) / 1.5)) + (columns * lines - count) * 0.04
    if (off < best.off) best = { columns, lines, off }
  }
  return best
}

/** The measures that all panels share: their places, and one scale of amounts. */
function planOf(setting: Setting) {
  const { data, room, size, line, width } = setting
  const { most, least } = rowsOf(setting, 'beside')
  const count = Math.min(mostPanels, data.series.length)
  const ticks = ticksOf([least, most || 1])
  const top = ticks.at(-1)!
  const words = setting.among(ticks)
  const axis = Math.max(width(words(top), 'axis'), width(words(0), 'axis')) + size('axis') * 0.5
  const { columns, lines } = panelGrid(Math.max(1, count), room.width - axis, room.height)
  const gap = size('axis') * 1.3
  const wide = (room.width - axis - gap * (columns - 1)) / columns
  const high = (room.height - line('axis') * 1.15 - gap * (lines - 1)) / lines
  return {
    count,
    columns,
    lines,
    axis,
    gap,
    wide,
    high,
    top,
    words,
    head: line('name') * 1.1,
    domain: [Math.min(least, ticks[0]!), top] as const,
  }
}
type Plan = ReturnType<typeof planOf>

/** One panel: where it stands, and where moments and amounts stand in it. */
function panelAt({ data }: Setting, plan: Plan, part: number) {
  const [column, row] = [part % plan.columns, Math.floor(part / plan.columns)]
  const [x, y] = [plan.axis + column * (plan.wide + plan.gap), row * (plan.high + plan.gap)]
  const count = data.categories.length
  const domain = data.moments ? [data.moments[0] ?? 0, data.moments.at(-1) ?? 1] : [0, Math.max(1, count - 1)]
  const across = scaleLinear(domain, [x + 4, x + plan.wide - 4])
  const up = scaleLinear(plan.domain, [y + plan.high, y + Math.min(plan.head, plan.high * 0.5)])
  const isLast = row === plan.lines - 1 || part + plan.columns >= plan.count
  return { x, y, isLast, across: (at: number) => across(data.moments ? data.moments[at]! : at), up }
}
type Panel = ReturnType<typeof panelAt>

const through = ({ data }: Setting, { across, up }: Panel, index: number) =>
  data.values[index]!.flatMap((value, at): Point[] => (value === null ? [] : [{ x: across(at), y: up(value) }]))

function linesOf(setting: Setting, plan: Plan, panel: Panel, part: number): ChartMark[] {
  const { data, isHighlighted, anyHighlighted, ratio, spec } = setting
  const { key } = data.series[part]!
  const highlighted = isHighlighted(key)
  const common = { part, value: null, foot: panel.up(0) }
  const others = optionOf<boolean>(multiples, spec.options ?? {}, 'shadows')
    ? [...Array(plan.count).keys()].filter(index => index !== part)
    : []
  const shadows = others.map((index): ChartMark => {
    const own = `${key} behind ${data.series[index]!.key}`
    return {
      ...common,
      shape: 'line',
      key: own,
      highlighted: false,
      tone: { name: 'track' },
      points: through(setting, panel, index),
      width: 3 * ratio,
    }
  })
  const tone: Tone = { name: highlighted ? 'highlighted' : anyHighlighted ? 'line' : 'plain' }
  return [
    ...shadows,
    { ...common, shape: 'line', key, highlighted, tone, points: through(setting, panel, part), width: (highlighted ? 8 : 5) * ratio },
  ]
}

function barsOf({ data, isHighlighted, anyHighlighted }: Setting, { wide }: Plan, { x, up }: Panel, part: number): ChartMark[] {
  const { key } = data.series[part]!
  const highlighted = isHighlighted(key)
  const tone: Tone = { name: highlighted ? 'highlighted' : anyHighlighted ? 'quiet' : 'plain' }
  const step = wide / Math.max(1, data.categories.length)
  return data.values[part]!.flatMap((value, at): ChartMark[] => {
    if (value === null) return []
    const [end, foot] = [up(value), up(0)]
    const place = { x: x + (at + 0.1) * step, width: step * 0.8, y: Math.min(end, foot), height: Math.abs(end - foot), corner: 3 }
    return [{ shape: 'bar', key: `${key} ${data.categories[at]!.key}`, part, value, highlighted, tone, negative: value < 0, ...place }]
  })
}

/** Its name above a panel, the scale beside the first, the first and last moment under the lowest of each column. */
function wordsOf(setting: Setting, plan: Plan, { x, y, up, isLast }: Panel, part: number): ChartLabel[] {
  const { data, isHighlighted, size, line, width } = setting
  const { key, label } = data.series[part]!
  const highlighted = isHighlighted(key)
  const labels: ChartLabel[] = []
  if (plan.high > plan.head * 1.4) {
    const name = shorten(label, plan.wide, text => width(text, 'name'))
    const look = { weight: highlighted ? 700 : 600, ...(highlighted ? { tone: { name: 'highlighted' as const } } : {}) }
    labels.push(labelAt(setting, 'name', name, { x, y: y + plan.head / 2, at: 'start' }, { part, key: `name ${key}`, ...look }))
  }
  if (part === 0)
    for (const tick of [0, plan.top]) {
      const place = { x: plan.axis - size('axis') * 0.5, y: up(tick), at: 'end' as const }
      labels.push(labelAt(setting, 'axis', plan.words(tick), place, { kind: 'axis', key: `axis ${tick}` }))
    }
  const [first, last] = [data.categories[0]?.label, data.categories.length > 1 ? data.categories.at(-1)!.label : undefined]
  if (!isLast || first === undefined || width(first, 'axis') + width(last ?? '', 'axis') + size('axis') >= plan.wide) return labels
  const under = y + plan.high + line('axis') * 0.6
  labels.push(labelAt(setting, 'axis', first, { x, y: under, at: 'start' }, { kind: 'axis', key: `first ${key}` }))
  if (last !== undefined)
    labels.push(labelAt(setting, 'axis', last, { x: x + plan.wide, y: under, at: 'end' }, { kind: 'axis', key: `last ${key}` }))
  return labels
}

const rulesOf = ({ wide, top }: Plan, { x, up }: Panel): ChartRule[] => [
  { from: { x, y: up(0) }, to: { x: x + wide, y: up(0) }, kind: 'base' },
  { from: { x, y: up(top) }, to: { x: x + wide, y: up(top) }, kind: 'grid' },
]

/** A small chart for each series, on one scale, with the others as shadows. */
export const multiples: ChartKind = {
  name: 'multiples',
  label: 'Small multiples',
  part: 'panel',
  shows: ['change'],
  takes: ['across', 'height', 'series'],
  options: [
    {
      kind: 'choice',
      name: 'as',
      label: 'Drawn as',
      initial: 'line',
      values: [
        { value: 'line', label: 'lines' },
        { value: 'bar', label: 'columns' },
      ],
    },
    { kind: 'boolean', name: 'shadows', label: 'The others as shadows', initial: true, when: { name: 'as', is: 'line' } },
  ],
  suits: ({ series, categories, time }) => {
    if (series < 2) return { score: 0, why: '', lacks: 'a column that parts each amount into panels' }
    if (categories < 2) return { score: 0.05, why: 'One amount a panel says little.' }
    return {
      score: time ? (series > 5 ? 0.74 : 0.6) : 0.35,
      why: `Each of the ${series} with its own story, on one scale.`,
      ...(series > mostPanels ? { warning: `${series} panels are too small to read. The first ${mostPanels} are drawn.` } : {}),
    }
  },
  draw(spec, table, room) {
    const setting = settingOf(spec, table, room)
    const { data } = setting
    const asBars = optionOf<string>(multiples, spec.options ?? {}, 'as') === 'bar'
    const plan = planOf(setting)
    const panels = data.series.slice(0, plan.count).map((_, part) => panelAt(setting, plan, part))
    const named = plan.high > plan.head * 1.4
    return finished(setting, {
      of: 'Small multiples',
      each: 'panels',
      marks: panels.flatMap((panel, part) => (asBars ? barsOf(setting, plan, panel, part) : linesOf(setting, plan, panel, part))),
      labels: panels.flatMap((panel, part) => wordsOf(setting, plan, panel, part)),
      rules: panels.flatMap(panel => rulesOf(plan, panel)),
      names: data.series.slice(0, plan.count).map(({ label }) => label),
      total: '',
      leftOut: data.series.slice(named ? plan.count : 0).map(({ label }) => label),
    })
  },
}
