import type { DecimalSign } from '../numbers'

/** A number as it is written: its figures with their signs, and what stands around them. */
export interface WrittenNumber {
  /** Figures, decimal sign and groups, without anything around them. */
  figures: string
  negative: boolean
  /** Whether a minus is written as brackets: (1,240). */
  brackets: boolean
  percent: boolean
  /** As written: €, EUR, kr; empty for none. */
  currency: string
  /** As written: km, °C; empty for none. */
  unit: string
  /** What a word after the figures multiplies by: 1e3 for k, 1e6 for Mio. */
  times: number
}

const currencySigns = '€$£¥₹₽₩₺₪₫฿₴₦'
const currencyCodes = `
  EUR USD GBP CHF SEK NOK DKK PLN CZK HUF RON BGN ISK TRY RUB UAH JPY CNY INR KRW AUD CAD NZD MXN BRL ARS CLP COP ZAR EGP NGN KES AED SAR
  ILS SGD HKD THB IDR MYR PHP VND`
  .trim()
  .split(/\s+/)
const currencyWords = new Set([
  ...currencyCodes,
  ...currencyCodes.map(code => code.toLowerCase()),
  ...[
    'kr',
    'kr.',
    'Kr',
    'Kr.',
    'zł',
    'Kč',
    'Ft',
    'lei',
    'Fr',
    'Fr.',
    'SFr.',
    'R$',
    'US$',
    'A$',
    'C$',
    'euro',
    'euros',
    'Euro',
    'dollars',
    'pounds',
  ],
])
/** Whether a word or sign names a currency: €, CHF, kr. */
export const isCurrency = (word: string) => (word.length === 1 && currencySigns.includes(word)) || currencyWords.has(word)

const multipliers: Readonly<Record<string, number>> = {
  k: 1e3,
  K: 1e3,
  tsd: 1e3,
  thousand: 1e3,
  thousands: 1e3,
  tausend: 1e3,
  mille: 1e3,
  mil: 1e3,
  tys: 1e3,
  tis: 1e3,
  tkr: 1e3,
  M: 1e6,
  mn: 1e6,
  mln: 1e6,
  mio: 1e6,
  mill: 1e6,
  million: 1e6,
  millions: 1e6,
  millionen: 1e6,
  millones: 1e6,
  milioni: 1e6,
  milhões: 1e6,
  miljoen: 1e6,
  miljoner: 1e6,
  bn: 1e9,
  mrd: 1e9,
  md: 1e9,
  mld: 1e9,
  billion: 1e9,
  billions: 1e9,
  milliarden: 1e9,
  milliard: 1e9,
  milliards: 1e9,
}
/** What a word multiplies the number before it by: 1,000 for “k” and “Tsd.”; undefined where it is no such word. */
export const timesOf = (word: string): number | undefined =>
  multipliers[word.replace(/\.$/, '')] ?? multipliers[word.toLowerCase().replace(/\.$/, '')]

const around = /^(\D*?)([.,]?\d(?:[\d.,'’ _]*\d)?(?:[eE][+-]?\d{1,3})?)(\D*)$/
const unitPattern = /^[\p{L}°µ²³/%‰·.]+(?: [\p{L}°µ²³/%‰·.]+)?$/u
const minus = /^[-−–]|[-−–]$/

/** What stands behind the figures: percent, a word that multiplies, a currency, a unit. */
function takeBehind(after: string): Pick<WrittenNumber, 'percent' | 'currency' | 'unit' | 'times'> {
  const found = { percent: false, currency: '', unit: '', times: 1 }
  for (const word of after ? after.split(' ') : []) {
    const parts = /^([kKM]|Mio\.?|Mrd\.?)([€$£])$/.exec(word)
    for (const part of parts ? [parts[1]!, parts[2]!] : [word]) {
      const times = timesOf(part)
      if (part === '%') found.percent = true
      else if (isCurrency(part) && !found.currency) found.currency = part
      else if (times !== undefined && found.times === 1 && !found.unit) found.times = times
      else found.unit = found.unit ? `${found.unit} ${part}` : part
    }
  }
  return found
}

/** A minus behind the figures, with nothing or a currency after it. */
const isMinusBehind = (after: string) => /^[-−–]$/.test(after) || /^[-−–](?=\s*[^\p{L}\d])/u.test(after)

/** Takes what is written apart; null where it is no number. */
export function takeApart(cell: string): WrittenNumber | null {
  let text = cell.replace(/[\s\u00a0\u2007\u2009\u202f]+/g, ' ').trim()
  const brackets = /^\(.*\)$/.test(text)
  if (brackets) text = text.slice(1, -1).trim()
  const match = around.exec(text)
  if (!match) return null
  const [before, after] = [match[1]!.trim(), match[3]!.trim()]
  const isMinus = minus.test(before) || isMinusBehind(after)
  const sign = before
    .replace(minus, '')
    .replace(/^\+|\+$/, '')
    .trim()
  if ((brackets && isMinus) || (sign && !isCurrency(sign))) return null
  const { unit, percent, currency, times } = takeBehind(after.replace(/^[-−–]\s*/, '').trim())
  if (sign && currency) return null
  if (unit.length > 16 || (unit && !unitPattern.test(unit)) || (percent && (unit || currency || sign))) return null
  return { figures: match[2]!, negative: brackets || isMinus, brackets, percent, currency: sign || currency, unit, times }
}

const groupings = {
  '.': /^\d{1,3}(?:([,'’ _])\d{3})(?:\1\d{3})*$/,
  ',': /^\d{1,3}(?:([.'’ _])\d{3})(?:\1\d{3})*$/,
} as const
/** Lakh and crore: the last three figures, before them two each. */
const indian = { '.': /^\d{1,2}(?:([, ])\d{2})+\1\d{3}$/, ',': /^\d{1,2}(?:([. ])\d{2})+\1\d{3}$/ } as const

/** The value of figures with a decimal sign; null where they are not written so. */
export function valueWith(figures: string, sign: DecimalSign): number | null {
  const [mantissa, exponent] = figures.split(/[eE]/)
  const at = mantissa!.indexOf(sign)
  const whole = at < 0 ? mantissa! : mantissa!.slice(0, at)
  const fraction = at < 0 ? '' : mantissa!.slice(at + 1)
  if (!/^\d*$/.test(fraction)) return null
  if (whole !== '' && !/^\d+$/.test(whole) && !groupings[sign].test(whole) && !indian[sign].test(whole)) return null
  const value = Number(`${whole.replace(/\D/g, '') || '0'}.${fraction || '0'}${exponent === undefined ? '' : `e${exponent}`}`)
  return Number.isFinite(value) ? value : null
}

/** Which decimal signs figures can be read with, as if nothing else were known. */
export function signsOf(figures: string): { '.': boolean; ',': boolean; open: boolean } {
  const point = valueWith(figures, '.')
  const comma = valueWith(figures, ',')
  // “0.125” is read both ways by form alone, but nobody groups thousands behind a nought.
  const nought = /^0[.,]\d{3}$/.test(figures)
  const reads = { '.': point !== null && !(nought && figures[1] === ','), ',': comma !== null && !(nought && figures[1] === '.') }
  return { ...reads, open: reads['.'] && reads[','] && point !== comma }
}
