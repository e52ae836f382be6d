import { isBlank, isMissing, isSourceLine, isTotalLabel } from './languages'
import type { ReadingChoices } from './choices'
import { readDate } from './written-date'
import { signsOf, takeApart } from './written-number'
import { readClock } from './written-time'

/** Rows as they are written, before anything of them is read. */
export type WrittenRows = readonly (readonly string[])[]

/** Where in the written rows the table stands. Indices are those of the written rows. */
export interface Frame {
  /** The columns that hold anything. */
  columns: readonly number[]
  /** Lines above the header, as they were written. */
  above: readonly string[]
  /** The rows of the header; none where the first row is data. */
  header: readonly number[]
  /** Rows that are data, totals among them. */
  rows: readonly number[]
  /** Lines below: sources and notes. */
  below: readonly string[]
  /** Rows that are the header again. */
  repeated: number
  /** How many rows below an empty one begin another table, which is not read. */
  other: number
}

const lineOf = (row: readonly string[]) =>
  row
    .filter(cell => !isBlank(cell))
    .map(cell => cell.trim())
    .join(' ')
const filled = (row: readonly string[], columns: readonly number[]) => columns.filter(at => !isBlank(row[at] ?? ''))

/** Whether a cell is an amount or a moment, and no name. */
export function isValue(cell: string): boolean {
  const written = takeApart(cell)
  if (written) {
    const reads = signsOf(written.figures)
    if (reads['.'] || reads[',']) return true
  }
  const date = readDate(cell, 'dmy')
  return (date !== undefined && !date.grain.endsWith('of-year')) || readClock(cell) !== undefined
}

/** Columns of which most cells are values, by the rows from `from` on; a large table’s first rows stand for all. */
function valueColumns(rows: WrittenRows, from: number, columns: readonly number[]): number[] {
  const some = rows.slice(from, from + 200)
  return columns.filter(at => {
    const cells = some.map(row => row[at] ?? '').filter(cell => !isMissing(cell))
    return cells.length > 0 && cells.filter(isValue).length / cells.length >= 0.7
  })
}

/** The usual number of cells in a row, among rows that hold more than one. */
function usualWidth(rows: WrittenRows, columns: readonly number[]): number {
  const counts = new Map<number, number>()
  for (const row of rows.slice(0, 2000)) {
    const { length } = filled(row, columns)
    if (length > 1) counts.set(length, (counts.get(length) ?? 0) + 1)
  }
  const [usual] = [...counts].sort(([a, x], [b, y]) => y - x || b - a)
  return usual?.[0] ?? 1
}

/** Whether years, or moments of which each names its year, follow each other in a row: they head columns, and are no data. */
function isTimeline(cells: readonly string[]): boolean {
  const moments = cells.flatMap(cell => {
    const read = readDate(cell, 'dmy')
    return read && ['year', 'season', 'quarter', 'month'].includes(read.grain) ? [read.iso] : []
  })
  return moments.length > 1 && moments.length === cells.length && new Set(moments).size === moments.length
}

const looksLikeUnits = (cells: readonly string[]) =>
  cells.length > 0 &&
  cells.every(cell => cell.trim().length <= 8 || /^[([].*[)\]]$/.test(cell.trim())) &&
  cells.some(cell => /[%€$£()[\]°]|^(?:km|m|h|min|t|kg|EUR|USD|n)$/.test(cell.trim()))

/** How many rows the header has that begins at `first`: none, one or two. */
function headerRows(rows: WrittenRows, first: number, columns: readonly number[]): 0 | 1 | 2 {
  const head = rows[first]!
  const second = rows[first + 1]
  if (!second) return 1
  const below = valueColumns(rows, first + 1, columns)
  const headValues = below.map(at => head[at] ?? '').filter(cell => !isBlank(cell))
  if (
    headValues.length &&
    headValues.every(isValue) &&
    !(isTimeline(headValues) && filled(head, columns).length >= headValues.length && headValues.length > 1)
  )
    return 0
  const belowSecond = valueColumns(rows, first + 2, columns)
  const secondCells = belowSecond.map(at => second[at] ?? '').filter(cell => !isBlank(cell))
  if (!belowSecond.length || !secondCells.length || rows.length <= first + 2) return 1
  const hasGaps = filled(head, columns).length < filled(second, columns).length || belowSecond.some(at => isBlank(head[at] ?? ''))
  const isNames =
    secondCells.every(cell => !isValue(cell)) ||
    (hasGaps && isTimeline(secondCells) && !secondCells.every(cell => isBlank(cell)) && isNamesAbove(head, columns))
  return isNames && secondCells.length >= belowSecond.length / 2 && (hasGaps || looksLikeUnits(secondCells)) ? 2 : 1
}
const isNamesAbove = (head: readonly string[], columns: readonly number[]) => filled(head, columns).every(at => !isValue(head[at]!))

type FrameChoices = Pick<ReadingChoices, 'above' | 'header' | 'rows'>

/** Every row from one on that holds anything. */
const allFrom = (rows: WrittenRows, from: number, columns: readonly number[]) => ({
  rows: [...rows.keys()].filter(at => at >= from && filled(rows[at]!, columns).length > 0),
  below: [],
  repeated: 0,
  other: 0,
})

/** Finds the table in written rows: what stands above it, its header, its rows, and what stands below. */
export function frameOf(rows: WrittenRows, choices: FrameChoices = {}): Frame {
  const width = rows.reduce((most, row) => Math.max(most, row.length), 0)
  const held = new Array<boolean>(width).fill(false)
  for (const row of rows) for (let at = 0; at < row.length; at++) if (!held[at] && !isBlank(row[at]!)) held[at] = true
  const columns = held.flatMap((any, at) => (any ? [at] : []))
  const usual = usualWidth(rows, columns)
  const least = usual === 1 ? 1 : Math.max(2, Math.ceil(usual / 2))
  const isLine = (row: readonly string[]) => filled(row, columns).length < least
  // Title lines begin in the first column; a header may leave it without a name.
  const isHead = (row: readonly string[], at: number) => {
    const [cell] = filled(row, columns)
    return cell !== undefined && cell !== columns[0] && filled(rows[at + 1] ?? [], columns).some(column => isValue(rows[at + 1]![column]!))
  }
  let first = rows.findIndex((row, at) => !isLine(row) || isHead(row, at))
  if (first < 0) first = rows.findIndex(row => filled(row, columns).length > 0)
  if (first < 0) return { columns: [], above: [], header: [], rows: [], below: [], repeated: 0, other: 0 }
  // A header whose first row spans the columns below it has few cells itself.
  const before = rows[first - 1]
  if (first > 0 && usual > 1 && before && spans(before, rows[first]!, columns)) first--
  if (choices.above !== undefined) first = Math.min(Math.max(0, rows.length - 1), choices.above)
  const count = choices.header === undefined ? headerRows(rows, first, columns) : choices.header === 'second' ? 2 : choices.header
  const header = Array.from({ length: count }, (_, index) => first + index).slice(choices.header === 'second' ? 1 : 0)
  const from = first + count
  const body = choices.rows === 'all' ? allFrom(rows, from, columns) : bodyOf(rows, from, columns, header, least)
  return { columns, above: rows.slice(0, first).map(lineOf).filter(Boolean), header, ...body }
}

/** Whether a row heads the next one: names that stand over several of its columns. */
function spans(row: readonly string[], next: readonly string[], columns: readonly number[]): boolean {
  const own = filled(row, columns)
  return (
    own.length > 0 &&
    own[0] !== columns[0] &&
    own.every(at => !isValue(row[at]!) || readDate(row[at]!, 'dmy') !== undefined) &&
    filled(next, columns).every(at => !isValue(next[at]!))
  )
}

function bodyOf(rows: WrittenRows, from: number, columns: readonly number[], header: readonly number[], least: number) {
  const kept: number[] = []
  const below: string[] = []
  let repeated = 0
  const heads = new Set(header.map(at => lineOf(rows[at]!)))
  const firsts = new Set(header.map(at => rows[at]![columns[0]!]))
  const end = endOf(rows, from, columns, least)
  for (const row of rows.slice(end)) if (lineOf(row)) below.push(lineOf(row))
  let other = 0
  const values = valueColumns(rows, from, columns)
  for (let at = from; at < end; at++) {
    const row = rows[at]!
    if (columns.every(column => isBlank(row[column] ?? ''))) {
      if (beginsAnother(rows, at + 1, end, columns, values, header)) {
        other = end - at - 1
        break
      }
      continue
    }
    if (heads.size && firsts.has(row[columns[0]!]) && heads.has(lineOf(row))) {
      repeated++
      continue
    }
    kept.push(at)
  }
  return { rows: kept, below, repeated, other }
}

/** Where the rows end: below them stand sources and notes, one cell a line, or lines that an empty row parts from the table. */
function endOf(rows: WrittenRows, from: number, columns: readonly number[], least: number): number {
  let end = rows.length
  for (let at = rows.length; at > from; at--) {
    const cells = filled(rows[at - 1]!, columns)
    if (!cells.length) {
      end = at - 1
      continue
    }
    const first = rows[at - 1]![cells[0]!]!
    if (cells.length >= least || (cells.length > 1 && !isSourceLine(first))) break
    if (isSourceLine(first) || (least > 1 && first.trim().length > 60)) end = at - 1
    else if (least === 1 || isTotalLabel(first) || isValue(first)) break
  }
  return end
}

/** Whether another table begins behind an empty row: names where values stood, and values below them again. */
function beginsAnother(
  rows: WrittenRows,
  at: number,
  end: number,
  columns: readonly number[],
  values: readonly number[],
  header: readonly number[],
) {
  const head = rows[at]
  const next = rows[at + 1]
  if (!head || !next || at + 1 >= end || !values.length || !header.length) return false
  const cells = filled(head, columns)
  const isHeader = lineOf(head) === lineOf(rows[header.at(-1)!]!)
  return (
    !isHeader &&
    cells.length > 1 &&
    cells.every(cell => !isValue(head[cell]!)) &&
    filled(next, columns).some(cell => isValue(next[cell]!)) &&
    values.every(cell => isBlank(head[cell] ?? '') || !isValue(head[cell]!))
  )
}
