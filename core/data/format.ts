import type { NumberFormat } from '../deck'

const scales = { none: [1, ''], thousands: [1e3, 'k'], millions: [1e6, 'M'], percent: [0.01, '%'] } as const

export const plainFormat: NumberFormat = { decimals: null, scale: 'auto', prefix: '', suffix: '' }

/** The scale that keeps the largest of some amounts short: thousands from 10,000, millions from 1,000,000. */
export function scaleFor(values: readonly number[]): 'none' | 'thousands' | 'millions' {
  const most = values.reduce((largest, value) => Math.max(largest, Math.abs(value)), 0)
  return most >= 1e6 ? 'millions' : most >= 1e4 ? 'thousands' : 'none'
}

const formatters = new Map<string, Intl.NumberFormat>()

/**
 * A number as a reader sees it: divided by its scale, rounded, with prefix and suffix, in a language (BCP 47). `among`
 * are the numbers it stands with: 'auto' scale and absent decimals are chosen once for all of them.
 */
export function formatNumber(value: number | null, format: NumberFormat, language: string, among: readonly number[] = value === null ? [] : [value]): string {
  if (value === null || !Number.isFinite(value)) return '–'
  const scale = format.scale === 'auto' ? scaleFor(among) : format.scale
  const [divisor, mark] = scales[scale]
  const scaled = among.map(other => other / divisor)
  const decimals = format.decimals ?? (scaled.every(other => Math.abs(other - Math.round(other)) < 1e-9) ? 0 : 1)
  const key = `${language}|${decimals}`
  let formatter = formatters.get(key)
  if (!formatter) formatters.set(key, (formatter = new Intl.NumberFormat(language, { minimumFractionDigits: decimals, maximumFractionDigits: decimals, signDisplay: 'negative' })))
  const gap = scale === 'percent' ? ' ' : ''
  const suffix = format.suffix && !/^[\s%°]/.test(format.suffix) ? ` ${format.suffix}` : format.suffix
  return `${format.prefix}${formatter.format(value / divisor)}${gap}${mark}${suffix}`
}
