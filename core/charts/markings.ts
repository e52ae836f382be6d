import { max, mean, median, min } from 'd3-array'
import type { ChartNote, Reference } from '../model'
import type { ChartLabel, ChartRule } from './drawing'
import { placeLabels, type Candidate, type Rectangle } from './labels'
import { mixPoint, type AreaMark, type ChartMark, type Point } from './marks'
import { labelAt, saidBy, type Setting } from './setting'

/** A level with what it is now. */
export interface Level {
  reference: Reference
  at: number
  until: number | null
  words: string
}

const measures: Readonly<Record<Exclude<Reference['at'], number>, (values: number[]) => number | undefined>> = {
  mean: values => mean(values),
  median: values => median(values),
  most: values => max(values),
  least: values => min(values),
}
const called = { mean: 'mean', median: 'median', most: 'greatest', least: 'least' } as const

/** The levels of a chart in its amounts as they are; those that there are no amounts for are none. */
export function levelsOf({ spec, data, among }: Setting): Level[] {
  const values = data.values.flat().filter(value => value !== null)
  return (spec.references ?? []).flatMap((reference): Level[] => {
    const at = typeof reference.at === 'number' ? reference.at : measures[reference.at](values)
    if (at === undefined) return []
    const name = typeof reference.at === 'number' ? '' : `${called[reference.at]} `
    const until = reference.until ?? null
    const words = among(until === null ? [at] : [at, until])
    const usual = until === null ? `${name}${words(at)}` : `${name}${words(at)} – ${words(until)}`
    return [{ reference, at, until, words: reference.words.trim() || usual }]
  })
}

/** What the amounts of a chart lie between, with its levels among them. */
export function withLevels<R extends { most: number; least: number }>(rows: R, levels: readonly Level[]): R {
  const all = levels.flatMap(({ at, until }) => [at, until ?? at])
  return all.length ? { ...rows, most: Math.max(rows.most, ...all), least: Math.min(rows.least, ...all) } : rows
}

/** How much of its colour a band has. */
const bandSeen = 0.16

export const noLevels: { marks: AreaMark[]; rules: ChartRule[]; labels: ChartLabel[] } = { marks: [], rules: [], labels: [] }

const boxOf = ({ x, y, width, height }: ChartLabel): Rectangle => ({
  x: x - width / 2,
  y: y - (height * 0.8) / 2,
  width,
  height: height * 0.8,
})

/** Boxes along a line, so that words keep off it. */
function alongLine(points: readonly Point[]): Rectangle[] {
  const every = 24
  return points.slice(1).flatMap((to, at) => {
    const from = points[at]!
    const count = Math.min(60, Math.max(1, Math.ceil(Math.hypot(to.x - from.x, to.y - from.y) / every)))
    return Array.from({ length: count + 1 }, (_, step) => {
      const { x, y } = mixPoint(from, to, step / count)
      return { x: x - 5, y: y - 5, width: 10, height: 10 }
    })
  })
}

/** What words about a chart keep off, of its marks. */
const takenBy = (marks: readonly ChartMark[]): Rectangle[] =>
  marks.flatMap(mark => {
    if (mark.shape === 'bar' || mark.shape === 'cell') return [mark]
    if (mark.shape === 'point')
      return [{ x: mark.x - mark.radius, y: mark.y - mark.radius, width: 2 * mark.radius, height: 2 * mark.radius }]
    return mark.shape === 'line' ? alongLine(mark.points) : mark.shape === 'area' ? alongLine(mark.top) : []
  })

/** A line in pieces, without where words stand on it. */
export function clearOf(rule: ChartRule, labels: readonly ChartLabel[]): ChartRule[] {
  const isDown = rule.from.x === rule.to.x
  const level = isDown ? rule.from.x : rule.from.y
  const gaps = labels
    .map(boxOf)
    .filter(box => (isDown ? level > box.x - 3 && level < box.x + box.width + 3 : level > box.y - 3 && level < box.y + box.height + 3))
    .map(box => (isDown ? [box.y - 4, box.y + box.height + 4] : [box.x - 6, box.x + box.width + 6]) as [number, number])
    .sort((one, other) => one[0] - other[0])
  const [begin, end] = isDown ? [rule.from.y, rule.to.y] : [rule.from.x, rule.to.x]
  const pieces: [number, number][] = []
  let at = begin
  for (const [from, until] of gaps) {
    if (from > at) pieces.push([at, Math.min(from, end)])
    at = Math.max(at, until)
  }
  if (at < end) pieces.push([at, end])
  const place = (value: number): Point => (isDown ? { x: level, y: value } : { x: value, y: level })
  return pieces.map(([from, to], piece) => ({ ...rule, key: piece ? `${rule.key} ${piece}` : rule.key!, from: place(from), to: place(to) }))
}

/** A plane that levels go across, or down where bars lie. */
export type LevelPlane = { along: (value: number) => number } & ({ left: number; right: number } | { top: number; bottom: number })

/**
 * Levels across a plane: a line each, or a band, its words along it where they are on no mark and no other words. A line is left out where
 * words stand on it.
 */
export function levelsOn(
  setting: Setting,
  plane: LevelPlane,
  drawn: { marks: readonly ChartMark[]; labels: readonly ChartLabel[] },
): typeof noLevels {
  const made: typeof noLevels = { marks: [], rules: [], labels: [] }
  const isDown = 'top' in plane
  const end = (value: number, from: boolean): Point =>
    isDown ? { x: plane.along(value), y: from ? plane.top : plane.bottom } : { x: from ? plane.left : plane.right, y: plane.along(value) }
  const wishes: Candidate<ChartLabel>[] = []
  const lines: ChartRule[] = []
  levelsOf(setting).forEach(({ at, until, words }, index) => {
    const key = `level ${index}`
    if (until !== null) {
      const [low, high] = [Math.min(at, until), Math.max(at, until)]
      const corners = isDown
        ? { top: [end(low, true), end(high, true)], bottom: [end(low, false), end(high, false)] }
        : { top: [end(high, true), end(high, false)], bottom: [end(low, true), end(low, false)] }
      const look = { value: null, highlighted: false, tone: { name: 'second' as const }, opacity: bandSeen }
      made.marks.push({ shape: 'area', key, part: 0, ...corners, foot: corners.bottom[0]!.y, ...look })
    } else lines.push({ from: end(at, true), to: end(at, false), kind: 'reference', key })
    const upper = until === null ? at : Math.max(at, until)
    const label = labelAt(
      setting,
      'note',
      words,
      { x: 0, y: 0 },
      { kind: 'note', key: `${key} words`, tone: { name: 'second' }, weight: 600 },
    )
    wishes.push({ label, priority: -index, places: placesAlong(plane, end(upper, true), label) })
  })
  const { width, height } = setting.room
  const taken = [...takenBy(drawn.marks), ...drawn.labels.map(boxOf)]
  const { placed, leftOut } = placeLabels(wishes, { x: 0, y: 0, width, height }, taken)
  // Words that find no free place stand at the end all the same: a line without them says nothing.
  const ends = leftOut.map(label => ({ label, place: wishes.find(wish => wish.label === label)!.places[0]! }))
  made.labels = [...placed, ...ends].map(({ label, place }) => ({ ...label, x: place.x + place.width / 2, y: place.y + place.height / 2 }))
  made.rules = lines.flatMap(line => clearOf(line, [...drawn.labels, ...made.labels]))
  return made
}

/** Places of words along a level: from its end to its beginning, above it before below. */
function placesAlong(plane: LevelPlane, at: Point, { width, height }: ChartLabel): Rectangle[] {
  const steps = [0, 0.12, 0.25, 0.4, 0.55, 0.7, 0.85, 1]
  if ('top' in plane) {
    const [first, last] = [plane.bottom - height, plane.top]
    return steps.flatMap(step => [at.x + 6, at.x - 6 - width].map(x => ({ x, y: first + (last - first) * step, width, height })))
  }
  const [first, last] = [plane.right - width, plane.left]
  return steps.flatMap(step => [at.y - height - 1, at.y + 3].map(y => ({ x: first + (last - first) * step, y, width, height })))
}

/** Where an amount that a note is about stands. */
export interface NoteSpot {
  note: ChartNote
  part: number
  x: number
  y: number
}

/** Where the amounts stand that notes are about; of amounts that are not there, none. Stacked ones are noted where the stack ends. */
export function spotsOf(
  { spec, data }: Setting,
  place: (value: number, category: number) => Point,
  standing: 'beside' | 'stacked' | 'share' | 'steps' = 'beside',
): NoteSpot[] {
  const whole = (at: number) => data.values.reduce((sum, list) => sum + (list[at] ?? 0), 0)
  return (spec.notes ?? []).flatMap((note): NoteSpot[] => {
    const at = data.categories.findIndex(({ key }) => key === note.key)
    if (at < 0) return []
    const series = data.series.findIndex(({ key }) => key === note.series)
    const own = series < 0 ? (data.values.length > 1 ? null : data.values[0]![at]) : data.values[series]![at]
    const value = standing === 'beside' ? (own ?? (series < 0 ? (max(data.values.map(list => list[at] ?? 0)) ?? null) : null)) : whole(at)
    return value === null || value === undefined ? [] : [{ note, part: at, ...place(value, at) }]
  })
}

/** How wide a line of a note is at most, in sizes of its letters, and how many lines it has. */
const widestLine = 12
const mostLines = 4

/** Words in lines that fit, broken at blanks; what is beyond the last line is cut. */
export function linesOf(words: string, fits: (line: string) => boolean): string[] {
  const lines: string[] = []
  for (const word of words.trim().split(/\s+/)) {
    const longer = lines.length ? `${lines.at(-1)!} ${word}` : ''
    if (longer && fits(longer)) lines[lines.length - 1] = longer
    else lines.push(word)
  }
  const kept = lines.slice(0, mostLines)
  return lines.length > mostLines ? [...kept.slice(0, -1), `${kept.at(-1)!} …`] : kept
}

/** Notes beside what they are about, led to it, on no other words. `own`: whether the parts of the chart are its categories. */
export function notesOn(
  setting: Setting,
  spots: readonly NoteSpot[],
  drawn: { marks: readonly ChartMark[]; labels: readonly ChartLabel[] },
  own: boolean,
): { labels: ChartLabel[]; leftOut: string[] } {
  if (!spots.length) return { labels: [], leftOut: [] }
  const { room, size } = setting
  const step = size('note')
  const fits = (line: string) => setting.width(line, 'note') <= step * widestLine
  const candidates = spots.map(({ note, part, x, y }, index) => {
    const key = `note ${note.key} ${note.series ?? ''}`
    const label = labelAt(setting, 'note', linesOf(note.words, fits), { x, y }, { kind: 'note', part: own ? part : null, key, weight: 600 })
    const { width, height } = label
    const places = [1.4, 2.6, 4, 5.6].flatMap(far =>
      [
        { x: x - width / 2, y: y - far * step - height },
        { x: x + step * 0.6, y: y - far * step - height },
        { x: x - step * 0.6 - width, y: y - far * step - height },
        { x: x + far * step, y: y - height / 2 },
        { x: x - far * step - width, y: y - height / 2 },
        { x: x - width / 2, y: y + far * step },
      ].map(place => ({ ...place, width, height })),
    )
    return { label: { label, x, y }, priority: -index, places }
  })
  const around = spots.map(({ x, y }) => ({ x: x - 4, y: y - 4, width: 8, height: 8 }))
  const { placed, leftOut } = placeLabels(candidates, { x: 0, y: 0, width: room.width, height: room.height }, [
    ...drawn.labels.map(boxOf),
    ...takenBy(drawn.marks),
    ...around,
  ])
  return {
    leftOut: leftOut.map(({ label }) => saidBy(label)),
    labels: placed.map(({ label: { label, x, y }, place }) => {
      const middle = { x: place.x + place.width / 2, y: place.y + place.height / 2 }
      const held = (value: number, from: number, until: number) => Math.max(from, Math.min(until, value))
      const end = { x: held(x, place.x + 6, place.x + place.width - 6), y: held(y, place.y - 3, place.y + place.height + 3) }
      return { ...label, ...middle, leader: [{ x, y }, end] }
    }),
  }
}

/** Levels and notes in sentences, for those who do not see them. */
export function markedInWords(setting: Setting): string[] {
  const { spec, data } = setting
  const nameOf = (entries: readonly { key: string; label: string }[], key: string | undefined) =>
    entries.find(entry => entry.key === key)?.label
  return [
    ...levelsOf(setting).map(({ words, until }) => `${until === null ? 'A line' : 'A band'}: ${words}.`),
    ...(spec.notes ?? []).flatMap(({ key, series, words }) => {
      const name = nameOf(data.categories, key)
      return name ? [`At ${[nameOf(data.series, series), name].filter(Boolean).join(', ')}: ${words.trim().replace(/\.$/, '')}.`] : []
    }),
  ]
}
