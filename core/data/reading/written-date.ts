import { isWeekday, isYearWord, monthNamed, plainWord } from './languages'

/** In which order day, month and year stand where all are figures. */
export type DateOrder = 'dmy' | 'mdy'
/** How fine a moment is: a year, a season of two (2030/31), a quarter, month, week, day or minute; or those of any year. */
export const grains = [
  'year',
  'season',
  'quarter',
  'month',
  'week',
  'day',
  'minute',
  'second',
  'quarter-of-year',
  'month-of-year',
  'week-of-year',
  'day-of-year',
] as const
export type Grain = (typeof grains)[number]
/** A moment in the form of ISO 8601 (quarters as 2031-Q2), which sorts as time runs, with how fine it is. */
export interface WrittenDate {
  iso: string
  grain: Grain
}

const two = (value: number | string) => String(value).padStart(2, '0')
/** Two figures of a year are of this century up to 69. */
const fullYear = (year: string) => (year.length === 2 ? (Number(year) < 70 ? 2000 : 1900) + Number(year) : Number(year))
const daysIn = (year: number, month: number) => new Date(Date.UTC(year, month, 0)).getUTCDate()

function dayOf(year: number, month: number, day: number): WrittenDate | undefined {
  if (month < 1 || month > 12 || day < 1 || year < 1000 || year > 2999 || day > daysIn(year, month)) return undefined
  return { iso: `${year}-${two(month)}-${two(day)}`, grain: 'day' }
}
const monthOf = (year: number, month: number): WrittenDate | undefined =>
  month >= 1 && month <= 12 && year >= 1000 ? { iso: `${year}-${two(month)}`, grain: 'month' } : undefined

const numeric = /^(\d{1,2})\s?([-/.])\s?(\d{1,2})\s?\2\s?(\d{4}|\d{2})$/
const yearFirst = /^(\d{4})([-/.])(\d{1,2})\2(\d{1,2})$/
/** Whether a cell is a day in figures, by which orders it can be read. */
export function ordersOf(cell: string): Record<DateOrder, boolean> | undefined {
  const match = numeric.exec(dayPart(cell))
  if (!match) return undefined
  const [, first, , second, year] = match
  const full = fullYear(year!)
  return { dmy: !!dayOf(full, Number(second), Number(first)), mdy: !!dayOf(full, Number(first), Number(second)) }
}

const clock = /[T\s]+(\d{1,2})[:.](\d{2})(?::(\d{2})(?:[.,]\d+)?)?\s*([ap]\.?m\.?)?\s*(?:Uhr|Z|UTC|[+-]\d{2}:?\d{2})?$/i
const dayPart = (cell: string) => cell.trim().replace(clock, '')

/** The time of day at the end of a moment, as 11:52 or 11:52:30; undefined where there is none. */
function clockIn(cell: string): string | undefined {
  const match = clock.exec(cell)
  if (!match) return undefined
  const [, hours, minutes, seconds, half] = match
  const hour = half ? (Number(hours) % 12) + (/^p/i.test(half) ? 12 : 0) : Number(hours)
  if (hour > 23 || Number(minutes) > 59 || Number(seconds ?? 0) > 59) return undefined
  return `${two(hour)}:${minutes}${seconds === undefined ? '' : `:${seconds}`}`
}

/** A day in figures. */
function figures(text: string, order: DateOrder): WrittenDate | undefined {
  const match = numeric.exec(text)
  if (match) {
    const [, first, , second, year] = match
    return order === 'dmy' ? dayOf(fullYear(year!), Number(second), Number(first)) : dayOf(fullYear(year!), Number(first), Number(second))
  }
  const iso = yearFirst.exec(text)
  return iso ? dayOf(Number(iso[1]), Number(iso[3]), Number(iso[4])) : undefined
}

/** A day with its month in words: 3 April 2031, 3. Apr. 31, April 3, 2031, 3 de abril de 2031, 03-Apr-2031. */
function inWords(text: string): WrittenDate | undefined {
  const words = text
    .replace(/(\d)(?:st|nd|rd|th|er|º|ª|\.|:e)(?=[\s/-]|$)/gi, '$1')
    .split(/[\s,/-]+/)
    .filter(word => word !== '' && !/^(?:de|del|di|den|of|the)$/i.test(word))
  const days = words.length > 2 && isWeekday(words[0]!) ? words.slice(1) : words
  const at = days.findIndex(word => monthNamed(word) !== undefined)
  if (at < 0 || days.length > 3) return undefined
  const month = monthNamed(days[at]!)!
  const rest = days.filter((_, index) => index !== at)
  if (!rest.every(word => /^['’]?\d{1,4}$/.test(word))) return undefined
  const plain = rest.map(word => word.replace(/^['’]/, ''))
  if (plain.length === 2) {
    const [first, second] = plain as [string, string]
    return first.length === 4
      ? dayOf(Number(first), month, Number(second))
      : second.length === 1 || second.length === 3
        ? undefined
        : dayOf(fullYear(second), month, Number(first))
  }
  if (plain.length === 0) return { iso: `--${two(month)}`, grain: 'month-of-year' }
  const [only] = plain as [string]
  if (only.length === 4 || rest[0] !== only) return monthOf(fullYear(only), month)
  if (only.length > 2) return undefined
  // “Apr 31” and “Apr-31” are months of a year; “3 April” is a day of any.
  if (at === 0 && only.length === 2) return monthOf(fullYear(only), month)
  return Number(only) >= 1 && Number(only) <= daysIn(2024, month)
    ? { iso: `--${two(month)}-${two(only)}`, grain: 'day-of-year' }
    : undefined
}

const quarterWord =
  '(?:q|qtr|quarter|quartal|quart|t|trim|trimestre|tr|k|kv|kvartal|kw|kwartał|kwartal|kwartaal|kwart|čtvrtletí|čtvrt|neljännes|nelj)'
/** Those that can stand without a year: a letter alone would make a quarter of any code. */
const plainQuarter = '(?:q|qtr|quarter|quartal|quart|trim|trimestre|kvartal|kwartał|kwartal|kwartaal|čtvrtletí|neljännes)'
const roman: Readonly<Record<string, string>> = { i: '1', ii: '2', iii: '3', iv: '4' }
const year = "['’]?(\\d{4}|\\d{2})"
const quarters: readonly { pattern: RegExp; year: number; quarter: number }[] = [
  { pattern: new RegExp(`^${quarterWord}\\.?\\s?([1-4])[\\s/.,-]*${year}$`, 'i'), quarter: 1, year: 2 },
  { pattern: new RegExp(`^(\\d{4})[\\s/.-]*${quarterWord}\\.?\\s?([1-4])$`, 'i'), quarter: 2, year: 1 },
  {
    pattern: new RegExp(`^([1-4]|i{1,3}|iv)(?:\\.|st|nd|rd|th|er|e|º)?\\s*${quarterWord}\\.?[\\s/.,-]*(?:of |de |del )?${year}$`, 'i'),
    quarter: 1,
    year: 2,
  },
  { pattern: new RegExp(`^${plainQuarter}\\.?\\s?([1-4])$`, 'i'), quarter: 1, year: 0 },
  { pattern: new RegExp(`^([1-4]|i{1,3}|iv)(?:\\.|st|nd|rd|th|er|e|º)?\\s?${plainQuarter}\\.?$`, 'i'), quarter: 1, year: 0 },
]
function quarterOf(text: string): WrittenDate | undefined {
  for (const { pattern, year, quarter } of quarters) {
    const match = pattern.exec(text)
    if (!match) continue
    const number = roman[match[quarter]!.toLowerCase()] ?? match[quarter]!
    return year ? { iso: `${fullYear(match[year]!)}-Q${number}`, grain: 'quarter' } : { iso: `--Q${number}`, grain: 'quarter-of-year' }
  }
  return undefined
}

const weekWord = '(?:w|wk|week|kw|woche|s|sem|semaine|semana|settimana|v|vecka|u|uge|uke|tydz|tydzień|týden|vko|viikko|wk)'
const weeks: readonly { pattern: RegExp; year: number; week: number }[] = [
  { pattern: new RegExp(`^(\\d{4})[\\s/-]*${weekWord}\\.?\\s?(\\d{1,2})$`, 'i'), year: 1, week: 2 },
  { pattern: new RegExp(`^${weekWord}\\.?\\s?(\\d{1,2})[\\s/.,-]+${year}$`, 'i'), week: 1, year: 2 },
  { pattern: /^(?:kw|wk|week|woche|semaine|semana|settimana|vecka|uge|uke|tydzień|týden|viikko|vko)\.?\s?(\d{1,2})$/i, week: 1, year: 0 },
]
function weekOf(text: string): WrittenDate | undefined {
  for (const { pattern, year, week } of weeks) {
    const match = pattern.exec(text)
    if (!match) continue
    const number = Number(match[week])
    if (number < 1 || number > 53) return undefined
    return year ? { iso: `${fullYear(match[year]!)}-W${two(number)}`, grain: 'week' } : { iso: `--W${two(number)}`, grain: 'week-of-year' }
  }
  return undefined
}

const season = /^(\d{4})\s?[/–-]\s?(\d{4}|\d{2})$/
/** A year, alone or with a word before it (FY2031), or a season of two that follow each other (2030/31). */
function yearOf(text: string): WrittenDate | undefined {
  const plain = /^(?:([\p{L}.]+)\s?)?(1[5-9]\d\d|20\d\d|21\d\d)\.?$/u.exec(text)
  if (plain && (plain[1] === undefined || isYearWord(plain[1]))) return { iso: plain[2]!, grain: 'year' }
  const pair = season.exec(text)
  if (!pair) return undefined
  const first = Number(pair[1])
  const second = pair[2]!.length === 4 ? Number(pair[2]) : Math.floor(first / 100) * 100 + Number(pair[2])
  return second === first + 1 || second + 100 === first + 1 ? { iso: `${first}/${two((first + 1) % 100)}`, grain: 'season' } : undefined
}

const monthFigures: readonly { pattern: RegExp; year: number; month: number }[] = [
  { pattern: /^(\d{4})[-/.\s]?m?(\d{2})$/i, year: 1, month: 2 },
  { pattern: /^(\d{1,2})[/.-](\d{4})$/, month: 1, year: 2 },
]
function monthInFigures(text: string): WrittenDate | undefined {
  for (const { pattern, year, month } of monthFigures) {
    const match = pattern.exec(text)
    if (match && (text.length > 6 || /[-/.\sm]/i.test(text))) return monthOf(Number(match[year]), Number(match[month]))
  }
  return undefined
}

/** Reads a moment; days in figures in the order that is given. Undefined where it is none. `seasons`: 2010-11 is one, no month. */
export function readDate(cell: string, order: DateOrder, seasons = true): WrittenDate | undefined {
  const text = cell.replace(/[\s\u00a0\u202f]+/g, ' ').trim()
  if (text.length > 40 || !/\d|\p{L}/u.test(text)) return undefined
  const whole = yearOf(text)
  if (whole && (seasons || !/^\d{4}-\d{2}$/.test(text))) return whole
  const time = clockIn(text)
  const day = time === undefined ? text : dayPart(text)
  const found = figures(day, order) ?? (/\p{L}/u.test(day) ? inWords(day) : undefined)
  if (found) {
    if (time === undefined) return found
    return found.grain === 'day' ? { iso: `${found.iso}T${time}`, grain: time.length > 5 ? 'second' : 'minute' } : undefined
  }
  if (time !== undefined) return undefined
  return monthInFigures(text) ?? quarterOf(plainWord(text)) ?? weekOf(plainWord(text)) ?? anyYear(text, order)
}

/** A day of any year in figures: 03.04., or 3/4. */
function anyYear(text: string, order: DateOrder): WrittenDate | undefined {
  const match = /^(\d{1,2})\.(\d{1,2})\.$/.exec(text)
  if (!match) return undefined
  const [day, month] = order === 'dmy' ? [Number(match[1]), Number(match[2])] : [Number(match[2]), Number(match[1])]
  return month >= 1 && month <= 12 && day >= 1 && day <= daysIn(2024, month)
    ? { iso: `--${two(month)}-${two(day)}`, grain: 'day-of-year' }
    : undefined
}
