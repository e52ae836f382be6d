import type { ChartLabel } from '../drawing'
import type { BarMark } from '../marks'
import { drawOnPlane, type ChartRows, type OnPlane, type Plane } from '../plane'
import { orderedParts, seriesTones } from '../series-tones'
import { labelAt, type Setting } from '../setting'
import { besideLabels, besideWidth, nameBeside } from '../side-labels'
import { optionOf } from '../../values'
import type { ChartKind } from './kind'

/** px between the parts of a column. */
const between = 3
/** At most so much of the chart’s width is left for the names of the parts. */
const mostBeside = 0.28

const asShares = (setting: Setting) => optionOf<boolean>(stack, setting.spec.options ?? {}, 'share')

/** A part of a column, with what it comes to: itself, or its share. */
interface Piece {
  mark: BarMark
  index: number
  amount: number
}

/** The parts of one column, from the base. */
function piecesOf(setting: Setting, { key: row }: { key: string }, part: number, plane: Plane): Piece[] {
  const { values, series } = setting.data
  const share = asShares(setting)
  const tones = seriesTones(setting, 'parts')
  const whole = values.reduce((sum, list) => sum + Math.max(0, list[part] ?? 0), 0)
  const ends = { up: 0, down: 0 }
  return orderedParts(setting).map(index => {
    const value = values[index]![part] ?? null
    const amount = value === null ? 0 : share ? (whole ? Math.max(0, value) / whole : 0) : value
    const side = amount < 0 ? 'down' : 'up'
    const [from, to] = [plane.up(ends[side]), plane.up((ends[side] += amount))]
    const high = Math.abs(to - from)
    const { key } = series[index]!
    const mark: BarMark = {
      shape: 'bar',
      key: `${row} ${key}`,
      part,
      value,
      highlighted: setting.isHighlighted(key),
      negative: amount < 0,
      corner: 0,
      tone: tones[index]!,
      x: plane.across(part),
      width: plane.band,
      y: Math.min(from, to),
      height: Math.max(0, high - Math.min(between, high / 2)),
    }
    return { mark, index, amount }
  })
}

const wordsOf = (setting: Setting, { mark, amount }: Pick<Piece, 'mark' | 'amount'>) =>
  asShares(setting) ? setting.share(amount, 1) : setting.words(mark.value)

/** What a part says within itself; null where it says nothing, undefined where it has no room to. */
function saidWithin(setting: Setting, { mark, amount }: Piece): ChartLabel | null | undefined {
  const { labels } = setting.spec
  if (mark.value === null || amount === 0 || labels === 'none' || (labels === 'highlighted' && !mark.highlighted)) return null
  const words = wordsOf(setting, { mark, amount })
  const isFree = setting.isMoved(`value ${mark.key}`)
  if (!isFree && (mark.height <= setting.line('value') * 0.95 || setting.width(words, 'value') + 8 >= mark.width)) return undefined
  return labelAt(
    setting,
    'value',
    words,
    { x: mark.x + mark.width / 2, y: mark.y + mark.height / 2 },
    {
      kind: 'value',
      part: mark.part,
      key: `value ${mark.key}`,
      tone: { on: mark.tone! },
      weight: mark.highlighted ? 700 : 500,
    },
  )
}

/** What a column comes to, above it. */
function sumAbove(setting: Setting, row: ChartRows['rows'][number], part: number, plane: Plane, pieces: readonly Piece[]): ChartLabel[] {
  const words = setting.words(row.value)
  if (asShares(setting) || setting.spec.labels === 'none' || row.value === null || setting.width(words, 'value') >= plane.band * 1.4)
    return []
  const top = pieces.reduce((least, { mark }) => (mark.negative ? least : Math.min(least, mark.y)), plane.baseline)
  const place = { x: plane.across(part) + plane.band / 2, y: top - setting.line('value') * 0.6 }
  return [labelAt(setting, 'value', words, place, { kind: 'value', part, key: `sum ${row.key}` })]
}

function columnsOf(setting: Setting, { rows }: ChartRows, plane: Plane): OnPlane {
  const { data, size, line, room } = setting
  const columns = rows.map((row, part) => piecesOf(setting, row, part, plane))
  const said = columns.flat().map(piece => saidWithin(setting, piece))
  const sums = rows.flatMap((row, part) => sumAbove(setting, row, part, plane, columns[part]!))
  const end = rows.length ? plane.across(rows.length - 1) + plane.band : plane.right
  const wide = room.width * mostBeside - size('name') * 1.6
  const wishes = (columns.at(-1) ?? [])
    .filter(({ amount }) => amount !== 0)
    .map(({ mark, index }) => {
      const { key, label } = data.series[index]!
      const y = mark.y + mark.height / 2
      return nameBeside(setting, { key, part: null, y, words: label, room: wide, weighs: mark.height, highlighted: mark.highlighted })
    })
  const place = { x: end + size('name') * 1.2, from: end, at: 'start' as const }
  const beside = besideLabels(setting, wishes, { ...place, top: plane.top - line('value'), bottom: plane.bottom + line('name') * 0.5 })
  return {
    marks: columns.flat().map(({ mark }) => mark),
    ends: [],
    taken: [],
    labels: [...said.filter(label => !!label), ...sums, ...beside.labels],
    leftOut: [...beside.leftOut, ...columns.flat().flatMap((piece, at) => (said[at] === undefined ? wordsOf(setting, piece) : []))],
  }
}

/** Columns of parts that stand on each other; as shares, all of one height. */
export const stack: ChartKind = {
  name: 'stack',
  isMarked: true,
  label: 'Stacked columns',
  part: 'column',
  shows: ['share', 'change'],
  takes: ['across', 'height', 'series'],
  options: [{ kind: 'boolean', name: 'share', label: 'As shares of 100 %', initial: false }],
  suits: ({ series, categories, adds, negative }) => {
    if (series < 2) return { score: 0, why: '', lacks: 'a column that parts each amount' }
    if (negative)
      return { score: 0.2, why: 'Parts on each other.', warning: 'Amounts below zero cannot stand on others. Draw columns side by side.' }
    if (!adds)
      return { score: 0.2, why: 'Parts on each other.', warning: 'These amounts are not parts of a whole: adding them up says nothing.' }
    return {
      score: series > 8 ? 0.4 : categories > 24 ? 0.45 : 0.68,
      why: `The ${series} add up to a whole in each column, so the total is seen too.`,
    }
  },
  draw: (spec, table, room) =>
    drawOnPlane(
      spec,
      table,
      room,
      setting => ({
        of: 'Stacked column chart',
        parts: 'columns',
        beyond: 0,
        standing: asShares(setting) ? 'share' : 'stacked',
        right: besideWidth(setting, index => setting.data.series[index]!.label, mostBeside),
      }),
      (rows, plane, _, setting) => columnsOf(setting, rows, plane),
    ),
}
