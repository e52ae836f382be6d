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

/** Words without accents and other marks: “Côte” is “Cote”. */
export const withoutAccents = (words: string) => words.normalize('NFD').replace(/\p{M}/gu, '')

/** Small letters without marks, as words are looked for: “Côte” is “cote”. */
export const plainLetters = (words: string) => withoutAccents(words.toLowerCase())

const graphemes = new Intl.Segmenter('und', { granularity: 'grapheme' })

/** The letters of a text as a reader counts them. */
export const lettersOf = (text: string) => Array.from(graphemes.segment(text), part => part.segment)

/** How many letters are to be changed, put in or taken out to make one word of another (Levenshtein 1965), or more than `most`. */
export function lettersApart(a: string, b: string, most = Infinity): number {
  if (Math.abs(a.length - b.length) > most) return most + 1
  let last = Array.from({ length: b.length + 1 }, (_, at) => at)
  for (let i = 1; i <= a.length; i++) {
    const row = [i]
    let least = i
    for (let j = 1; j <= b.length; j++) {
      row[j] = Math.min(last[j]! + 1, row[j - 1]! + 1, last[j - 1]! + (a[i - 1] === b[j - 1] ? 0 : 1))
      least = Math.min(least, row[j]!)
    }
    if (least > most) return most + 1
    last = row
  }
  return last[b.length]!
}
