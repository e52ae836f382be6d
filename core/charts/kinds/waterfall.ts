import type { ChartRule } from '../drawing'
import type { BarMark, ChartMark } from '../marks'
import { drawOnPlane, endOf, type AmountAt, type ChartRows, type OnPlane, type Plane } from '../plane'
import { labelAt, type Setting } from '../setting'
import type { Tone } from '../tones'
import { optionOf } from '../../values'
import type { ChartKind } from './kind'

/** px of the teeth of a torn foot. */
const tooth = 16
/** Where totals dwarf the steps, they are cut below what the lowest level comes to. */
const dwarfed = 0.5

/** The amount that columns are cut at, a round one below the lowest level; 0 where the steps are seen without. */
function cutAt(values: readonly (number | null)[]): number {
  let [level, low, high] = [0, Infinity, -Infinity]
  values.slice(0, -1).forEach(value => {
    level += value ?? 0
    low = Math.min(low, level)
    high = Math.max(high, level)
  })
  if (!(low > high * dwarfed) || high === low) return 0
  const step = 10 ** Math.floor(Math.log10((high - low) / 2))
  return Math.max(0, Math.floor((low - (high - low) * 0.35) / step) * step)
}

/** A band with teeth above and below, torn across a column. */
function tornEdge(x: number, y: number, width: number): string {
  const count = Math.max(2, Math.round(width / tooth))
  const step = width / count
  const teeth = (way: 1 | -1) => `l${(way * step) / 2} ${-step / 2}l${(way * step) / 2} ${step / 2}`.repeat(count)
  return `M${x} ${y}${teeth(1)}v${tooth * 0.7}${teeth(-1)}Z`
}

/** The steps, each from where the one before ended; the first and the last may stand on the base. */
function stepsOf({ rows }: ChartRows, { up, across, band, baseline }: Plane, begins: boolean, isHighlighted: (key: string) => boolean) {
  const marks: BarMark[] = []
  const ends: AmountAt[] = []
  const rules: ChartRule[] = []
  let level = 0
  rows.forEach(({ key, value }, part) => {
    const isSum = part === rows.length - 1
    const isTotal = isSum || (begins && part === 0)
    const from = isSum ? 0 : level
    if (!isSum) level += value ?? 0
    const [foot, end] = [isTotal ? baseline : up(from), up(level)]
    const highlighted = isHighlighted(key)
    const falls = level < from
    const tone: Tone = highlighted ? { name: 'highlighted' } : isTotal ? { name: 'second-ink' } : { name: falls ? 'loss' : 'quiet' }
    const height = Math.max(value === null && !isSum ? 0 : 2, Math.abs(foot - end))
    const place = { x: across(part), width: band, y: Math.min(foot, end), height, corner: isTotal ? 6 : 0 }
    const mark: BarMark = { shape: 'bar', key, part, value: isSum ? level : value, highlighted, negative: falls, tone, ...place }
    marks.push(mark)
    ends.push({ ...endOf(mark, falls), signed: !isTotal })
    if (!isSum) rules.push({ from: { x: across(part), y: end }, to: { x: across(part + 1) + band, y: end }, kind: 'divider' })
  })
  return { marks, ends, rules }
}

/** Columns that do not stand on nothing are torn, and it is said where they begin. */
function torn(setting: Setting, rows: ChartRows, { across, band, baseline }: Plane): Pick<OnPlane, 'marks' | 'labels'> {
  const marks = [0, rows.rows.length - 1].map((part): ChartMark => ({
    shape: 'path',
    key: `torn ${part}`,
    part,
    value: null,
    highlighted: false,
    tone: { name: 'ground' },
    d: tornEdge(across(part) - 2, baseline - tooth * 2.4, band + 4),
    middle: { x: across(part) + band / 2, y: baseline },
  }))
  if (setting.spec.total) return { marks }
  const place = { x: setting.room.width, y: setting.line('axis') / 2, at: 'end' as const }
  const words = `Columns begin at ${setting.words(rows.least)}`
  return { marks, labels: [labelAt(setting, 'axis', words, place, { kind: 'note', key: 'cut', tone: { name: 'second-ink' } })] }
}

/** Steps from one total to the next, each beginning where the one before ended; the last column is what they come to. */
export const waterfall: ChartKind = {
  name: 'waterfall',
  isMarked: true,
  label: 'Waterfall',
  part: 'step',
  shows: ['change', 'share'],
  takes: ['across', 'height'],
  options: [
    { kind: 'boolean', name: 'begins', label: 'The first is a total', initial: false },
    { kind: 'words', name: 'end', label: 'Name of the sum', initial: 'Total' },
  ],
  suits: ({ series, categories, adds, negative, time }) => {
    if (series > 1) return { score: 0.05, why: 'Steps of one amount only.' }
    if (!adds) return { score: 0.05, why: 'Steps to a total.', warning: 'These amounts do not add up to a total.' }
    if (categories > 16) return { score: 0.15, why: 'Steps to a total.', warning: `${categories} steps cannot all be named.` }
    return {
      score: negative ? 0.74 : time ? 0.2 : 0.34,
      why: negative
        ? 'What was gained and what was lost, and what it comes to.'
        : 'How the parts come to their total, one after the other.',
    }
  },
  draw(spec, table, room) {
    const options = spec.options ?? {}
    const begins = optionOf<boolean>(waterfall, options, 'begins')
    const kind = {
      of: 'Waterfall chart',
      parts: 'steps',
      beyond: 0,
      standing: 'steps' as const,
      // Its own last row is what all come to.
      more: [optionOf<string>(waterfall, options, 'end') || 'Total'],
      cut: ({ rows }: ChartRows) => (begins ? cutAt(rows.map(({ value }) => value)) : 0),
    }
    return drawOnPlane(spec, table, room, kind, (rows, plane, isHighlighted, setting) => {
      const { marks, ends, rules } = stepsOf(rows, plane, begins, isHighlighted)
      const edges = rows.least > 0 ? torn(setting, rows, plane) : { marks: [] }
      return { ends, rules, taken: marks, ...edges, marks: [...marks, ...edges.marks] }
    })
  },
}
