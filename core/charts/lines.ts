import { readDate, type Column, type DataTable, type WrittenDate } from '../data'
import {
  infoOf,
  inlineOf,
  inlineText,
  isEmptyText,
  joinInline,
  sliceInline,
  type ChartElement,
  type ChartSpec,
  type Deck,
  type Paragraph,
  type TextDoc,
} from '../model'
import { rowsOfLines, withAmount, type LineRow, type Stretch } from '../phrases'
import { memoByRecords, type Id } from '../values'
import { newChart } from './catalogue'
import { bestChart, redrawn } from './offers'

/** A line that is a row: the paragraph that it stands in, and where in that its parts stand. */
interface Read {
  at: number
  words: string
  row: LineRow
  /** The line that it stands beneath: its paragraph, and what it says without the colon at its end; null where it stands beneath none. */
  head: { at: number; words: string; name: Stretch } | null
}

/** The lines of a text as a table, with the line of each row of it. */
export interface LinesTable {
  table: DataTable
  lines: readonly Read[]
}

const levelOf = ({ attrs }: Paragraph) => attrs?.level ?? 0

/** Lines with words; one without an amount that others stand beneath is what those are of. */
function readLines(text: TextDoc, language: string): Read[] {
  const lines = text.content.map((paragraph, at) => ({ at, words: inlineText(paragraph.content), level: levelOf(paragraph) }))
  const written = lines.filter(({ words }) => words.trim() !== '')
  const least = Math.min(...written.map(({ level }) => level))
  const rows = rowsOfLines(
    written.map(({ words }) => words),
    language,
  )
  const made: Read[] = []
  let head: Read['head'] = null
  written.forEach(({ at, words, level }, index) => {
    const row = rows[index]!
    const heads = level === least && (written[index + 1]?.level ?? least) > least
    if (level === least) head = heads && !row.amount ? { at, words: words.slice(row.name.from, row.name.until), name: row.name } : null
    if (!heads || row.amount) made.push({ at, words, row, head })
  })
  return made
}

const currencies = new Set(['€', '$', '£', '¥', 'kr', 'zł'])
const shorter = (words: string) => words.slice(0, 200)

/** The column of what lines are about: moments of one grain, or words. */
function namesIn(lines: readonly Read[]): Column {
  const names = lines.map(({ words, row }) => words.slice(row.name.from, row.name.until).trim())
  const dates = names.map(name => readDate(name, 'dmy'))
  const [first] = dates
  const isTime = first && dates.every((date): date is WrittenDate => date?.grain === first.grain)
  return isTime
    ? { name: 'When', type: 'date', kind: 'date', grain: first.grain, values: dates.map(date => date.iso) }
    : { name: 'What', type: 'text', kind: 'category', values: names.map(name => shorter(name) || null) }
}

/** The column of their amounts, in the unit of the first of them; those in another one are missing. */
function amountsOfLines(lines: readonly Read[]): Column {
  const first = lines.find(({ row }) => row.amount)?.row
  const unit = first?.amount?.unit ?? ''
  const isShare = unit === '%'
  const values = lines.map(({ row: { amount } }) => {
    if (!amount || amount.unit !== unit) return null
    return isShare ? Number((amount.value / 100).toPrecision(14)) : amount.value
  })
  const kind = isShare ? 'percent' : currencies.has(unit) ? 'money' : 'number'
  // “48 riders” in each line: what is counted.
  const counted =
    first?.behind && lines.length > 1 && lines.every(({ row }) => !row.amount || row.behind === first.behind) ? first.behind : ''
  const name = shorter(counted) || (isShare ? 'Share' : 'Amount')
  return { name, type: 'number', kind, ...(unit && !isShare ? { unit } : {}), values }
}

/** The id of tables that lines are; no table that is kept anywhere is called so. */
const linesId = 'lines'

/**
 * The table that lines say: a row for each, with what it is about and its amount; a third column names the line that it stands beneath,
 * where lines do. An amount that cannot be read, or is in another unit than the first, is missing. `language` (BCP 47) says how numbers are
 * written. Null where there is no line.
 */
export const tableOfLines = memoByRecords(
  (text: TextDoc, language: string) => [text, language],
  (text, language): LinesTable | null => {
    const lines = readLines(text, language)
    if (!lines.length) return null
    const heads = lines.map(({ head }) => head?.words ?? null)
    const amounts = amountsOfLines(lines)
    const names = namesIn(lines)
    const parts: Column[] = heads.every(head => head !== null)
      ? [{ name: 'Of', type: 'text', kind: 'category', values: heads.map(shorter) }]
      : []
    const columns = [names, ...parts, names.name === amounts.name ? { ...amounts, name: 'Amount' } : amounts]
    return { table: { id: linesId, name: 'Its lines', columns }, lines }
  },
  { keep: 4 },
)

/** The lines of a text whose amounts a chart leaves out: there is none, or it is in another unit. */
export function unreadLines(text: TextDoc, language: string): string[] {
  const made = tableOfLines(text, language)
  const amounts = made?.table.columns.at(-1)?.values ?? []
  return amounts.flatMap((value, row) => (value === null ? [made!.lines[row]!.words] : []))
}

/** What is said of lines that a chart leaves out: the first, how many more there are, and what to do; empty where there are none. */
export function leftOutWords(lines: readonly string[]): string {
  const [first, ...others] = lines
  if (first === undefined) return ''
  const what = others.length ? `“${first}” and ${others.length} more: they say` : `“${first}”: it says`
  return `${what} no amount in the unit of the others. Write ${others.length ? 'them as the others' : 'it as they'} are.`
}

/**
 * The chart that suits what lines say best. It finds its columns by what they hold, so that it goes on when lines are others. `before`: one
 * whose look it keeps.
 */
export function chartOfLines(text: TextDoc, language: string, before?: ChartSpec): ChartSpec {
  const table = tableOfLines(text, language)?.table
  if (!table) return newChart(null)
  const best = before ? redrawn(before, table, language) : bestChart(table, language)
  const { unit, kind } = table.columns.at(-1)!
  const suffix = unit && kind === 'number' ? unit : ''
  return { ...best, table: null, across: null, height: null, format: { ...best.format, suffix } }
}

/** A cell of such a table with what it is to be. */
export interface LineCell {
  row: number
  column: string
  value: string | number | null
}

/** A text with other words in a stretch of one of its paragraphs; their marks are gone, all others stay. */
function put(text: TextDoc, at: number, { from, until }: Stretch, words: string): TextDoc {
  const own = text.content[at]?.content ?? []
  const content = joinInline(sliceInline(own, 0, from), inlineOf(words), sliceInline(own, until))
  return { ...text, content: text.content.map((paragraph, index) => (index === at ? { ...paragraph, content } : paragraph)) }
}

/**
 * Lines whose words say what cells are to be; all else of them stays, marks too. The name of what lines stand beneath is written in that
 * line. A cell without a value, and an amount where a line says none, is left alone.
 */
export const withCells = (text: TextDoc, cells: readonly LineCell[], language: string): TextDoc =>
  cells.reduce((now, { row, column, value }) => {
    const made = tableOfLines(now, language)
    const line = made?.lines[row]
    if (!made || !line || value === null) return now
    const [names, amounts] = [made.table.columns[0]!, made.table.columns.at(-1)!]
    if (column === names.name) return put(now, line.at, line.row.name, String(value))
    if (column !== amounts.name) return line.head ? put(now, line.head.at, line.head.name, String(value)) : now
    const { amount } = line.row
    if (!amount || typeof value !== 'number') return now
    const shown = amounts.kind === 'percent' ? value * 100 : value
    return put(now, line.at, amount, withAmount(line.words.slice(amount.from, amount.until), shown, language))
  }, text)

/** A text with other lines; one whose words stay keeps its marks, and each the look of the line that stood there. Empty ones go. */
export function rewritten(text: TextDoc, lines: readonly string[]): TextDoc {
  const known = new Map(text.content.map(paragraph => [inlineText(paragraph.content), paragraph]))
  const content = lines.flatMap((words, at): Paragraph[] => {
    if (!words.trim()) return []
    const { attrs } = text.content[Math.min(at, text.content.length - 1)] ?? {}
    return [known.get(words) ?? { type: 'paragraph', ...(attrs ? { attrs } : {}), content: inlineOf(words) }]
  })
  return { type: 'doc', content: content.length ? content : [{ type: 'paragraph' }] }
}

/** Whether a chart has something to draw: a table, or lines of its own that somebody has written. */
export const hasRows = ({ chart, text }: Pick<ChartElement, 'chart' | 'text'>): boolean =>
  !!chart && (!!chart.table || (!!text && !isEmptyText(text)))

/**
 * The table that a chart draws: the one that it names, else its own lines. Undefined where it has neither, or its table is not at hand.
 * `spec`: the specification that it is drawn by, where that is not its own.
 */
export function tableOfChart(
  deck: Deck,
  { chart, text }: Pick<ChartElement, 'chart' | 'text'>,
  tableOf: (id: Id) => DataTable | undefined,
  spec: ChartSpec | undefined = chart,
): DataTable | undefined {
  if (!spec) return undefined
  if (spec.table) return tableOf(spec.table)
  return text ? (tableOfLines(text, infoOf(deck).language)?.table ?? undefined) : undefined
}
