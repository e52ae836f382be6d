import type { DecimalSign } from '../numbers'
import { ordersOf, readDate, type DateOrder, type Grain } from './written-date'
import { isCurrency, signsOf, takeApart, timesOf } from './written-number'

/** What the header says beside the name: “takings (in thousand €)” has the name “takings”, the unit “€” and thousands. */
export interface HeaderUnit {
  name: string
  unit: string
  times: number
}

const units = `
  %|‰|km|m|cm|mm|mi|ft|kg|t|g|lb|l|m²|m2|m³|km²|km2|ha|°c|°f|h|min|s|d|kwh|mwh|gwh|w|kw|mw|km/h|mph|kn|nm|pax|people|persons?|personen|
  personer|points?|pts|pp`.replace(/\s/g, '')
const knownUnits = new RegExp(`^(?:${units})$`, 'i')
const inBrackets = /^(.*?)\s*[([]\s*(?:in\s+)?([^()[\]]{1,24})\s*[)\]]$/
const behindWord = /^(.+?)(?:,\s+|\s+)(?:in|en|i|w)\s+([^\s]{1,12}(?:\s[^\s]{1,4})?)$/
const behind = /^(.+?)[,\s]\s*([%‰€$£]|'?000s?)$/

/** Takes the unit out of a header. */
export function headerUnit(header: string): HeaderUnit {
  const text = header.replace(/\s+/g, ' ').trim()
  for (const pattern of [inBrackets, behindWord, behind]) {
    const match = pattern.exec(text)
    if (!match || !match[1]) continue
    let times = 1
    let unit = ''
    const known = match[2]!.split(' ').every(word => {
      if (/^'?000s?$/.test(word)) times = 1000
      else if (timesOf(word) !== undefined && !/^[kM]$/.test(word)) times = timesOf(word)!
      else if (/^(?:k|M|T|tsd\.?|mio\.?)[€$£]$/i.test(word)) {
        times = /^[MTm]/.test(word) && !/^T/.test(word) ? 1e6 : 1e3
        unit = word.at(-1)!
      } else if (isCurrency(word) || knownUnits.test(word)) unit = word
      else if (!/^(?:of|in|von)$/i.test(word)) return false
      return true
    })
    if (known) return { name: match[1].trim(), unit, times }
  }
  return { name: text, unit: '', times: 1 }
}

/** What the numbers in a column’s cells look like. */
export interface NumberFacts {
  /** Cells that are numbers with either sign. */
  numbers: number
  read: Record<DecimalSign, number>
  /** Cells that are numbers with this sign alone. */
  only: Record<DecimalSign, number>
  /** A cell that is one number with a point and another with a comma, by the sign that stands in it. */
  open: Partial<Record<DecimalSign, string>>
  /** Currencies and units as written, with how often. */
  currencies: Map<string, number>
  units: Map<string, number>
  percents: number
  brackets: number
  /** Whether anything groups thousands: the mark, as written. */
  groups: string
  hasDecimals: boolean
  /** Cells of figures alone that begin with a nought. */
  noughts: number
  isTimes: boolean
  integers: number
}

const add = (counts: Map<string, number>, key: string) => key && counts.set(key, (counts.get(key) ?? 0) + 1)

export function numberFactsOf(cells: readonly string[]): NumberFacts {
  const facts: NumberFacts = {
    numbers: 0,
    read: { '.': 0, ',': 0 },
    only: { '.': 0, ',': 0 },
    open: {},
    currencies: new Map(),
    units: new Map(),
    percents: 0,
    brackets: 0,
    groups: '',
    hasDecimals: false,
    noughts: 0,
    isTimes: false,
    integers: 0,
  }
  for (const cell of cells) {
    const written = takeApart(cell)
    if (!written) continue
    const { figures } = written
    const reads = signsOf(figures)
    if (!reads['.'] && !reads[',']) continue
    facts.numbers++
    for (const sign of ['.', ','] as const) {
      const other = sign === '.' ? ',' : '.'
      if (reads[sign]) facts.read[sign]++
      if (reads[sign] && !reads[other]) facts.only[sign]++
      if (reads.open && figures.includes(sign)) facts.open[sign] ??= cell.trim()
    }
    add(facts.currencies, written.currency)
    add(facts.units, written.unit)
    if (written.percent) facts.percents++
    if (written.brackets) facts.brackets++
    if (written.times !== 1) facts.isTimes = true
    facts.groups ||= /\d([ '’_])\d/.exec(figures)?.[1] ?? ''
    facts.hasDecimals ||= /[.,]/.test(figures)
    if (/^\d+$/.test(figures)) facts.integers++
    if (/^0\d+$/.test(cell.trim())) facts.noughts++
  }
  return facts
}

/** What the days and other times in a column’s cells look like. */
export interface DateFacts {
  order: Record<DateOrder, number>
  only: Record<DateOrder, string | undefined>
  /** A day in figures that is another one the other way round, and whether only points part them. */
  open: string | undefined
  points: boolean
  grain: Grain | undefined
  /** How many cells read so, by the better order. */
  read: number
  seasons: boolean
  /** How many ways of writing were met. */
  ways: number
}

/** What two grains have in common where one column has both. */
const joined = (grain: Grain): Grain => (grain === 'second' || grain === 'minute' ? 'day' : grain)

/** The form of a date, so that ways of writing it can be counted. */
const wayOf = (cell: string) =>
  cell
    .trim()
    .replace(/\d/g, '0')
    .replace(/0{1,2}(?=\D|$)/g, '0')
    .replace(/[\p{L}]+/gu, 'a')

type OrderFacts = Pick<DateFacts, 'order' | 'only' | 'open' | 'points' | 'seasons'>

/** By which orders a column’s days can be read. */
function orderFactsOf(cells: readonly string[]): OrderFacts {
  const facts: OrderFacts = {
    order: { dmy: 0, mdy: 0 },
    only: { dmy: undefined, mdy: undefined },
    open: undefined,
    points: true,
    seasons: true,
  }
  for (const cell of cells) {
    // 2010-11 can be a season or a month; 2010-03 is a month, and then all of them are.
    if (/^\d{4}-\d{2}$/.test(cell.trim()) && readDate(cell, 'dmy')?.grain === 'month') facts.seasons = false
    const orders = ordersOf(cell)
    if (!orders || (!orders.dmy && !orders.mdy)) continue
    if (!cell.includes('.')) facts.points = false
    if (!orders.dmy || !orders.mdy) facts.only[orders.dmy ? 'dmy' : 'mdy'] ??= cell.trim()
    else if (readDate(cell, 'dmy')?.iso !== readDate(cell, 'mdy')?.iso) facts.open ??= cell.trim()
    if (orders.dmy) facts.order.dmy++
    if (orders.mdy) facts.order.mdy++
  }
  return facts
}

export function dateFactsOf(cells: readonly string[]): DateFacts {
  const facts = orderFactsOf(cells)
  const order = facts.order.mdy > facts.order.dmy ? 'mdy' : 'dmy'
  const ways = new Set<string>()
  const counts = new Map<Grain, number>()
  const finest = new Set<Grain>()
  for (const cell of cells) {
    const read = readDate(cell, order, facts.seasons)
    if (!read) continue
    ways.add(wayOf(cell))
    finest.add(read.grain)
    counts.set(joined(read.grain), (counts.get(joined(read.grain)) ?? 0) + 1)
  }
  const [most] = [...counts].sort(([, a], [, b]) => b - a)
  const fine = (['second', 'minute'] as const).find(grain => finest.has(grain))
  return { ...facts, ways: ways.size, read: most?.[1] ?? 0, grain: most?.[0] === 'day' ? (fine ?? 'day') : most?.[0] }
}

/** A column’s cells as they are looked at to find out what they are: those that are not missing, of a large table some of them. */
export class ColumnSample {
  readonly distinct: ReadonlySet<string>
  #numbers: NumberFacts | undefined
  #dates: DateFacts | undefined

  constructor(
    /** As the header has it, without the unit. */
    readonly name: string,
    /** How many columns stand before it. */
    readonly index: number,
    readonly header: HeaderUnit,
    /** Without those that are missing among numbers. */
    readonly cells: readonly string[],
    /** Without blank ones alone: as text they are something. */
    readonly written: readonly string[],
  ) {
    this.distinct = new Set(cells)
  }

  get numbers() {
    return (this.#numbers ??= numberFactsOf(this.cells))
  }

  get dates() {
    return (this.#dates ??= dateFactsOf(this.cells))
  }
}
