import { extent } from 'd3-array'
import type { ChartLabel } from '../drawing'
import { finished } from '../finish'
import type { CellMark } from '../marks'
import { rowsOf } from '../plane'
import { scaleKey } from '../scale-key'
import { labelAt, settingOf, type Setting } from '../setting'
import type { Tone } from '../tones'
import { optionOf } from '../../values'
import type { ChartKind } from './kind'

/** The share of a field's step that is left free. */
const between = 0.12
const week = 7
/** 1 January 1970 was a Thursday: days from it to the Monday before. */
const mondayBefore = 3
const msOfDay = 86_400_000
const mostLines = 12
const monday = (day: number) => day - ((((day + mondayBefore) % week) + week) % week)

/** How the weeks of some days lie: in as many lines as give the largest fields, or as were asked for. */
function planOf(setting: Setting, days: readonly number[]) {
  const { room, size, line, width, spec } = setting
  const [first = 0, last = 0] = extent(days)
  const start = monday(first)
  const weeks = Math.floor((last - start) / week) + 1
  const nameOf = (day: number, options: Intl.DateTimeFormatOptions) =>
    new Intl.DateTimeFormat(room.language, { ...options, timeZone: 'UTC' }).format(new Date(day * msOfDay))
  const left = Math.max(...[0, 3, 5].map(day => width(nameOf(start + day, { weekday: 'short' }), 'axis'))) + size('axis') * 0.5
  const [head, foot] = [line('axis') * 1.2, line('axis') * 1.3]
  const cellFor = (lines: number) =>
    Math.max(1, Math.min((room.width - left) / Math.ceil(weeks / lines), (room.height - foot - head * lines) / (lines * (week + 0.4))))
  let lines = Math.round(optionOf<number>(calendar, spec.options ?? {}, 'lines')) || 1
  if (!spec.options?.lines)
    for (let more = 2; more <= mostLines && more <= weeks; more++) if (cellFor(more) > cellFor(lines) + 0.01) lines = more
  const each = Math.ceil(weeks / lines)
  const cell = cellFor(lines)
  const from = left + Math.max(0, (room.width - left - each * cell) / 2)
  return { first, start, weeks, lines, each, cell, head, from, nameOf, high: head + cell * (week + 0.4) }
}
type Plan = ReturnType<typeof planOf>

function fieldOf({ start, each, cell, head, from, high }: Plan, day: number) {
  const at = Math.floor((day - start) / week)
  const gap = cell * between
  const [x, y] = [from + (at % each) * cell, Math.floor(at / each) * high + head + ((day - start) % week) * cell]
  return { x: x + gap / 2, y: y + gap / 2, width: cell - gap, height: cell - gap }
}

/** Weekdays at the left of a line and months above it. */
function wordsOf(setting: Setting, plan: Plan, line: number): ChartLabel[] {
  const { size, room } = setting
  const { start, first, each, weeks, cell, head, from, high, nameOf } = plan
  const y = line * high
  const tall = setting.line('axis')
  const step = tall > cell * 2.9 ? 6 : tall > cell * 0.95 ? 3 : 1
  const labels = Array.from({ length: Math.ceil(week / step) }, (_, index) => {
    const day = index * step
    const place = { x: from - size('axis') * 0.5, y: y + head + (day + 0.5) * cell, at: 'end' as const }
    return labelAt(setting, 'axis', nameOf(start + day, { weekday: 'short' }), place, { kind: 'axis', key: `weekday ${day} ${line}` })
  })
  let free = -Infinity
  for (let at = line * each; at < Math.min(weeks, (line + 1) * each); at++) {
    const day = at === 0 ? first : start + at * week
    const x = from + (at % each) * cell
    const begins = at === 0 || new Date(day * msOfDay).getUTCDate() <= week
    if (!begins || x < free) continue
    const label = labelAt(
      setting,
      'axis',
      nameOf(day, { month: 'short' }),
      { x, y: y + head * 0.5, at: 'start' },
      { key: `month ${at}`, tone: { name: 'second-ink' } },
    )
    free = x + label.width + size('axis') * 0.4
    if (x + label.width <= room.width) labels.push(label)
  }
  return labels
}

/** A field for each day, weeks from left to right and weekdays downwards; a long span lies in lines one under the other. */
export const calendar: ChartKind = {
  name: 'calendar',
  label: 'Calendar',
  part: 'month',
  shows: ['spread', 'change'],
  takes: ['across', 'height'],
  options: [{ kind: 'number', name: 'lines', label: 'Lines (0: as suits)', min: 0, max: 12, step: 1, unit: '', initial: 0 }],
  suits: ({ data, categories }) => {
    if (!data.moments || data.category.grain !== 'day') return { score: 0, why: '', lacks: 'a column of days' }
    if (categories < 21) return { score: 0.15, why: 'Few days: columns tell them apart better.' }
    return { score: 0.82, why: `${categories} days by weekday and week: what comes back is seen.` }
  },
  draw(spec, table, room) {
    const { largest: _, ...all } = spec
    const setting = settingOf({ ...all, order: 'data' }, table, room)
    const { data, words, isHighlighted } = setting
    const { rows, values } = rowsOf(setting, 'beside')
    const naming = { of: 'Calendar', each: 'days' }
    if (data.category.grain !== 'day' || !data.moments?.length) {
      const says = labelAt(setting, 'name', 'A calendar needs a column of days', { x: room.width / 2, y: room.height / 2 })
      return finished(setting, { ...naming, marks: [], labels: [says], names: [] })
    }
    const days = data.moments
    const plan = planOf(setting, days)
    const [least = 0, most = 0] = extent(values)
    // A month is a part: it comes as one.
    const months = new Map<string, { part: number; name: string }>()
    const partOf = (day: number) => {
      const key = new Date(day * msOfDay).toISOString().slice(0, 7)
      if (!months.has(key)) months.set(key, { part: months.size, name: plan.nameOf(day, { month: 'short', year: 'numeric' }) })
      return months.get(key)!.part
    }
    const marks = rows.map(({ key, value }, index): CellMark => {
      const highlighted = isHighlighted(key)
      const share = value !== null && most > least ? (value - least) / (most - least) : 1
      const tone: Tone = value === null ? { name: 'track' } : highlighted ? { name: 'second' } : { name: 'scale', at: share }
      return { shape: 'cell', key, part: partOf(days[index]!), value, highlighted, tone, ...fieldOf(plan, days[index]!) }
    })
    const key = values.length
      ? scaleKey(setting, [least, most], plan.from, room.height - setting.line('axis') * 0.5, 0)
      : { marks: [], labels: [] }
    const best = rows.find(({ value }) => value === most)
    const said = best ? ` Most: ${best.label}, ${words(best.value)}.` : ''
    return finished(setting, {
      ...naming,
      marks: [...marks, ...key.marks],
      labels: [...Array.from({ length: plan.lines }, (_, line) => wordsOf(setting, plan, line)).flat(), ...key.labels],
      names: [...months.values()].map(({ name }) => name),
      description: `Calendar of ${data.amount?.name ?? 'rows'}, ${rows.length} days.${said}`,
    })
  },
}
