import type { ChartLabel, ChartRule } from '../drawing'
import { finished } from '../finish'
import { seriesKey } from '../key'
import type { BarMark } from '../marks'
import { rowsOf, totalLabels, type ChartRows } from '../plane'
import { opacityOf } from '../plane/axis'
import { lyingPlane, type LyingPlane } from '../plane/lying'
import { seriesTones } from '../series-tones'
import { describe } from '../describe'
import { clearOf, levelsOf, levelsOn, markedInWords, notesOn, spotsOf, withLevels } from '../markings'
import { labelAt, quietly, settingOf, type Setting } from '../setting'
import type { Tone } from '../tones'
import { showLargest } from '../shape-of-data'
import type { ChartKind } from './kind'

/** One bar: of a row, or of one series in it. */
function barOf(setting: Setting, plane: LyingPlane, part: number, index: number): BarMark {
  const { data, isHighlighted } = setting
  const several = data.series.length > 1
  const [row, one] = [data.categories[part]!, data.series[index]!]
  const thick = plane.band / data.series.length
  const value = data.values[index]![part]!
  const end = value === null ? plane.base : plane.along(value)
  const negative = (value ?? 0) < 0
  const highlighted = isHighlighted(row.key) || (several && isHighlighted(one.key))
  const gap = several ? Math.min(6, thick * 0.14) : 0
  const tone = several ? seriesTones(setting, 'voices')[index] : negative && !highlighted ? ({ name: 'loss' } as const) : undefined
  return {
    shape: 'bar',
    key: several ? `${row.key} ${one.key}` : row.key,
    part,
    value,
    highlighted,
    lying: true,
    negative,
    x: Math.min(end, plane.base),
    width: Math.abs(end - plane.base),
    y: plane.down(part) + index * thick + gap / 2,
    height: thick - gap,
    ...(tone ? { tone } : {}),
  }
}

/** What a bar says at its end; null where it says nothing, undefined where it has no room to. */
function saidAt(setting: Setting, mark: BarMark): ChartLabel | null | undefined {
  const { spec, size, words, data } = setting
  const { value, highlighted, negative, part } = mark
  if (value === null || spec.labels === 'none' || (spec.labels === 'highlighted' && !highlighted)) return null
  if (mark.height < size('value') * 0.8 && !setting.isMoved(`value ${mark.key}`) && !(highlighted && data.series.length === 1))
    return undefined
  const tone: Tone | undefined = mark.tone?.name === 'loss' ? mark.tone : highlighted ? { name: 'highlighted' } : undefined
  const x = (negative ? mark.x : mark.x + mark.width) + (negative ? -1 : 1) * size('value') * 0.35
  const place = { x, y: mark.y + mark.height / 2, at: negative ? ('end' as const) : ('start' as const) }
  const look = { weight: highlighted ? 700 : 600, ...(tone ? { tone } : {}) }
  return labelAt(setting, 'value', words(value), place, { kind: 'value', part, key: `value ${mark.key}`, amount: value, ...look })
}

/** Amounts along the top with their lines down the bars: how far they reach changes as a table is run through, and has to be seen. */
function axisOf(setting: Setting, { ticks }: ChartRows, plane: LyingPlane): { rules: ChartRule[]; labels: ChartLabel[] } {
  if (!ticks || setting.spec.labels === 'none') return { rules: [], labels: [] }
  const words = setting.among(ticks.map(({ value }) => value))
  const shown = ticks.filter(({ value }) => value !== 0).map(({ value, seen }) => ({ value, x: plane.along(value), ...opacityOf(seen) }))
  return {
    rules: shown.map(({ value, x, ...seen }) => ({
      from: { x, y: plane.top },
      to: { x, y: plane.bottom },
      kind: 'grid',
      key: `axis ${value}`,
      ...seen,
    })),
    labels: shown.map(({ value, x, ...seen }) => {
      const place = { x, y: plane.top - setting.line('axis') * 0.5 }
      return labelAt(setting, 'axis', words(value), place, { kind: 'axis', key: `axis ${value}`, ...seen })
    }),
  }
}

/** Bars under each other, names at the left; what falls short goes the other way, in the colour of losses. */
export const lyingBar: ChartKind = {
  name: 'lying-bar',
  isMarked: true,
  label: 'Bars',
  followsPlaces: true,
  part: 'bar',
  shows: ['order'],
  takes: ['across', 'height', 'series'],
  options: [],
  suits: ({ categories, series, time, negative }) => {
    if (time && categories > 2) return { score: 0.25, why: 'Bars under each other; time is read better from left to right.' }
    if (categories > 40)
      return { score: 0.4, why: `${categories} bars.`, warning: `${categories} bars cannot all be named.`, remedy: showLargest(20) }
    const base = series > 3 ? 0.35 : series > 1 ? 0.6 : 0.76
    return {
      score: base + (categories > 6 ? 0.12 : 0),
      why: negative
        ? 'What grew and what shrank lie on two sides of one line.'
        : `${categories} names in full, amounts beside each other from one base.`,
    }
  },
  draw(spec, table, room) {
    const setting = settingOf(spec, table, room)
    const { data, words, size } = setting
    const rows = withLevels(rowsOf(setting, 'beside'), levelsOf(setting))
    const top = spec.total ? setting.line('lead') * 1.1 : 0
    const key = seriesKey(setting, top)
    const reach = (of: (value: number) => boolean) =>
      spec.labels === 'none'
        ? 4
        : rows.values.reduce(
            (most, value) => (of(value) ? Math.max(most, setting.width(words(value), 'value') + size('value') * 0.6) : most),
            4,
          )
    const plane = lyingPlane(setting, rows, {
      ahead: reach(value => value >= 0),
      behind: reach(value => value < 0),
      head: top + key.height + (rows.ticks ? setting.line('axis') : 0),
      domain: rows.ticks ? [rows.least, rows.most] : undefined,
      thickest: (rows.ticks ? 120 : 60) * (1 + (data.series.length - 1) * 0.8),
    })
    const axis = axisOf(setting, rows, plane)
    const marks = rows.rows.flatMap((_, part) => data.series.map((__, index) => barOf(setting, plane, part, index)))
    const said = marks.map(mark => saidAt(setting, mark))
    const total = spec.total ? totalLabels(words(rows.values.reduce((sum, value) => sum + value, 0)), setting) : []
    const named = [...plane.names, ...said.filter(label => !!label), ...key.labels]
    const levels = levelsOn(setting, { top: plane.top, bottom: plane.bottom, along: plane.along }, { marks, labels: named })
    const spots = spotsOf(setting, (value, at) => ({ x: plane.along(value), y: plane.down(at) + plane.band / 2 }), 'beside')
    const notes = notesOn(setting, spots, { marks, labels: [...named, ...levels.labels] }, true)
    return finished(setting, {
      of: 'Bar chart',
      each: 'bars',
      marks: [...levels.marks, ...quietly(marks, setting)],
      labels: [...named, ...axis.labels, ...total, ...levels.labels, ...notes.labels],
      rules: [
        ...axis.rules,
        ...levels.rules.flatMap(rule => clearOf(rule, notes.labels)),
        { from: { x: plane.base, y: plane.top }, to: { x: plane.base, y: plane.bottom }, kind: 'base', key: 'base' },
      ],
      names: rows.rows.map(({ label }) => label),
      leftOut: [...plane.leftOut, ...marks.flatMap((mark, at) => (said[at] === undefined ? words(mark.value) : [])), ...notes.leftOut],
      ...(spec.references?.length || spec.notes?.length
        ? { description: [describe(setting, 'Bar chart', 'bars'), ...markedInWords(setting)].join(' ') }
        : {}),
    })
  },
}
