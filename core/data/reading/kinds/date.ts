import type { ColumnChoice } from '../choices'
import { isDateWord, isYearWord } from '../languages'
import type { ColumnSample } from '../sample'
import { readDate, type DateOrder, type Grain, type WrittenDate } from '../written-date'
import { mostOf, type KindOfColumn, type Reading, type TableHints } from './kind'

const grainWords: Readonly<Record<Grain, string>> = {
  year: 'a year',
  season: 'a season of two years',
  quarter: 'a quarter of a year',
  month: 'a month of a year',
  week: 'a week of a year',
  day: 'a day',
  minute: 'a day with its time',
  second: 'a day with its time',
  'quarter-of-year': 'a quarter',
  'month-of-year': 'a month',
  'week-of-year': 'a week',
  'day-of-year': 'a day of any year',
}
const orderWords: Readonly<Record<DateOrder, string>> = { dmy: 'day before month', mdy: 'month before day' }
const capital = (words: string) => words[0]!.toUpperCase() + words.slice(1)

/** A day as an answer names it: 3 April. */
const dayWords = ({ iso }: WrittenDate) =>
  new Intl.DateTimeFormat('en-GB', { day: 'numeric', month: 'long', timeZone: 'UTC' }).format(new Date(`${iso.slice(0, 10)}T00:00Z`))

/** Whether years stand as years do: in order, evenly apart, over and over where rows repeat them. */
function runsAsYears(cells: readonly string[]): boolean {
  const years = [...new Set(cells.map(Number))].sort((a, b) => a - b)
  const step = years[1]! - years[0]!
  return years.length > 2 && step <= 10 && years.every((year, index) => index === 0 || year - years[index - 1]! === step)
}

/** The order of day and month, by what tells it. */
function decideOrder({ dates }: ColumnSample, hints: TableHints): { order: DateOrder; why: string; isOpen: boolean; isTold: boolean } {
  const { only, order, open, points } = dates
  const most: DateOrder = order.mdy > order.dmy ? 'mdy' : 'dmy'
  const told = only[most] ?? undefined
  if (told !== undefined) return { order: most, why: `since “${told}” can be nothing else`, isOpen: false, isTold: true }
  if (open === undefined) return { order: most, why: '', isOpen: false, isTold: false }
  if (points) return { order: 'dmy', why: 'as points part them', isOpen: false, isTold: false }
  if (hints.order) return { order: hints.order, why: 'as in another column', isOpen: false, isTold: false }
  return { order: 'dmy', why: '', isOpen: true, isTold: false }
}

function question({ dates }: ColumnSample, choice: ColumnChoice): Reading['open'] {
  const cell = dates.open!
  return {
    question: 'No day is above 12.',
    answers: (['dmy', 'mdy'] as const).map(order => ({ label: dayWords(readDate(cell, order)!), choice: { ...choice, order } })),
  }
}

/** The value of a cell at a column’s grain: a day without its time stands at its beginning where others have one. */
function reader(order: DateOrder, seasons: boolean, grain: Grain) {
  return (cell: string): string | undefined => {
    const read = readDate(cell, order, seasons)
    if (!read) return undefined
    if (read.grain === grain) return read.iso
    const isFine = grain === 'minute' || grain === 'second'
    if (isFine && read.grain === 'day') return `${read.iso}T00:00`
    return isFine && (read.grain === 'minute' || read.grain === 'second') ? read.iso : undefined
  }
}

/** A moment at its grain: years, seasons, quarters, months, weeks, days, days with their time. */
export const date: KindOfColumn = {
  name: 'date',
  readings(sample, hints) {
    const { dates, cells, name, numbers } = sample
    if (!dates.grain) return []
    const { order, why, isOpen, isTold } = decideOrder(sample, hints)
    const isFigures = dates.order.dmy + dates.order.mdy > 0
    const isBareYear = dates.grain === 'year' && numbers.integers > 0
    const isMeant = !isBareYear || isYearWord(name) || isDateWord(name) || (sample.index < 3 && runsAsYears(cells))
    const fits = dates.read / cells.length >= mostOf && isMeant
    const orders: readonly DateOrder[] = isFigures && dates.open !== undefined ? [order, order === 'dmy' ? 'mdy' : 'dmy'] : [order]
    return orders.map((one, index) => {
      const choice: ColumnChoice = { kind: 'date', ...(isFigures ? { order: one } : {}), ...(dates.seasons ? {} : { seasons: false }) }
      const ways = dates.ways > 1 && isFigures ? [`written in ${dates.ways} ways`] : []
      const said = isFigures && dates.open !== undefined ? [`*${orderWords[one]}*${index === 0 && why ? `, ${why}` : ''}`] : []
      return {
        choice,
        type: 'date',
        marks: 'numbers',
        grain: dates.grain!,
        read: reader(one, dates.seasons, dates.grain!),
        label: capital(grainWords[dates.grain!].replace(/^an? /, '')) + (said.length ? `, ${orderWords[one]}` : ''),
        words: [capital(grainWords[dates.grain!]).replace(/^(An? )?(.*)$/, '$1*$2*'), ...said, ...ways].join(', '),
        likely: index === 0 && fits ? 0.9 : 0,
        ...(isTold ? { told: { order } } : {}),
        ...(isOpen ? { open: question(sample, choice) } : {}),
      }
    })
  },
}
