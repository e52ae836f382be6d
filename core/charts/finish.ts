import { describe } from './describe'
import type { ChartDrawing, ChartLabel, ChartRule } from './drawing'
import { labelAt, type Setting } from './setting'

/** What a kind has drawn: the rest follows. `of` and `parts` name it for those who do not see it, as “Bar chart” of “bars”. */
export interface Drawn extends Partial<ChartDrawing> {
  marks: ChartDrawing['marks']
  names: readonly string[]
  of: string
  each: string
}

/** A drawing of what a kind has drawn: a part for each name, the total of all numbers, and the chart in words. */
export function finished(setting: Setting, { of, each, ...drawn }: Drawn): ChartDrawing {
  const all = setting.data.values.flat().filter(value => value !== null)
  return {
    labels: [],
    rules: [],
    parts: drawn.names.length,
    total: setting.words(all.reduce((sum, value) => sum + value, 0)),
    leftOut: [],
    description: describe(setting, of, each),
    write: setting.words,
    ...drawn,
  }
}

/** Amounts along the foot of a chart. */
export const amountsAlong = (setting: Setting, ticks: readonly number[], along: (tick: number) => number): ChartLabel[] => {
  const words = setting.among(ticks)
  const y = setting.room.height - setting.line('axis') * 0.5
  return ticks.map(tick => labelAt(setting, 'axis', words(tick), { x: along(tick), y }, { kind: 'axis', key: `axis ${tick}` }))
}

/** Upright lines at amounts; the one at nothing is the base. */
export const linesAlong = (ticks: readonly number[], along: (tick: number) => number, top: number, bottom: number): ChartRule[] =>
  ticks.map(tick => ({ from: { x: along(tick), y: top }, to: { x: along(tick), y: bottom }, kind: tick === 0 ? 'base' : 'grid' }))

/** The names of the categories along the foot, each under its place; those that would touch the one before are left out, never the last. */
export function namesAlong(setting: Setting, across: (at: number) => number): ChartLabel[] {
  const { data, room } = setting
  const gap = setting.size('axis') * 0.6
  const y = room.height - setting.line('axis') * 0.5
  const made = data.categories.map(({ key, label }, at) => {
    const one = labelAt(setting, 'axis', label, { x: across(at), y }, { key: `at ${key}`, tone: { name: 'second-ink' } })
    return { ...one, x: Math.max(one.width / 2, Math.min(one.x, room.width - one.width / 2)) }
  })
  const last = made.at(-1)
  const lastStart = last ? last.x - last.width / 2 - gap : Infinity
  let free = -Infinity
  return made.filter(label => {
    const [from, to] = [label.x - label.width / 2, label.x + label.width / 2]
    if (from < free || (label !== last && to > lastStart)) return false
    free = to + gap
    return true
  })
}
