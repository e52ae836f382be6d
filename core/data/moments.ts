import { outlineWords } from '../maps'
import type { Column } from './table'
import type { Grain } from './reading/written-date'

const formatters = new Map<string, Intl.DateTimeFormat>()
function formatter(language: string, options: Intl.DateTimeFormatOptions): Intl.DateTimeFormat {
  const key = `${language}|${JSON.stringify(options)}`
  let made = formatters.get(key)
  if (!made) formatters.set(key, (made = new Intl.DateTimeFormat(language, { ...options, timeZone: 'UTC' })))
  return made
}
const dayOf = (iso: string) => new Date(`${iso}T00:00:00Z`)
const leap = 2024

const ways: Readonly<Record<Grain, (iso: string, language: string) => string>> = {
  year: iso => iso,
  season: iso => iso.replace('/', '–'),
  quarter: iso => `Q${iso.at(-1)} ${iso.slice(0, 4)}`,
  month: (iso, language) => formatter(language, { month: 'short', year: 'numeric' }).format(dayOf(`${iso}-01`)),
  week: iso => `W${Number(iso.slice(-2))} ${iso.slice(0, 4)}`,
  day: (iso, language) => formatter(language, { dateStyle: 'medium' }).format(dayOf(iso)),
  minute: (iso, language) => formatter(language, { dateStyle: 'medium', timeStyle: 'short' }).format(new Date(`${iso}:00Z`)),
  second: (iso, language) => formatter(language, { dateStyle: 'medium', timeStyle: 'medium' }).format(new Date(`${iso}Z`)),
  'quarter-of-year': iso => iso.slice(2),
  'month-of-year': (iso, language) => formatter(language, { month: 'short' }).format(dayOf(`${leap}-${iso.slice(2)}-01`)),
  'week-of-year': iso => `W${Number(iso.slice(3))}`,
  'day-of-year': (iso, language) => formatter(language, { day: 'numeric', month: 'short' }).format(dayOf(`${leap}-${iso.slice(2)}`)),
}

/** Forms that each grain is written in (ISO 8601, quarters as 2031-Q2); what is not so is shown as it is. */
const forms: Readonly<Record<Grain, RegExp>> = {
  year: /^\d{4}$/,
  season: /^\d{4}\/\d{2}$/,
  quarter: /^\d{4}-Q[1-4]$/,
  month: /^\d{4}-\d{2}$/,
  week: /^\d{4}-W\d{2}$/,
  day: /^\d{4}-\d{2}-\d{2}$/,
  minute: /^\d{4}-\d{2}-\d{2}T\d{2}:\d{2}$/,
  second: /^\d{4}-\d{2}-\d{2}T\d{2}:\d{2}(:\d{2})?$/,
  'quarter-of-year': /^--Q[1-4]$/,
  'month-of-year': /^--\d{2}$/,
  'week-of-year': /^--W\d{2}$/,
  'day-of-year': /^--\d{2}-\d{2}$/,
}

/** A moment as a reader sees it, at its grain, in a language (BCP 47): 2031-04 is “Apr 2031”. */
export function momentWords(value: string, grain: Grain, language: string): string {
  const iso = grain === 'second' && value.length === 16 ? `${value}:00` : value
  return forms[grain].test(iso) ? ways[grain](iso, language) : value
}

/** A length of time as a reader sees it: 1 h 05 min, 45 min, 30 s. */
export function durationWords(seconds: number, language: string): string {
  const sign = seconds < 0 ? '−' : ''
  const whole = Math.abs(seconds)
  const hours = Math.floor(whole / 3600)
  const minutes = Math.floor((whole % 3600) / 60)
  const rest = Math.round((whole % 60) * 10) / 10
  const number = (value: number) => new Intl.NumberFormat(language, { maximumFractionDigits: 1 }).format(value)
  const parts = [
    ...(hours ? [`${number(hours)} h`] : []),
    ...(minutes || (hours && rest) ? [`${hours ? String(minutes).padStart(2, '0') : minutes} min`] : []),
    ...(rest || !whole ? [`${number(rest)} s`] : []),
  ]
  return sign + parts.join(' ')
}

/** A value in a grid with the unit above: shares in hundredths, moments and durations in words, numbers with all of their decimals. */
export function gridWords(
  column: Pick<Column, 'type' | 'grain' | 'kind'>,
  value: string | number | null,
  language: string,
  decimals = decimalsOf(column, [value]),
): string {
  if (typeof value !== 'number' || column.kind === 'duration') return keyWords(column, value, language)
  const shown = column.kind === 'percent' ? value * 100 : value
  const format = new Intl.NumberFormat(language, { minimumFractionDigits: decimals, maximumFractionDigits: decimals })
  return format.format(shown).replace('-', '−')
}

/**
 * With how many decimals numbers of a column are shown under each other, at most 6; two where one has more than that, as what is reckoned
 * has, and money that has any.
 */
export function decimalsOf(column: Pick<Column, 'kind'>, values: readonly (string | number | null)[]): number {
  let most = 0
  for (const value of values) {
    if (typeof value !== 'number') continue
    const shown = column.kind === 'percent' ? value * 100 : value
    if (Math.abs(shown - Number(shown.toFixed(6))) > Math.abs(shown) * 1e-12 + 1e-12) return 2
    most = Math.max(most, Math.min(6, /\.(\d+)$/.exec(String(Number(shown.toFixed(6))))?.[1]?.length ?? 0))
  }
  return column.kind === 'money' && most > 0 ? Math.max(2, most) : most
}

/** A value of a column that is no amount, as a reader sees it. */
export function keyWords(column: Pick<Column, 'type' | 'grain' | 'kind'>, value: string | number | null, language: string): string {
  if (value === null) return ''
  if (column.type === 'number') return column.kind === 'duration' ? durationWords(Number(value), language) : String(value)
  if (column.type === 'date' && column.kind !== 'time') return momentWords(String(value), column.grain ?? 'day', language)
  if (column.kind === 'outline') return outlineWords(String(value))
  return String(value).replace(/\s+/g, ' ').trim()
}

const day = 86_400_000
const daysTo = (year: number, month = 1, date = 1) => Date.UTC(year, month - 1, date) / day
/** The Monday of an ISO week: that which holds the year's first Thursday is the first (ISO 8601). */
const mondayOf = (year: number, week: number) => {
  const fourth = daysTo(year, 1, 4)
  return fourth - ((new Date(fourth * day).getUTCDay() + 6) % 7) + (week - 1) * 7
}
const numbers = (iso: string) => iso.match(/\d+/g)!.map(Number) as [number, number, number]

const places: Partial<Readonly<Record<Grain, (iso: string) => number>>> = {
  year: iso => daysTo(Number(iso)),
  season: iso => daysTo(Number(iso.slice(0, 4)), 7),
  quarter: iso => daysTo(Number(iso.slice(0, 4)), (Number(iso.at(-1)) - 1) * 3 + 1),
  month: iso => daysTo(...(numbers(iso).slice(0, 2) as [number, number])),
  week: iso => mondayOf(...(numbers(iso).slice(0, 2) as [number, number])),
  day: iso => daysTo(...numbers(iso)),
  minute: iso => Date.parse(`${iso}:00Z`) / day,
  second: iso => Date.parse(`${iso.length === 16 ? `${iso}:00` : iso}Z`) / day,
}

/** Where a moment stands in time: days since 1 January 1970 at which it begins; null of a moment of any year, and of what is none. */
export function momentPlace(value: string, grain: Grain): number | null {
  const place = places[grain]
  return place && forms[grain].test(value) ? place(value) : null
}
