/**
 * Workbooks (Office Open XML, OpenDocument, older compound files): one sheet read as a table, and a table written as one.
 *
 * @example
 * import { readWorkbook, writeWorkbook } from 'core/formats/workbook'
 * import { seasons } from 'core/testing'
 *
 * const read = readWorkbook(writeWorkbook(seasons), 'seasons.xlsx', 'again')
 * read.ok && read.value.table.columns.map(({ name }) => name) // → ['season', 'crossings']
 */
import { unzipSync } from 'fflate'
import { read, SSF, utils, type CellObject, type WorkBook, type WorkSheet } from '@e965/xlsx'
import { readTable, type ReadingChoices, type ReadingNote, type TableReading } from '../../data'
import { failed, type Outcome } from '../../values'

export { writeWorkbook } from './write'

/** A workbook whose parts come to more than this unpacked is not read, bytes. */
const unpackedLimit = 400 * 1024 * 1024
/** As many rows as a sheet can have. */
const rowLimit = 1_048_576

const zip = [0x50, 0x4b]
const compound = [0xd0, 0xcf, 0x11, 0xe0]
const begins = (bytes: Uint8Array, mark: readonly number[]) => mark.every((byte, at) => bytes[at] === byte)

/** Whether bytes can be a workbook: a packed one (Office Open XML, OpenDocument), or one of the older compound files. */
export const isWorkbook = (bytes: Uint8Array) => begins(bytes, zip) || begins(bytes, compound)

/** What the parts of a packed workbook say that they come to unpacked, and whether there is a workbook among them. */
function packed(bytes: Uint8Array): { size: number; isBook: boolean } | null {
  let [size, isBook] = [0, false]
  try {
    unzipSync(bytes, {
      filter: ({ name, originalSize }) => {
        size += originalSize
        isBook ||= name === 'xl/workbook.xml' || name === 'xl/workbook.bin' || name === 'content.xml'
        return false
      },
    })
  } catch (error) {
    // fflate throws errors of its own for what is no archive.
    if (!(error instanceof Error) || !('code' in error)) throw error
    return null
  }
  return { size, isBook }
}

const two = (value: number) => String(value).padStart(2, '0')
/** A number that a cell shows as a day or a time, in the form of ISO 8601; days count from 1900 or 1904. */
function momentOf(value: number, date1904: boolean): string {
  const { y, m, d, H, M, S } = SSF.parse_date_code(value, { date1904 })
  const seconds = S ? `:${two(Math.floor(S))}` : ''
  const clock = `${two(H)}:${two(M)}${seconds}`
  if (value < 1) return clock
  const day = `${y}-${two(m)}-${two(d)}`
  return H || M || S ? `${day} ${clock}` : day
}

/** Signs of money that a number format may say, as `[$€-407]` or by themselves. */
const money = /\[\$([^\]-]+)[^\]]*\]|([€£$¥₹])/
/** Numbers as they are kept, without the noise of binary fractions. */
const plain = (value: number) => String(Number(value.toPrecision(15)))

/** A cell as somebody would have written it in text: what the file keeps, with what its format says that it is. */
function writtenCell(cell: CellObject | undefined, date1904: boolean): string {
  if (!cell || cell.v === undefined || cell.v === null || cell.t === 'z') return ''
  if (cell.t === 'e') return 'n/a'
  if (cell.t === 'b') return cell.v ? 'TRUE' : 'FALSE'
  if (cell.t !== 'n') return String(cell.v)
  const [value, format] = [Number(cell.v), String(cell.z ?? '')]
  if (!Number.isFinite(value)) return 'n/a'
  if (format && SSF.is_date(format)) return /\[h+\]/i.test(format) ? durationOf(value) : momentOf(value, date1904)
  if (format.includes('%')) return `${plain(value * 100)} %`
  const sign = money.exec(format)
  return sign ? `${plain(value)} ${(sign[1] ?? sign[2])!.trim()}` : plain(value)
}
/** Hours that are counted on beyond a day: 26:30. */
function durationOf(days: number): string {
  const minutes = Math.round(Math.abs(days) * 24 * 60)
  return `${days < 0 ? '-' : ''}${Math.floor(minutes / 60)}:${two(minutes % 60)}`
}

interface Grid {
  rows: string[][]
  formulas: number
  merged: number
}

/** The cells of a sheet as text, from its first that holds something; what is merged stands in each of its rows. */
function gridOf(sheet: WorkSheet, date1904: boolean, range: ReturnType<typeof utils.decode_range> | null): Grid {
  const cells = (sheet['!data'] ?? []) as (CellObject[] | undefined)[]
  const rows: string[][] = []
  let formulas = 0
  cells.forEach((line, row) => {
    if (!line || (range && (row < range.s.r || row > range.e.r))) return
    const written: string[] = []
    line.forEach((cell, column) => {
      if (!cell || (range && (column < range.s.c || column > range.e.c))) return
      if (cell.f !== undefined) formulas++
      written[column - (range?.s.c ?? 0)] = writtenCell(cell, date1904)
    })
    rows[row - (range?.s.r ?? 0)] = Array.from(written, text => text ?? '')
  })
  const grid = Array.from(rows, row => row ?? [])
  let merged = 0
  for (const { s, e } of sheet['!merges'] ?? []) {
    // What spans columns is a name over them, and read as such.
    if (e.r === s.r || e.c !== s.c) continue
    const column = s.c - (range?.s.c ?? 0)
    const text = grid[s.r - (range?.s.r ?? 0)]?.[column]
    if (!text) continue
    merged++
    for (let row = s.r + 1; row <= e.r && row - (range?.s.r ?? 0) < grid.length; row++) {
      const line = grid[row - (range?.s.r ?? 0)]
      if (!line) continue
      while (line.length <= column) line.push('')
      line[column] ||= text
    }
  }
  return { rows: grid, formulas, merged }
}

const isEmpty = (sheet: WorkSheet | undefined) => !((sheet?.['!data'] ?? []) as unknown[]).some(Boolean)
const counted = (count: number, one: string, many: string) =>
  count === 1 ? `One ${one}` : `${new Intl.NumberFormat('en').format(count)} ${many}`
const quote = (words: string) => `“${words.replaceAll('*', '∗')}”`

/** What was done to read a sheet, each with its way to another one. */
function notesOf(book: WorkBook, sheet: string, grid: Grid, choices: ReadingChoices): ReadingNote[] {
  const hidden = (name: string) => !!book.Workbook?.Sheets?.find(one => one.name === name)?.Hidden
  const others = book.SheetNames.filter(name => name !== sheet && !isEmpty(book.Sheets[name]))
  const gone = choices.sheet !== undefined && choices.sheet !== sheet
  return [
    ...(gone ? [{ about: 'rows' as const, words: `There is *no sheet ${quote(choices.sheet!)}* any more: ${quote(sheet)} is read.` }] : []),
    ...others.map(name => ({
      about: 'rows' as const,
      words: `Read from ${quote(sheet)}; ${quote(name)}${hidden(name) ? ', which is hidden,' : ''} *is left out*.`,
      back: { label: `Read ${quote(name)}`, choices: { sheet: name } },
    })),
    ...(grid.formulas
      ? [
          {
            about: 'rows' as const,
            words: `${counted(grid.formulas, 'cell has a formula', 'cells have formulas')}: *the last results* are read.`,
          },
        ]
      : []),
    ...(grid.merged
      ? [{ about: 'rows' as const, words: `${counted(grid.merged, 'merged cell counts', 'merged cells count')} *for each of their rows*.` }]
      : []),
  ]
}

function opened(bytes: Uint8Array, name: string): Outcome<WorkBook> {
  try {
    const book = read(bytes, {
      type: 'array',
      dense: true,
      cellNF: true,
      cellHTML: false,
      cellText: false,
      sheetRows: rowLimit,
      bookVBA: false,
    })
    return book.SheetNames.length ? { ok: true, value: book } : failed(`“${name}” holds no sheets.`)
  } catch (error) {
    // What cannot be read is told by plain errors, of whatever kind.
    if (!(error instanceof Error)) throw error
    const locked = /password|encrypt/i.test(error.message)
    return failed(
      locked
        ? `“${name}” is locked with a password. Save it without one, then upload it.`
        : `“${name}” cannot be read as a workbook. Save the sheet that you need as CSV, then upload that.`,
    )
  }
}

/** Reads a sheet of a workbook as a table: the one that was chosen, else the first that is seen and holds something. */
export function readWorkbook(bytes: Uint8Array, name: string, id: string, choices: ReadingChoices = {}): Outcome<TableReading> {
  if (begins(bytes, zip)) {
    const parts = packed(bytes)
    if (!parts?.isBook) return failed(`“${name}” is an archive and no workbook. Unpack it, then upload the table in it.`)
    if (parts.size > unpackedLimit)
      return failed(
        `“${name}” comes to ${Math.round(parts.size / 1048576)} MB unpacked; at most ${unpackedLimit / 1048576} MB can be read.`,
      )
  }
  const book = opened(bytes, name)
  if (!book.ok) return book
  const { SheetNames, Sheets, Workbook } = book.value
  const isHidden = (sheet: string) => !!Workbook?.Sheets?.find(one => one.name === sheet)?.Hidden
  const full = SheetNames.filter(sheet => !isEmpty(Sheets[sheet]))
  const chosen = full.find(sheet => sheet === choices.sheet) ?? full.find(sheet => !isHidden(sheet)) ?? full[0]
  if (chosen === undefined) return failed(`“${name}” holds nothing: its sheets are empty.`)
  const range = choices.range === undefined ? null : utils.decode_range(choices.range)
  const grid = gridOf(Sheets[chosen]!, !!Workbook?.WBProps?.date1904, range)
  const made = readTable(grid.rows, { name, id, decimal: '.', choices })
  return made.ok
    ? { ok: true, value: { ...made.value, notes: [...notesOf(book.value, chosen, grid, choices), ...made.value.notes] } }
    : made
}
