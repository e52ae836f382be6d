import { signsOf, takeApart, valueWith } from './written-number'

/** A number that a person has written, with what stands before and behind it. */
export interface WrittenAmount {
  value: number
  before: string
  after: string
}

/** What stands around the first number of some words. */
const around = /^([^\d]*?)((?:[-+−]\s?)?\d[\d.,\s'’\u00a0\u202f]*)(.*)$/s
/** How many times and what share a word right behind a number says. */
const scale = /^\s?(k|M|bn|Mio\.?|Mrd\.?)(?![\p{L}\d])|^\s?%/u

/** Which sign stands before decimals in a language (BCP 47). */
const signIn = (language: string): '.' | ',' =>
  new Intl.NumberFormat(language).formatToParts(1.5).find(({ type }) => type === 'decimal')?.value === ',' ? ',' : '.'

/**
 * Reads the number in words, “about 20.4k a day” as 20,400 between “about ” and “ a day”; figures that can be read in two ways as the
 * language has them. Null where there is none.
 */
export function oneAmount(words: string, language = 'en'): WrittenAmount | null {
  const match = around.exec(words)
  if (!match) return null
  const [, before, figures, rest] = match as unknown as [string, string, string, string]
  const space = /\s*$/.exec(figures)![0]
  const [scaled = ''] = scale.exec(space + rest) ?? []
  const parts = takeApart(`${figures.trim().replace('−', '-')}${scaled}`)
  if (!parts) return null
  const signs = signsOf(parts.figures)
  const own = signIn(language)
  const sign = signs.open ? own : signs['.'] ? '.' : ','
  const bare = valueWith(parts.figures, sign)
  if (bare === null) return null
  const value = (bare * parts.times * (parts.negative ? -1 : 1)) / (parts.percent ? 100 : 1)
  return { value: Number(value.toPrecision(14)), before, after: (space + rest).slice(scaled.length) }
}
