import type { Column, DataTable } from '../table'
import type { ReadingChoices } from './choices'
import { readColumn, type ColumnReading } from './column'
import { frameOf, type Frame, type WrittenRows } from './frame'
import { gather, timelinesIn } from './gather'
import type { TableHints } from './kinds'
import { isPlainTotal } from './languages'
import { namesOf } from './names'
import { apartNotes, frameNotes, gatheredNote, missingNote, nameNotes, totalNotes, unreadNotes, type ReadingNote } from './notes'
import { headerUnit } from './sample'
import { addable, checkTotals, isUnnamedTotal, labelledTotals, roomOf, totalColumns, type TotalRow, type WrittenAmount } from './totals'

/** How a table was read: what came of it, and every guess in words. */
export interface TableReading {
  table: DataTable
  /** What changes numbers most is first. */
  notes: readonly ReadingNote[]
  /** As they stood in the file, those that were gathered among them. */
  columns: readonly ColumnReading[]
  totals: readonly TotalRow[]
}

/** The same without the table: what is said of how it was read. */
export type ReadingReport = Omit<TableReading, 'table'>

const joinNames = (upper: string, lower: string) => (upper && lower && upper !== lower ? `${upper} ${lower}` : lower || upper)
const clean = (cell: string) => cell.replace(/\s+/g, ' ').trim()

/** What the header calls each column, of two rows joined; a name that stands over several counts for all of them. */
function headersOf(rows: WrittenRows, frame: Frame): string[] {
  const [upper, lower] = frame.header.map(at => frame.columns.map(column => clean(rows[at]![column] ?? '')))
  if (!upper) return frame.columns.map(() => '')
  if (!lower) return upper
  let over = ''
  return lower.map((name, index) => {
    // An empty cell beside a name that spans, and with a name of its own below, is under it.
    if (upper[index]) over = upper[index]
    else if (!name) over = ''
    const isUnit = /^[([].*[)\]]$|^[%‰€$£°]|^(?:km|EUR|USD|min|h|kg|t)$/.test(name) && !!upper[index]
    return isUnit ? `${over} (${name.replace(/^[([]|[)\]]$/g, '')})` : joinNames(over, name)
  })
}

/** What a table's rows are read with. */
interface Body {
  rows: WrittenRows
  frame: Frame
  names: readonly string[]
  headers: readonly string[]
  decimal: TableHints['decimal']
  choices: ReadingChoices
}
/** Columns as they were read, without the rows that add up others. */
interface Made {
  columns: Column[]
  readings: ColumnReading[]
}

/**
 * Reads written rows as a table, as people leave them: finds its header under title lines, what its columns are, rows that add up
 * others, times that stand across. Every guess comes back in words; `choices` are a person's decisions against them.
 *
 * @param decimal the decimal sign that is likelier where nothing tells; null where nothing is known of it
 */
export function readRows(
  rows: WrittenRows,
  { name, id, decimal = '.', choices = {} }: { name: string; id: string; decimal?: TableHints['decimal']; choices?: ReadingChoices },
): TableReading {
  const frame = frameOf(rows, choices)
  const headers = headersOf(rows, frame)
  const { names, twice, unnamed } = namesOf(headers)
  const { made, totals } = readByTotals({ rows, frame, names, headers, decimal, choices })
  const apart = choices.totals === 'data' ? [] : totalColumns(made.columns)
  const columns = made.columns.filter(column => !apart.includes(column))
  const timelines = choices.gather === false ? [] : timelinesIn(columns)
  const gathered = timelines.length ? gather(columns, timelines, 'amount') : null
  const notes = [
    ...totalNotes(totals),
    ...apartNotes(apart),
    ...gatheredNote(timelines, gathered),
    ...missingNote(made.readings, choices),
    ...unreadNotes(made.readings),
    ...frameNotes(frame, rows, choices),
    ...nameNotes(twice, unnamed, frame),
  ]
  return { table: { id, name, columns: gathered?.columns ?? columns }, notes, columns: made.readings, totals }
}

/** In how many columns total rows come to what the rows do. */
const agreeing = ({ totals }: { totals: readonly TotalRow[] }) => totals.flatMap(({ sums }) => sums).filter(({ agrees }) => agrees).length

/** Reads the columns; where none of them tells its decimal sign, that by which the total rows come to what the rows do. */
function readByTotals(body: Body): { made: Made; totals: TotalRow[] } {
  const first = readBody(body)
  const sums = first.totals.flatMap(total => total.sums)
  const isTold = first.made.readings.some(({ told }) => told?.decimal)
  if (isTold || !first.totals.length || (sums.length > 0 && agreeing(first) === sums.length)) return first
  const others = ([',', '.'] as const).filter(sign => sign !== body.decimal).map(decimal => readBody({ ...body, decimal }))
  const most = Math.max(...others.map(agreeing))
  const best = others.filter(other => agreeing(other) === most)
  return most > agreeing(first) && best.length === 1 ? best[0]! : first
}

/** Reads the columns, and tells apart the rows that add up others: by their words, and where those leave doubt by what they add up. */
function readBody(body: Body): { made: Made; totals: TotalRow[] } {
  const count = body.frame.rows.length
  const cells = body.frame.columns.map(column => (row: number) => body.rows[body.frame.rows[row]!]![column] ?? '')
  const labelled = body.choices.totals === 'data' ? [] : labelledTotals(count, cells.slice(0, 3))
  const read = (without: readonly number[]) => {
    const made = readAll(body, without)
    return { made, totals: totalsOf(body, without, made, cells) }
  }
  const first = read(labelled.length < count ? labelled : [])
  const sure = labelled.filter((_, index) => {
    const total = first.totals[index]
    return total && (isPlainTotal(total.label) || total.sums.some(({ agrees }) => agrees))
  })
  const next = sure.length === first.totals.length ? first : read(sure)
  // A last row without a label that adds up all the others is found once amounts are amounts.
  const isBare = body.choices.totals !== 'data' && !sure.length && count > 3 && (cells[0]?.(count - 1) ?? '').trim() === ''
  return isBare && isUnnamedTotal(next.made.columns.filter(addable).map(({ values }) => values)) ? read([count - 1]) : next
}

/** Reads each column, without some of the rows; what one column tells of days and decimals holds for those that leave it open. */
function readAll({ rows, frame, names, headers, decimal, choices }: Body, left: readonly number[]): Made {
  const without = new Set(left)
  const kept = without.size ? frame.rows.filter((_, index) => !without.has(index)) : frame.rows
  const hints: TableHints = { decimal, order: null }
  const readOne = (index: number) => {
    const column = frame.columns[index]!
    const name = names[index]!
    const choice = choices.columns?.[name]
    return readColumn(
      {
        name,
        written: headers[index]!,
        index,
        count: kept.length,
        at: row => rows[kept[row]!]![column] ?? '',
        zero: choices.missing === 'zero',
        ...(choice ? { choice } : {}),
      },
      hints,
    )
  }
  const made = frame.columns.map((_, index) => readOne(index))
  hints.order = made.find(({ reading }) => reading.told?.order)?.reading.told?.order ?? null
  const signs = new Set(made.flatMap(({ reading }) => reading.told?.decimal ?? []))
  const [sign] = signs.size === 1 ? [...signs] : []
  if (sign) hints.decimal = sign
  for (const [index, { reading }] of made.entries()) {
    const { told, open, choice } = reading
    const isDoubtful = (open && choice.kind === 'date' && hints.order) || (choice.decimal && !told?.decimal && hints.decimal !== decimal)
    if (isDoubtful) made[index] = readOne(index)
  }
  // A cell is told by its row in the file.
  const inFile = ({ unread, ...reading }: ColumnReading): ColumnReading => ({
    ...reading,
    unread: { ...unread, cells: unread.cells.map(({ row, cell }) => ({ row: kept[row]! + 1, cell })) },
  })
  return { columns: made.map(({ column }) => column), readings: made.map(({ reading }) => inFile(reading)) }
}

/** What total rows say, each cell read as its column is. */
function totalsOf({ frame }: Body, totals: readonly number[], made: Made, cells: readonly ((row: number) => string)[]): TotalRow[] {
  if (!totals.length) return []
  const isTotal = new Set(totals)
  const amounts = made.columns.flatMap((column, index) => {
    if (!addable(column)) return []
    let next = 0
    const values = frame.rows.map((_, row) => (isTotal.has(row) ? null : column.values[next++]!))
    return [{ name: column.name, values, written: amountsIn(made.readings[index]!, cells[index]!, totals) }]
  })
  const isFigures = /^[\d\s.,'€$£%()+−-]+$/
  const labelAt = (row: number) => cells.map(at => at(row).trim()).find(cell => cell !== '' && !isFigures.test(cell)) ?? ''
  return checkTotals(totals, amounts, row => ({ row: frame.rows[row]! + 1, label: labelAt(row) }))
}

/** The amounts in some rows of a column, with how finely each is written. */
function amountsIn({ name, header, choice }: ColumnReading, at: (row: number) => string, rows: readonly number[]) {
  const sign = choice.decimal ?? '.'
  const { column } = readColumn(
    { name, written: header, index: 0, count: rows.length, at: index => at(rows[index]!), zero: false, choice },
    { decimal: sign === 'each' ? null : sign, order: null },
  )
  const { times } = headerUnit(header)
  return new Map(
    rows.flatMap((row, index): [number, WrittenAmount][] => {
      const value = column.values[index]
      return typeof value === 'number' ? [[row, { value, room: roomOf(at(row), sign, times) }]] : []
    }),
  )
}
