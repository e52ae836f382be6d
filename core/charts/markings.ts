import { max, mean, median, min } from 'd3-array'
import type { ChartNote, Reference } from '../model'
import type { ChartLabel, ChartRule } from './drawing'
import { placeLabels, type Rectangle } from './labels'
import type { AreaMark, Point } from './marks'
import { labelAt, type Setting } from './setting'

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

/** Levels across a plane, or down one where bars lie: a line each, or a band, with words at its end. */
export function levelsOn(
  setting: Setting,
  plane: { along: (value: number) => number } & ({ left: number; right: number } | { top: number; bottom: number }),
): typeof noLevels {
  const made: typeof noLevels = { marks: [], rules: [], labels: [] }
  const isDown = 'top' in plane
  const end = (value: number, from: boolean): Point =>
    isDown ? { x: plane.along(value), y: from ? plane.top : plane.bottom } : { x: from ? plane.left : plane.right, y: plane.along(value) }
  levelsOf(setting).forEach(({ at, until, words }, index) => {
    const key = `level ${index}`
    if (until !== null) {
      const [low, high] = [Math.min(at, until), Math.max(at, until)]
      const corners = isDown
        ? { top: [end(low, true), end(high, true)], bottom: [end(low, false), end(high, false)] }
        : { top: [end(high, true), end(high, false)], bottom: [end(low, true), end(low, false)] }
      const look = { value: null, highlighted: false, tone: { name: 'second' as const }, opacity: bandSeen }
      made.marks.push({ shape: 'area', key, part: 0, ...corners, foot: corners.bottom[0]!.y, ...look })
    } else made.rules.push({ from: end(at, true), to: end(at, false), kind: 'reference', key })
    const upper = until === null ? at : Math.max(at, until)
    const label = labelAt(
      setting,
      'note',
      words,
      { x: 0, y: 0 },
      { kind: 'note', key: `${key} words`, tone: { name: 'second' }, weight: 600 },
    )
    const place = isDown
      ? { x: end(upper, false).x + label.width / 2 + 8, y: plane.bottom - label.height * 0.5 }
      : { x: plane.right - label.width / 2, y: end(upper, false).y - label.height * 0.55 }
    made.labels.push({ ...label, ...place })
  })
  return made
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

/** Letters of a line of a note, and how many lines it has at most. */
const lettersOfLine = 24
const mostLines = 4

/** Words in lines, broken at blanks. */
export function linesOf(words: string): string[] {
  const lines: string[] = []
  for (const word of words.trim().split(/\s+/)) {
    const last = lines.at(-1)
    if (last !== undefined && last.length + 1 + word.length <= lettersOfLine) lines[lines.length - 1] = `${last} ${word}`
    else lines.push(word)
  }
  const kept = lines.slice(0, mostLines)
  return lines.length > mostLines ? [...kept.slice(0, -1), `${kept.at(-1)!} …`] : kept
}

const boxOf = ({ x, y, width, height }: ChartLabel): Rectangle => ({
  x: x - width / 2,
  y: y - (height * 0.8) / 2,
  width,
  height: height * 0.8,
})

/** Notes beside what they are about, led to it, on no other words. `own`: whether the parts of the chart are its categories. */
export function notesOn(
  setting: Setting,
  spots: readonly NoteSpot[],
  others: readonly ChartLabel[],
  own: boolean,
): { labels: ChartLabel[]; leftOut: number } {
  if (!spots.length) return { labels: [], leftOut: 0 }
  const { room, size } = setting
  const step = size('note')
  const candidates = spots.map(({ note, part, x, y }, index) => {
    const key = `note ${note.key} ${note.series ?? ''}`
    const label = labelAt(setting, 'note', linesOf(note.words), { x, y }, { kind: 'note', part: own ? part : null, key, weight: 600 })
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
    ...others.map(boxOf),
    ...around,
  ])
  return {
    leftOut: leftOut.length,
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
