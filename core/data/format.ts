import type { NumberFormat } from '../model'
import type { Column } from './table'

const scales = { none: [1, ''], thousands: [1e3, 'k'], millions: [1e6, 'M'], percent: [0.01, '%'] } as const

/** The scale that keeps the middle one of some amounts short: thousands from 10,000, millions from 1,000,000. */
export function scaleFor(values: readonly number[]): 'none' | 'thousands' | 'millions' {
  const sizes = values
    .map(Math.abs)
    .filter(size => size > 0)
    .sort((a, b) => a - b)
  const middle = sizes[Math.floor(sizes.length / 2)] ?? 0
  return middle >= 1e6 ? 'millions' : middle >= 1e4 ? 'thousands' : 'none'
}

/** Decimals that some scaled amounts need to be told apart: none where all are whole, or long enough without; two of small ones at most. */
function decimalsFor(scaled: readonly number[], isScaled: boolean): number {
  const whole = scaled.every(value => Math.abs(value - Math.round(value)) < 1e-9)
  if (whole || (isScaled && scaled.some(value => Math.abs(value) >= 100))) return 0
  const small = scaled.every(value => Math.abs(value) < 10)
  return small && new Set(scaled.map(value => value.toFixed(1))).size < new Set(scaled.map(value => value.toFixed(2))).size ? 2 : 1
}

/**
 * A format with its scale and its decimals decided by the numbers that are written in it: to be asked once where there are many of them.
 */
export function settledFormat(format: NumberFormat, among: readonly number[]): NumberFormat & { decimals: number } {
  const scale = format.scale === 'auto' ? scaleFor(among) : format.scale
  if (format.decimals !== null) return { ...format, scale, decimals: format.decimals }
  const [divisor] = scales[scale]
  const scaled = among.map(other => other / divisor)
  return { ...format, scale, decimals: decimalsFor(scaled, scale === 'thousands' || scale === 'millions') }
}

const formatters = new Map<string, Intl.NumberFormat>()

/**
 * A number as a reader sees it: divided by its scale, rounded, with prefix and suffix, in a language (BCP 47). `among`
 * are the numbers it stands with: 'auto' scale and absent decimals are chosen once for all of them.
 */
export function formatNumber(
  value: number | null,
  format: NumberFormat,
  language: string,
  among: readonly number[] = value === null ? [] : [value],
): string {
  if (value === null || !Number.isFinite(value)) return '–'
  const { scale, decimals } = settledFormat(format, among)
  const [divisor, mark] = scales[scale === 'auto' ? 'none' : scale]
  const key = `${language}|${decimals}`
  let formatter = formatters.get(key)
  if (!formatter)
    formatters.set(
      key,
      (formatter = new Intl.NumberFormat(language, {
        minimumFractionDigits: decimals,
        maximumFractionDigits: decimals,
        signDisplay: 'negative',
      })),
    )
  const gap = scale === 'percent' ? ' ' : ''
  const suffix = format.suffix && !/^[\s%°]/.test(format.suffix) ? ` ${format.suffix}` : format.suffix
  const written = formatter.format(value / divisor)
  // A sign, a true minus, stands before what stands before the number.
  const sign = /^[-−]/.test(written) ? written[0]! : ''
  return `${sign && '−'}${format.prefix}${written.slice(sign.length)}${gap}${mark}${suffix}`
}

/** Money has its cents where all of it is small, and none where what matters stands before them. */
function centsOf({ scale }: NumberFormat, among: readonly number[]): number | null {
  if ((scale === 'auto' ? scaleFor(among) : scale) !== 'none') return null
  return among.some(value => Math.abs(value) >= 1000) || among.every(value => Number.isInteger(value)) ? 0 : 2
}

/** How numbers of a column are written: shares in hundredths, and money with its sign, where nobody chose otherwise. */
export function formatOfColumn(
  asked: NumberFormat,
  column: Pick<Column, 'kind' | 'unit'> | null | undefined,
  among: readonly number[],
): NumberFormat {
  const format = column?.kind === 'money' && asked.decimals === null ? { ...asked, decimals: centsOf(asked, among) } : asked
  if (column?.kind === 'percent' && format.scale === 'auto') return { ...format, scale: 'percent' }
  if (column?.kind === 'money' && column.unit && !format.prefix && !format.suffix)
    return column.unit.length === 1 ? { ...format, prefix: column.unit } : { ...format, suffix: column.unit }
  return format
}
