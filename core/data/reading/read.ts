import type { DecimalSign } from '../numbers'
import { numberWords, listWords } from '../../values'
import type { Column, DataTable } from '../table'
import type { ReadingChoices } from './choices'
import { readColumn, type ColumnReading } from './column'
import { frameOf, type Frame, type WrittenRows } from './frame'
import { gather, timelinesIn } from './gather'
import type { TableHints } from './kinds'
import { namesOf } from './names'
import { addable, checkTotals, isUnnamedTotal, labelledTotals, totalColumns, type TotalRow } from './totals'

/** Something that was done to the whole table, as a sentence, with its way back. */
export interface ReadingNote {
  about: 'above' | 'header' | 'totals' | 'missing' | 'gathered' | 'unread' | 'names' | 'below' | 'rows'
  /** Between asterisks what was done. */
  words: string
  /** The lines of the file that it is about, as they were written. */
  lines?: readonly string[]
  back?: { label: string; choices: ReadingChoices }
}

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

const quoted = (words: readonly string[], most = 3) => {
  const shown = words.slice(0, most).map(word => `“${word.length > 40 ? `${word.slice(0, 39)}…` : word}”`)
  return listWords(words.length > most ? [...shown, `${numberWords(words.length - most)} more`] : shown)
}
const small = ['No', 'One', 'Two', 'Three', 'Four', 'Five', 'Six', 'Seven', 'Eight', 'Nine', 'Ten', 'Eleven', 'Twelve']
const counted = (count: number, one: string, many: string) => (count === 1 ? `One ${one}` : `${small[count] ?? numberWords(count)} ${many}`)

/**
 * Reads written rows as a table, as people leave them: finds its header under title lines, what its columns are, rows that add up
 * others, times that stand across. Every guess comes back in words; `choices` are a person's decisions against them.
 *
 * @param decimal the decimal sign that is likelier where nothing tells
 */
export function readRows(
  rows: WrittenRows,
  { name, id, decimal = '.', choices = {} }: { name: string; id: string; decimal?: DecimalSign; choices?: ReadingChoices },
): TableReading {
  const frame = frameOf(rows, choices)
  const headers = headersOf(rows, frame)
  const { names, twice, unnamed } = namesOf(headers)
  const cellsAt = frame.columns.map(column => (row: number) => rows[frame.rows[row]!]![column] ?? '')
  const count = frame.rows.length
  const asData = choices.totals === 'data'
  const totalRows = asData ? [] : totalsIn(count, cellsAt)
  const read = (without: readonly number[]) => readAll(rows, frame, { names, headers, without, decimal, choices })
  let made = read(totalRows)
  // A last row without a label that adds up all the others is found once amounts are amounts.
  if (
    !asData &&
    !totalRows.length &&
    count > 3 &&
    (cellsAt[0]?.(count - 1) ?? '').trim() === '' &&
    isUnnamedTotal(made.columns.filter(addable).map(({ values }) => values))
  ) {
    totalRows.push(count - 1)
    made = read(totalRows)
  }
  const totals = totalsOf(frame, totalRows, made, cellsAt)
  const apart = asData ? [] : totalColumns(made.columns)
  const columns = made.columns.filter(column => !apart.includes(column))
  const timelines = choices.gather === false ? [] : timelinesIn(columns)
  const gathered = timelines.length ? gather(columns, timelines, 'amount') : null
  const notes = [
    ...totalNotes(totals, asData),
    ...apart.map(column => ({
      about: 'totals' as const,
      words: `“${column.name}” *adds up the columns beside it* and is never drawn.`,
      back: { label: 'It is an amount', choices: { totals: 'data' as const } },
    })),
    ...gatheredNote(timelines, gathered),
    ...missingNote(made.readings, choices),
    ...unreadNotes(made.readings, frame),
    ...frameNotes(frame, rows, choices),
    ...nameNotes(twice, unnamed, frame),
  ]
  return { table: { id, name, columns: gathered?.columns ?? columns }, notes, columns: made.readings, totals }
}

/** Rows that are totals by their first words, as long as others are left. */
function totalsIn(count: number, cellsAt: readonly ((row: number) => string)[]): number[] {
  const found = labelledTotals(count, cellsAt.slice(0, 3))
  return found.length < count ? found : []
}

/** Reads each column, without some of the rows; what tells day from month in one column tells it in the others. */
function readAll(
  rows: WrittenRows,
  frame: Frame,
  input: {
    names: readonly string[]
    headers: readonly string[]
    without: readonly number[]
    decimal: DecimalSign
    choices: ReadingChoices
  },
): { columns: Column[]; readings: ColumnReading[]; hints: TableHints } {
  const without = new Set(input.without)
  const kept = without.size ? frame.rows.filter((_, index) => !without.has(index)) : frame.rows
  const hints: TableHints = { decimal: input.decimal, order: null }
  const readOne = (index: number) => {
    const column = frame.columns[index]!
    const name = input.names[index]!
    return readColumn(
      {
        name,
        written: input.headers[index]!,
        index,
        count: kept.length,
        at: row => rows[kept[row]!]![column] ?? '',
        zero: input.choices.missing === 'zero',
        ...(input.choices.columns?.[name] ? { choice: input.choices.columns[name] } : {}),
      },
      hints,
    )
  }
  const made = frame.columns.map((_, index) => readOne(index))
  const order = made.find(({ reading }) => reading.told?.order)?.reading.told?.order
  const signs = new Set(made.flatMap(({ reading }) => reading.told?.decimal ?? []))
  if (order) hints.order = order
  const [sign] = signs.size === 1 ? [...signs] : []
  if (sign) hints.decimal = sign
  for (const [index, { reading }] of made.entries()) {
    const { told, open, choice } = reading
    const isDoubtful = (open && choice.kind === 'date' && order) || (choice.decimal && !told?.decimal && sign !== input.decimal && sign)
    if (isDoubtful) made[index] = readOne(index)
  }
  return { columns: made.map(({ column }) => column), readings: made.map(({ reading }) => reading), hints }
}

/** What total rows say, each read as its column is. */
function totalsOf(
  frame: Frame,
  totals: readonly number[],
  made: { columns: Column[]; readings: ColumnReading[] },
  cellsAt: readonly ((row: number) => string)[],
): TotalRow[] {
  if (!totals.length) return []
  const isTotal = new Set(totals)
  const amounts = made.columns.flatMap((column, index) => {
    if (!addable(column)) return []
    let next = 0
    const own = readerOf(made.readings[index]!, cellsAt[index]!, totals)
    const values = frame.rows.map((_, row) => (isTotal.has(row) ? (own.get(row) ?? null) : column.values[next++]!))
    return [{ name: column.name, values }]
  })
  const labelAt = (row: number) => cellsAt.map(at => at(row).trim()).find(cell => cell !== '' && !/^[\d\s.,'€$£%()+−-]+$/.test(cell)) ?? ''
  return checkTotals(totals, amounts, row => ({ row: frame.rows[row]! + 1, label: labelAt(row) }))
}

/** The amounts in some cells of a column, read as the column is. */
function readerOf(reading: ColumnReading, at: (row: number) => string, rows: readonly number[]): Map<number, number> {
  const { column } = readColumn(
    {
      name: reading.name,
      written: reading.header,
      index: 0,
      count: rows.length,
      at: index => at(rows[index]!),
      zero: false,
      choice: reading.choice,
    },
    { decimal: reading.choice.decimal === ',' ? ',' : '.', order: null },
  )
  return new Map(rows.flatMap((row, index) => (typeof column.values[index] === 'number' ? [[row, column.values[index]]] : [])))
}

function totalNotes(totals: readonly TotalRow[], asData: boolean): ReadingNote[] {
  if (asData || !totals.length) return []
  const wrong = totals.filter(({ sums }) => sums.some(({ agrees }) => !agrees))
  const back = { label: totals.length === 1 ? 'It is data' : 'They are data', choices: { totals: 'data' as const } }
  if (totals.length > 1 && !wrong.length)
    return [
      { about: 'totals', words: `${counted(totals.length, 'row', 'rows')} of totals *agree with their sums* and are never drawn.`, back },
    ]
  const [total] = wrong.length ? wrong : totals
  const name = total!.label ? `“${total!.label}” in row ${total!.row}` : `Row ${total!.row}, without a name,`
  const off = total!.sums.find(({ agrees }) => !agrees)
  if (!off)
    return [
      {
        about: 'totals',
        words: total!.sums.length ? `${name} *agrees with the sum* and is never drawn.` : `${name} is kept apart and never drawn.`,
        back,
      },
    ]
  const number = (value: number) => new Intl.NumberFormat('en', { maximumFractionDigits: 2 }).format(value)
  return [
    {
      about: 'totals',
      words: `${name} *does not agree*: it says ${number(off.written)} for “${off.column}”, the rows come to ${number(off.sum)}. It is never drawn.`,
      back,
    },
  ]
}

function gatheredNote(timelines: ReturnType<typeof timelinesIn>, gathered: { into: string; amounts: string[] } | null): ReadingNote[] {
  if (!gathered) return []
  const across = new Set(timelines.flatMap(({ columns }) => columns.map(({ column }) => column))).size
  return [
    {
      about: 'gathered',
      words: `${counted(across, 'column', 'columns')} were *gathered into rows*: “${gathered.into}” and ${quoted(gathered.amounts)}.`,
      back: { label: 'Leave them across', choices: { gather: false } },
    },
  ]
}

function missingNote(readings: readonly ColumnReading[], choices: ReadingChoices): ReadingNote[] {
  const marks = new Map<string, number>()
  for (const { choice, missing } of readings)
    if (['number', 'money', 'percent', 'duration', 'date', 'time'].includes(choice.kind))
      for (const [mark, count] of missing) marks.set(mark, (marks.get(mark) ?? 0) + count)
  const count = [...marks.values()].reduce((sum, value) => sum + value, 0)
  if (!count) return []
  const words = [...marks.keys()].map(mark => (mark === '' ? 'empty' : `“${mark}”`))
  const said =
    words.length > 3
      ? `${words.slice(0, 3).join(', ')} and others`
      : listWords(words)
          .replace(', and', ' and')
          .replace(/ and (?=[^ ]*$)/, ' or ')
  const isZero = choices.missing === 'zero'
  return [
    {
      about: 'missing',
      words: `${counted(count, 'cell', 'cells')}, ${said}, ${count === 1 ? 'is' : 'are'} *${isZero ? 'taken as zero' : 'missing, not zero'}*.`,
      back: isZero
        ? { label: 'They are missing', choices: { missing: 'missing' } }
        : { label: count === 1 ? 'It is zero' : 'They are zero', choices: { missing: 'zero' } },
    },
  ]
}

function unreadNotes(readings: readonly ColumnReading[], frame: Frame): ReadingNote[] {
  return readings.flatMap(({ name, unread }): ReadingNote[] =>
    unread.count
      ? [
          {
            about: 'unread',
            words: `${quoted(unread.cells.map(({ cell }) => cell))} in “${name}” (row ${frame.rows[unread.cells[0]!.row]! + 1}${unread.count > 1 ? ` and ${numberWords(unread.count - 1)} more` : ''}) *cannot be read so* and ${unread.count === 1 ? 'is' : 'are'} missing.`,
          },
        ]
      : [],
  )
}

function frameNotes(frame: Frame, rows: WrittenRows, choices: ReadingChoices): ReadingNote[] {
  const notes: ReadingNote[] = []
  const first = frame.header[0] ?? frame.rows[0] ?? 0
  if (frame.above.length)
    notes.push({
      about: 'above',
      words: `${counted(frame.above.length, 'line', 'lines')} above the header ${frame.above.length === 1 ? 'is a *title*' : 'are *title and source*'}.`,
      lines: frame.above,
      back: {
        label: frame.above.length === 1 ? 'It is the header' : 'The first is the header',
        choices: {
          above: Math.max(
            0,
            rows.findIndex(row => row.some(cell => cell.trim() !== '')),
          ),
        },
      },
    })
  if (frame.header.length === 2) {
    const at =
      frame.columns.find(column => rows[frame.header[0]!]![column]?.trim() && rows[frame.header[1]!]![column]?.trim()) ?? frame.columns[0]!
    const both = frame.header.map(row => clean(rows[row]![at] ?? '')).filter(Boolean)
    notes.push({
      about: 'header',
      words: `Two header rows are *joined*, ${both.map(word => `“${word}”`).join(' and ')}.`,
      back: { label: 'Take the second', choices: { above: first, header: 'second' } },
    })
  }
  if (!frame.header.length)
    notes.push({
      about: 'header',
      words: `The first row is *data*; the columns have no names.`,
      back: { label: 'It is the header', choices: { above: first, header: 1 } },
    })
  else if (choices.header !== undefined)
    notes.push({
      about: 'header',
      words: `The header is *as you said*.`,
      back: { label: 'The first row is data', choices: { above: first, header: 0 } },
    })
  if (frame.repeated)
    notes.push({
      about: 'rows',
      words: `${counted(frame.repeated, 'row', 'rows')} that ${frame.repeated === 1 ? 'is' : 'are'} the header again ${frame.repeated === 1 ? 'was' : 'were'} *left out*.`,
    })
  if (frame.other)
    notes.push({ about: 'rows', words: `Another table begins below an empty row; its ${numberWords(frame.other)} rows are *not read*.` })
  if (frame.below.length)
    notes.push({
      about: 'below',
      words: `${counted(frame.below.length, 'line', 'lines')} below the rows ${frame.below.length === 1 ? 'is a *note*' : 'are *notes*'}.`,
      lines: frame.below,
    })
  return notes
}

function nameNotes(twice: readonly string[], unnamed: number, frame: Frame): ReadingNote[] {
  const notes: ReadingNote[] = []
  if (twice.length)
    notes.push({
      about: 'names',
      words: `${quoted(twice)} ${twice.length === 1 ? 'names' : 'name'} more than one column; the later ones are *numbered*.`,
    })
  if (unnamed && frame.header.length)
    notes.push({
      about: 'names',
      words: `${counted(unnamed, 'column', 'columns')} without a name ${unnamed === 1 ? 'is' : 'are'} *named by ${unnamed === 1 ? 'its' : 'their'} place*.`,
    })
  return notes
}
