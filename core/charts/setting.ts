import { formatNumber, formatOfColumn, gatheredFor, settledFormat, type DataTable, type Gathered } from '../data'
import type { ChartSpec } from '../model'
import { measureWith } from './category-labels'
import type { ChartLabel, ChartRoom } from './drawing'
import { highlightedIn } from './found'
import type { ChartMark } from './marks'
import type { RunMoment } from './run-moment'

/** What is smaller than this has no length: scales cannot part it from rounding. */
const nothing = 1e-9

/** Roles of words in a chart: px at a shorter side of 700, the least, and the weight. */
const roles = {
  /** The highlighted value, one a chart. */
  lead: { size: 56, least: 34, weight: 700 },
  /** A total, or a number that is the chart. */
  total: { size: 88, least: 44, weight: 700 },
  value: { size: 32, least: 24, weight: 600 },
  name: { size: 30, least: 24, weight: 500 },
  axis: { size: 28, least: 24, weight: 500 },
  note: { size: 28, least: 24, weight: 400 },
} as const
export type WordRole = keyof typeof roles

/** The shorter side of a chart at which words have their usual size, px, and how far they follow it. */
const usualSide = 700
const ratios = { least: 0.55, most: 1.3 }
/** The theme's small text at which the sizes hold. */
const usualText = 28

/** How much of a label's size a swatch before its words takes. */
export const swatchRoom = 1.3

/** A chart's rows with all that is asked of them and of its room by every kind. */
export interface Setting {
  spec: ChartSpec
  table: DataTable
  data: Gathered
  room: ChartRoom
  /** px per px of the usual size. */
  ratio: number
  size(role: WordRole): number
  weight(role: WordRole): number
  /** px of a line of words. */
  line(role: WordRole): number
  width(words: string, role: WordRole): number
  /** A number as this chart writes it; of a share of `of`, in hundredths. */
  words(value: number | null): string
  share(value: number, of: number): string
  /** The same with no more decimals than some numbers of an axis need. */
  among(numbers: readonly number[]): (value: number) => string
  isHighlighted(key: string): boolean
  /** Whether anything is highlighted, so that the rest is quiet. */
  anyHighlighted: boolean
  /** Whether a label was moved by hand, by its key: it is said whatever the room. */
  isMoved(key: string): boolean
  /** Whether just one category is: its amount is written large. */
  leads: boolean
  /** Where the rows are those of one moment of many. */
  run: RunMoment | null
}

/** An amount as it is drawn: what is too small to have a length is nothing. */
export const small = (value: number | null) => (value !== null && Math.abs(value) < nothing ? 0 : value)

/** A share in hundredths, of small ones with a decimal. */
function shareWords(share: number, language: string): string {
  const isSmall = share !== 0 && Math.abs(share) < 0.0995
  return `${new Intl.NumberFormat(language, { maximumFractionDigits: isSmall ? 1 : 0 }).format(share * 100)} %`
}

/** Reads what a chart shows from its table, for a room. */
export function settingOf(spec: ChartSpec, table: DataTable, room: ChartRoom): Setting {
  const raw = gatheredFor(spec, table, room.language)
  const data = { ...raw, values: raw.values.map(list => list.map(small)) }
  // One count of decimals all the way through.
  const among = (room.run?.knots ?? [data]).flatMap(({ values }) => values.flat()).filter(value => value !== null)
  const format = spec.aggregate === 'count' ? spec.format : formatOfColumn(spec.format, data.amount, among)
  const settled = settledFormat(format, among)
  const ratio = (Math.min(ratios.most, Math.max(ratios.least, Math.min(room.width, room.height) / usualSide)) * room.textSize) / usualText
  const size = (role: WordRole) => Math.max((roles[role].least * room.textSize) / usualText, roles[role].size * ratio)
  const highlighted = new Set(highlightedIn(spec, data))
  const known = [...data.series, ...data.categories].some(({ key }) => highlighted.has(key))
  return {
    spec,
    table,
    data,
    room,
    ratio,
    size,
    weight: role => roles[role].weight,
    line: role => size(role) * 1.25,
    width: (words, role) =>
      measureWith(room.measurer, role === 'lead' || role === 'total' ? room.fonts.display : room.fonts.body, {
        size: size(role),
        weight: roles[role].weight,
      })(words),
    words: value => formatNumber(value, settled, room.language),
    share: (value, of) => (of ? shareWords(value / of, room.language) : '–'),
    among: numbers => {
      const own = { ...format, scale: settled.scale }
      const shared = settledFormat(own, numbers)
      // Nothing is nothing in any scale.
      const none = { ...own, scale: own.scale === 'percent' ? own.scale : ('none' as const) }
      return value => (value === 0 ? formatNumber(0, none, room.language, [0]) : formatNumber(value, shared, room.language))
    },
    isHighlighted: key => highlighted.has(key),
    isMoved: key => !!spec.moved && Object.hasOwn(spec.moved, key),
    anyHighlighted: known,
    leads: data.categories.filter(({ key }) => highlighted.has(key)).length === 1,
    run: room.run ?? null,
  }
}

/** A label of a chart, its width measured, about a middle or from an edge of its words; its role’s size unless another is given. */
export function labelAt(
  setting: Setting,
  role: WordRole,
  lines: string | readonly string[],
  place: { x: number; y: number; at?: 'middle' | 'start' | 'end' },
  more: Partial<ChartLabel> = {},
): ChartLabel {
  const list = typeof lines === 'string' ? [lines] : lines
  const size = more.size ?? setting.size(role)
  const bare = (list.reduce((wide, words) => Math.max(wide, setting.width(words, role)), 0) * size) / setting.size(role)
  const width = bare + (more.swatch ? size * swatchRoom : 0)
  const shift = place.at === 'start' ? width / 2 : place.at === 'end' ? -width / 2 : 0
  return {
    kind: 'category',
    lines: list,
    x: place.x + shift,
    y: place.y,
    width,
    height: list.length * size * 1.25,
    size,
    weight: setting.weight(role),
    angle: 0,
    part: null,
    ...(role === 'lead' || role === 'total' ? { display: true as const } : {}),
    ...more,
  }
}

/** The words of a label in one line. */
export const saidBy = ({ lines }: Pick<ChartLabel, 'lines'>) => lines.join(' ')

/** Marks whose colour is left to their being highlighted: where any is, the others are quiet. */
export const quietly = (marks: readonly ChartMark[], { anyHighlighted }: Setting): readonly ChartMark[] =>
  anyHighlighted ? marks.map(mark => (mark.tone || mark.highlighted ? mark : { ...mark, tone: { name: 'quiet' as const } })) : marks
