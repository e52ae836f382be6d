import { listWords, numberWords } from '../../values'
import type { ReadingChoices } from './choices'
import type { ColumnReading } from './column'
import type { Frame, WrittenRows } from './frame'
import type { Timeline } from './gather'
import type { TotalRow } from './totals'

/** Something that was done to the whole table, as a sentence, with its way back. */
export interface ReadingNote {
  about: 'outlines' | 'above' | 'header' | 'totals' | 'missing' | 'gathered' | 'unread' | 'names' | 'below' | 'rows'
  /** Between asterisks what was done. */
  words: string
  /** The lines of the file that it is about, as they were written. */
  lines?: readonly string[]
  back?: { label: string; choices: ReadingChoices }
}

/** Words of a file in a sentence; an asterisk among them would tell that something can be changed. */
const quote = (words: string) => `“${(words.length > 40 ? `${words.slice(0, 39)}…` : words).replaceAll('*', '∗')}”`
const quoted = (words: readonly string[], most = 3) => {
  const shown = words.slice(0, most).map(quote)
  return listWords(words.length > most ? [...shown, `${numberWords(words.length - most)} more`] : shown)
}
/** “empty”, “empty or ..”, “empty, .. or n/a”. */
const eitherWords = (names: readonly string[]) => new Intl.ListFormat('en-GB', { type: 'disjunction' }).format(names)
const small = ['No', 'One', 'Two', 'Three', 'Four', 'Five', 'Six', 'Seven', 'Eight', 'Nine', 'Ten', 'Eleven', 'Twelve']
const counted = (count: number, one: string, many: string) => (count === 1 ? `One ${one}` : `${small[count] ?? numberWords(count)} ${many}`)

export function totalNotes(totals: readonly TotalRow[]): ReadingNote[] {
  if (!totals.length) return []
  const wrong = totals.filter(({ sums }) => sums.some(({ agrees }) => !agrees))
  const back = { label: totals.length === 1 ? 'It is data' : 'They are data', choices: { totals: 'data' as const } }
  const note = (words: string): ReadingNote[] => [{ about: 'totals', words, back }]
  if (totals.length > 1 && !wrong.length)
    return note(`${counted(totals.length, 'row', 'rows')} of totals *agree with their sums* and are never drawn.`)
  const total = wrong[0] ?? totals[0]!
  const name = total.label ? `${quote(total.label)} in row ${total.row}` : `Row ${total.row}, without a name,`
  const off = total.sums.find(({ agrees }) => !agrees)
  if (!off) return note(total.sums.length ? `${name} *agrees with the sum* and is never drawn.` : `${name} is kept apart and never drawn.`)
  const number = (value: number) => new Intl.NumberFormat('en', { maximumFractionDigits: 2 }).format(value)
  const said = `it says ${number(off.written)} for ${quote(off.column)}, the rows come to ${number(off.sum)}`
  return note(`${name} *does not agree*: ${said}. It is never drawn.`)
}

/** Columns that are kept apart because they add up others. */
export const apartNotes = (columns: readonly { name: string }[]): ReadingNote[] =>
  columns.map(({ name }) => ({
    about: 'totals',
    words: `${quote(name)} *adds up the columns beside it* and is never drawn.`,
    back: { label: 'It is an amount', choices: { totals: 'data' } },
  }))

export function gatheredNote(timelines: readonly Timeline[], gathered: { into: string; amounts: string[] } | null): ReadingNote[] {
  if (!gathered) return []
  const across = new Set(timelines.flatMap(({ columns }) => columns.map(({ column }) => column))).size
  return [
    {
      about: 'gathered',
      words: `${counted(across, 'column', 'columns')} were *gathered into rows*: ${quote(gathered.into)} and ${quoted(gathered.amounts)}.`,
      back: { label: 'Leave them across', choices: { gather: false } },
    },
  ]
}

const amounts = new Set(['number', 'money', 'percent', 'duration'])
const times = new Set(['date', 'time'])
/** Cells among amounts and times that are missing, or where that was decided are taken as zero: amounts alone can be. */
export function missingNote(readings: readonly ColumnReading[], choices: ReadingChoices): ReadingNote[] {
  const isZero = choices.missing === 'zero'
  const marks = new Map<string, number>()
  for (const { choice, missing } of readings)
    if (amounts.has(choice.kind) || (!isZero && times.has(choice.kind)))
      for (const [mark, count] of missing) marks.set(mark, (marks.get(mark) ?? 0) + count)
  const count = [...marks.values()].reduce((sum, value) => sum + value, 0)
  if (!count) return []
  const names = [...marks.keys()].map(mark => (mark === '' ? 'empty' : quote(mark)))
  const said = names.length > 3 ? `${names.slice(0, 3).join(', ')} and others` : eitherWords(names)
  const made = isZero ? 'taken as zero' : 'missing, not zero'
  const back: ReadingNote['back'] = isZero
    ? { label: count === 1 ? 'It is missing' : 'They are missing', choices: { missing: 'missing' } }
    : { label: count === 1 ? 'It is zero' : 'They are zero', choices: { missing: 'zero' } }
  return [{ about: 'missing', words: `${counted(count, 'cell', 'cells')}, ${said}, ${count === 1 ? 'is' : 'are'} *${made}*.`, back }]
}

export const unreadNotes = (readings: readonly ColumnReading[]): ReadingNote[] =>
  readings.flatMap(({ name, unread: { count, cells } }) => {
    if (!cells.length) return []
    const where = `row ${cells[0]!.row}${count > 1 ? ` and ${numberWords(count - 1)} more` : ''}`
    const said = quoted([...new Set(cells.map(({ cell }) => cell))])
    return [
      { about: 'unread', words: `${said} in ${quote(name)} (${where}) *cannot be read so* and ${count === 1 ? 'is' : 'are'} missing.` },
    ]
  })

export function frameNotes(frame: Frame, rows: WrittenRows, choices: ReadingChoices): ReadingNote[] {
  const notes: ReadingNote[] = []
  const first = frame.header[0] ?? frame.rows[0] ?? 0
  if (frame.above.length) {
    const isOne = frame.above.length === 1
    const above = rows.findIndex(row => row.some(cell => cell.trim() !== ''))
    notes.push({
      about: 'above',
      words: `${counted(frame.above.length, 'line', 'lines')} above the header ${isOne ? 'is a *title*' : 'are *title and source*'}.`,
      lines: frame.above,
      back: { label: isOne ? 'It is the header' : 'The first is the header', choices: { above } },
    })
  }
  if (frame.header.length === 2) {
    const at =
      frame.columns.find(column => rows[frame.header[0]!]![column]?.trim() && rows[frame.header[1]!]![column]?.trim()) ?? frame.columns[0]!
    const both = frame.header.map(row => (rows[row]![at] ?? '').replace(/\s+/g, ' ').trim()).filter(Boolean)
    notes.push({
      about: 'header',
      words: `Two header rows are *joined*, ${both.map(quote).join(' and ')}.`,
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
  if (frame.repeated) {
    const [is, was] = frame.repeated === 1 ? ['is', 'was'] : ['are', 'were']
    notes.push({ about: 'rows', words: `${counted(frame.repeated, 'row', 'rows')} that ${is} the header again ${was} *left out*.` })
  }
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

export function nameNotes(twice: readonly string[], unnamed: number, frame: Frame): ReadingNote[] {
  const notes: ReadingNote[] = []
  if (twice.length)
    notes.push({
      about: 'names',
      words: `${quoted(twice)} ${twice.length === 1 ? 'names' : 'name'} more than one column; the later ones are *numbered*.`,
    })
  if (unnamed && frame.header.length) {
    const [is, its] = unnamed === 1 ? ['is', 'its'] : ['are', 'their']
    notes.push({ about: 'names', words: `${counted(unnamed, 'column', 'columns')} without a name ${is} *named by ${its} place*.` })
  }
  return notes
}
