import { scaleLinear } from 'd3-scale'
import { finished } from '../finish'
import type { ChartMark } from '../marks'
import { labelAt, settingOf, type Setting } from '../setting'
import { besideLabels, nameBeside, type BesideWish } from '../side-labels'
import type { Tone } from '../tones'
import type { ChartKind } from './kind'

/** Widths of lines, and radii of their ends, px at the usual size. */
const quiet = { line: 4, dot: 8 }
const strong = { line: 9, dot: 13 }
/** The most of the width that names take at one side. */
const mostBeside = 0.36

type End = 0 | 1

/** What each series was and is: its amounts in the first and the last category. */
const endsOf = ({ data }: Setting) =>
  data.series.map((_, index) => [data.values[index]![0] ?? null, data.values[index]!.at(-1) ?? null] as const)
type Ends = ReturnType<typeof endsOf>

const wordsAt = ({ words, data }: Setting, ends: Ends, index: number, end: End) =>
  end ? `${words(ends[index]![1])}  ${data.series[index]!.label}` : `${data.series[index]!.label}  ${words(ends[index]![0])}`

/** Where the two ends stand, and how high amounts are: a line has no foot, so what lies between the amounts is what is compared. */
function placesOf(setting: Setting, ends: Ends) {
  const { data, room, size, line, width } = setting
  const side = (end: End) => {
    const head = width(data.categories.at(end ? -1 : 0)?.label ?? '', 'value') / 2
    const widest = data.series.reduce(
      (wide, _, index) => (ends[index]![end] === null ? wide : Math.max(wide, width(wordsAt(setting, ends, index, end), 'name'))),
      head,
    )
    return Math.min(room.width * mostBeside, widest) + size('name') * 1.2
  }
  const shown = ends.flat().filter(value => value !== null)
  const [low, high] = shown.length ? [Math.min(...shown), Math.max(...shown)] : [0, 1]
  const top = line('name') * 1.6
  const left = side(0)
  const reach = [room.height - line('name') * 0.6, top + line('name') * 0.6]
  return {
    x: [left, Math.max(left + 20, room.width - side(1))] as const,
    top,
    up: scaleLinear(low === high ? [low - 1, high + 1] : [low, high], reach),
  }
}

/** One series: its line, its two ends, and what is said beside them. */
function drawOne(setting: Setting, ends: Ends, places: ReturnType<typeof placesOf>, part: number) {
  const { data, isHighlighted, anyHighlighted, ratio, room } = setting
  const { key } = data.series[part]!
  const highlighted = isHighlighted(key)
  const look = highlighted ? strong : quiet
  const tone: Tone = highlighted ? { name: 'highlighted' } : { name: anyHighlighted ? 'line' : 'plain' }
  const common = { part, highlighted, tone, foot: room.height }
  const points = ends[part]!.map((value, end) => (value === null ? null : { x: places.x[end as End], y: places.up(value) }))
  const [from, to] = points
  const marks: ChartMark[] = []
  const wishes: [BesideWish[], BesideWish[]] = [[], []]
  if (from && to) marks.push({ ...common, shape: 'line', key, value: ends[part]![1], points: [from, to], width: look.line * ratio })
  const weighs = Math.abs((ends[part]![1] ?? 0) - (ends[part]![0] ?? 0))
  for (const end of [0, 1] as const) {
    const point = points[end]
    if (!point) continue
    marks.push({ ...common, shape: 'point', key: `${key} ${end}`, value: ends[part]![end], ...point, radius: look.dot * ratio })
    wishes[end].push(
      nameBeside(setting, {
        key: `${key} ${end}`,
        part,
        y: point.y,
        words: wordsAt(setting, ends, part, end),
        room: room.width * mostBeside,
        weighs,
        highlighted,
      }),
    )
  }
  return { marks, wishes }
}

/** The first against the last: a line for each series from what it was to what it is. */
export const slope: ChartKind = {
  name: 'slope',
  label: 'First against last',
  part: 'line',
  shows: ['change', 'order'],
  takes: ['across', 'height', 'series'],
  options: [],
  suits: ({ series, categories, time }) => {
    if (series < 2) return { score: 0, why: '', lacks: 'a column that parts each amount, such as a route' }
    if (categories < 2) return { score: 0, why: '', lacks: 'a second moment or group to go to' }
    const middle = categories - 2
    return {
      score: categories === 2 ? 0.86 : time ? 0.64 : 0.35,
      why: middle
        ? `Only the ends matter: ${series} lines from first to last, the ${middle} between left out.`
        : `${series} lines show who rose and who fell.`,
      ...(series > 20 ? { warning: `${series} lines cannot all be named: those that changed least go without.` } : {}),
    }
  },
  draw(spec, table, room) {
    const setting = settingOf(spec, table, room)
    const { data, size, line, words } = setting
    const ends = endsOf(setting)
    const places = placesOf(setting, ends)
    const drawn = data.series.map((_, part) => drawOne(setting, ends, places, part))
    const sides = ([0, 1] as const).map(end => {
      const [from, way] = [places.x[end], end ? 1 : -1]
      const wishes = drawn.flatMap(one => one.wishes[end])
      const place = {
        x: from + way * size('name') * 1.1,
        from,
        at: end ? ('start' as const) : ('end' as const),
        top: places.top,
        bottom: room.height,
      }
      const category = data.categories.at(end ? -1 : 0)
      const head = category
        ? [
            labelAt(
              setting,
              'value',
              category.label,
              { x: from, y: line('name') * 0.5 },
              { kind: 'category', weight: 700, key: `end ${end}` },
            ),
          ]
        : []
      const { labels, leftOut } = besideLabels(setting, wishes, place)
      return { labels: [...labels, ...head], leftOut }
    })
    return finished(setting, {
      of: 'Slope chart',
      each: 'lines',
      marks: drawn.flatMap(({ marks }) => marks).sort((a, b) => Number(a.highlighted) - Number(b.highlighted)),
      labels: sides.flatMap(({ labels }) => labels),
      names: data.series.map(({ label }) => label),
      total: words(ends.reduce<number>((sum, [, value]) => sum + (value ?? 0), 0)),
      leftOut: sides.flatMap(({ leftOut }) => leftOut),
    })
  },
}
