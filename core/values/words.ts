/** The language that the interface speaks: its sentences, and the numbers and lists in them, are written alike. */
const tongue = 'en'

const numbers = new Map<number, Intl.NumberFormat>()
const conjunction = new Intl.ListFormat(tongue, { type: 'conjunction' })

/** A number as a sentence of the interface writes it, with so many decimals: 12,500 or 3.5. */
export function numberWords(value: number, decimals = 0): string {
  let format = numbers.get(decimals)
  if (!format)
    numbers.set(decimals, (format = new Intl.NumberFormat(tongue, { minimumFractionDigits: decimals, maximumFractionDigits: decimals })))
  return format.format(value)
}

/** Seconds as an amount with the unit’s symbol (ISO 80000-3): 6.7 s. */
export const secondsWords = (seconds: number, decimals = 1) => `${numberWords(seconds, decimals)} s`

/** Things one after the other as a sentence names them: “a, b, and c”. */
export const listWords = (items: readonly (string | number)[]) => conjunction.format(items.map(String))
