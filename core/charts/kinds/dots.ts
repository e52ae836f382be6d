import type { ChartLabel } from '../drawing'
import { amountsAlong, finished, linesAlong } from '../finish'
import { seriesKey } from '../key'
import type { ChartMark } from '../marks'
import { nearOf, rowsOf, ticksOf } from '../plane'
import { lyingPlane, type LyingPlane } from '../plane/lying'
import { seriesTones } from '../series-tones'
import { labelAt, settingOf, type Setting } from '../setting'
import type { Tone } from '../tones'
import type { ChartKind } from './kind'

/** Radius of a dot, and of a highlighted one, px at the usual size. */
const small = 12
const large = 16

interface Dot {
  index: number
  value: number
  x: number
}
const radiusOf = ({ ratio }: Setting, { band }: LyingPlane) => Math.min(small * ratio, band / 2)

const dotsOf = ({ data }: Setting, plane: LyingPlane, part: number): Dot[] =>
  data.series.flatMap((_, index) => {
    const value = data.values[index]![part] ?? null
    return value === null ? [] : [{ index, value, x: plane.along(value) }]
  })

/** The dots of one row, and the way between them or from the base. */
function marksOf(setting: Setting, plane: LyingPlane, part: number, found: readonly Dot[]): ChartMark[] {
  const { data, isHighlighted, anyHighlighted, ratio } = setting
  if (!found.length) return []
  const several = data.series.length > 1
  const { key } = data.categories[part]!
  const y = plane.down(part) + plane.band / 2
  const radius = radiusOf(setting, plane)
  const lit = isHighlighted(key)
  const ends = several ? found.map(({ x }) => x) : [plane.base, found[0]!.x]
  const points = [Math.min(...ends), Math.max(...ends)].map(x => ({ x, y }))
  const width = Math.max(2, radius * (several ? 0.5 : 0.35))
  const way: ChartMark = {
    shape: 'line',
    key: `${key} way`,
    part,
    value: null,
    highlighted: lit,
    tone: { name: 'quieter' },
    points,
    width,
    foot: y,
  }
  const tones = seriesTones(setting, 'voices')
  const dots = found.map(({ index, value, x }): ChartMark => {
    const one = data.series[index]!
    const highlighted = lit || (several && isHighlighted(one.key))
    const tone: Tone = several ? tones[index]! : { name: lit ? 'highlighted' : anyHighlighted ? 'quiet' : 'plain' }
    const size = Math.min(highlighted ? large * ratio : radius, Math.max(radius, plane.band / 2))
    return {
      shape: 'point',
      key: several ? `${key} ${one.key}` : key,
      part,
      value,
      highlighted,
      tone,
      x,
      y,
      radius: size,
      foot: y,
      edge: 2,
    }
  })
  return [way, ...dots]
}

/** What the ends of a row say, outside of them; undefined where there is no room to. */
function saidOf(setting: Setting, plane: LyingPlane, part: number, found: readonly Dot[]): ChartLabel[] | undefined {
  const { data, isHighlighted, size, words, spec } = setting
  const { key } = data.categories[part]!
  const lit = isHighlighted(key)
  if (!found.length || spec.labels === 'none' || (spec.labels === 'highlighted' && !lit)) return []
  if (plane.band < size('value') * 0.6 && !lit) return undefined
  const away = radiusOf(setting, plane) + size('value') * 0.4
  const y = plane.down(part) + plane.band / 2
  const beside = (at: 'start' | 'end', { value, x, index }: Dot) => {
    const look = { kind: 'value' as const, part, key: `value ${key} ${index}`, ...(lit ? { tone: { name: 'highlighted' as const } } : {}) }
    return labelAt(setting, 'value', words(value), { x: x + (at === 'start' ? away : -away), y, at }, look)
  }
  const sorted = [...found].sort((a, b) => a.value - b.value)
  const [first, last] = [sorted[0]!, sorted.at(-1)!]
  if (data.series.length < 2) return [beside(last.value < 0 ? 'end' : 'start', last)]
  const fits = first !== last && first.x - setting.width(words(first.value), 'value') - away > plane.left
  return [beside('start', last), ...(fits ? [beside('end', first)] : [])]
}

/** A dot for each amount on the line of its row; of several series, the way from the first to the last is drawn. */
export const dots: ChartKind = {
  name: 'dots',
  label: 'Dots',
  part: 'row',
  shows: ['order', 'spread'],
  takes: ['across', 'height', 'series'],
  options: [],
  suits: ({ series, categories, time }) => {
    if (time && categories > 3) return { score: 0.2, why: 'Dots on lines; time is read better from left to right.' }
    if (series === 2) return { score: 0.7, why: `The gap between the two, ${categories} times.` }
    return {
      score: series > 1 ? 0.4 : 0.42,
      why:
        series > 1
          ? `${series} dots a row show how far they lie apart.`
          : 'Amounts by place alone: differences stay seen where no bar would fit from zero.',
    }
  },
  draw(spec, table, room) {
    const setting = settingOf(spec, table, room)
    const { data, words, size } = setting
    const rows = rowsOf(setting, 'beside')
    const several = data.series.length > 1
    const key = seriesKey(setting)
    // A way between two has no foot; a single dot has its stem from the base.
    const ends = several ? nearOf(rows.values) : ([rows.least, rows.most || 1] as const)
    const ticks = ticksOf(ends)
    const wide = rows.values.reduce((most, value) => Math.max(most, setting.width(words(value), 'value')), 0) + size('value') * 1.2
    const plane = lyingPlane(setting, rows, {
      ahead: wide,
      ...(several ? {} : { behind: wide }),
      head: key.height,
      foot: setting.line('axis') * 1.3,
      domain: [Math.min(ends[0], ticks[0]!), Math.max(ends[1], ticks.at(-1)!)],
    })
    const found = rows.rows.map((_, part) => dotsOf(setting, plane, part))
    const said = found.map((dots, part) => saidOf(setting, plane, part, dots))
    return finished(setting, {
      of: 'Dot chart',
      each: 'rows',
      marks: found.flatMap((dots, part) => marksOf(setting, plane, part, dots)),
      labels: [...plane.names, ...said.flatMap(labels => labels ?? []), ...amountsAlong(setting, ticks, plane.along), ...key.labels],
      rules: linesAlong(ticks, plane.along, plane.top, plane.bottom),
      names: rows.rows.map(({ label }) => label),
      leftOut: [
        ...plane.leftOut,
        ...found.flatMap((dots, part) => (said[part] === undefined ? dots.map(({ value }) => words(value)) : [])),
      ],
    })
  },
}
