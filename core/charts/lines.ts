import { readDate, type Column, type DataTable, type WrittenDate } from '../data'
import {
  infoOf,
  inlineOf,
  inlineText,
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
import { bestChart } from './offers'

/** The lines of a text as a table, with the paragraph that each row of it stands in, and where in that. */
export interface LinesTable {
  table: DataTable
  paragraphs: readonly number[]
  rows: readonly LineRow[]
}

interface Read {
  at: number
  words: string
  row: LineRow
  /** The line that it stands beneath, where it stands beneath one. */
  group: string | null
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
  let group: string | null = null
  written.forEach(({ at, words, level }, index) => {
    const row = rows[index]!
    const heads = level === least && (written[index + 1]?.level ?? least) > least
    if (level === least) group = heads && !row.amount ? words.trim().replace(/\s*:$/, '') : null
    if (!heads || row.amount) made.push({ at, words, row, group })
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
    const groups = lines.map(({ group }) => group)
    const amounts = amountsOfLines(lines)
    const names = namesIn(lines)
    const parts: Column[] = groups.every(group => group !== null)
      ? [{ name: 'Of', type: 'text', kind: 'category', values: groups.map(shorter) }]
      : []
    const columns = [names, ...parts, names.name === amounts.name ? { ...amounts, name: 'Amount' } : amounts]
    return { table: { id: linesId, name: 'Its lines', columns }, paragraphs: lines.map(({ at }) => at), rows: lines.map(({ row }) => row) }
  },
  { keep: 4 },
)

/** The lines of a text whose amounts a chart leaves out: there is none, or it is in another unit. */
export function unreadLines(text: TextDoc, language: string): string[] {
  const made = tableOfLines(text, language)
  const amounts = made?.table.columns.at(-1)?.values ?? []
  return amounts.flatMap((value, row) => (value === null ? [inlineText(text.content[made!.paragraphs[row]!]?.content)] : []))
}

/** The chart that suits what lines say best. It finds its columns by what they hold, so that it goes on when lines are others. */
export function chartOfLines(text: TextDoc, language: string): ChartSpec {
  const table = tableOfLines(text, language)?.table
  if (!table) return newChart(null)
  const best = bestChart(table, language)
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

/**
 * Lines whose words say what cells are to be; all else of them stays, marks too. A cell without a value, and one that stands in none of the
 * lines, is left alone.
 */
export function withCells(text: TextDoc, cells: readonly LineCell[], language: string): TextDoc {
  let now = text
  for (const { row, column, value } of cells) {
    const made = tableOfLines(now, language)
    const at = made?.paragraphs[row]
    const paragraph = at === undefined ? undefined : now.content[at]
    if (!made || !paragraph || value === null) continue
    const words = inlineText(paragraph.content)
    const line = made.rows[row]!
    const [names, amounts] = [made.table.columns[0]!, made.table.columns.at(-1)!]
    const put = ({ from, until }: Stretch, next: string) => {
      const content = joinInline(sliceInline(paragraph.content ?? [], 0, from), inlineOf(next), sliceInline(paragraph.content ?? [], until))
      now = { ...now, content: now.content.map((one, index) => (index === at ? { ...paragraph, content } : one)) }
    }
    if (column === names.name) put(line.name, String(value))
    else if (column === amounts.name && line.amount && typeof value === 'number')
      put(
        line.amount,
        withAmount(words.slice(line.amount.from, line.amount.until), amounts.kind === 'percent' ? value * 100 : value, language),
      )
  }
  return now
}

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

/** Whether a chart has something to draw: a table, or lines of its own. */
export const hasRows = ({ chart, text }: Pick<ChartElement, 'chart' | 'text'>): boolean => !!chart && (!!chart.table || !!text)

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
