import type { Info } from '../model'

/** What there is to read. */
export interface Reading {
  words: number
  numbers: number
  /** Marks of charts: bars, points, sectors. */
  marks: number
}

/**
 * Silent reading, words per minute of adults, by primary language. Source: Trauzettel-Klosinski & Dietz, “Standardized
 * assessment of reading performance: the new International Reading Speed Texts IReST”, Investigative Ophthalmology &
 * Visual Science 53 (2012), table 2.
 */
const wordsPerMinute: Readonly<Record<string, number>> = {
  ar: 138,
  zh: 158,
  nl: 202,
  en: 228,
  fi: 161,
  fr: 195,
  de: 179,
  he: 187,
  it: 188,
  ja: 193,
  pl: 166,
  pt: 181,
  ru: 184,
  sl: 180,
  es: 218,
  sv: 199,
  tr: 166,
}
const otherLanguages = 180

/** Readers in a hall or passing a screen are slower than a seated adult with a page; children in primary school slower still. */
const share: Readonly<Record<Info['audience'], number>> = { children: 0.55, public: 0.75, colleagues: 0.95 }

/** A number is read digit group by digit group; two words' worth on average. */
const wordsPerNumber = 2
/** To see that there is a chart and what its axes mean, and then to compare each mark. Seconds. */
const chartGlance = 1.5
const perMark = 0.25
/** To find the place where something new has appeared. Seconds. */
const finding = 0.4

const segmenters = new Map<string, Intl.Segmenter>()

/** Counts the words and the numbers of a text in a language (BCP 47), by the Unicode word boundaries. */
export function countReading(text: string, language: string): Reading {
  let segmenter = segmenters.get(language)
  if (!segmenter) segmenters.set(language, (segmenter = new Intl.Segmenter(language, { granularity: 'word' })))
  let words = 0
  let numbers = 0
  for (const { segment, isWordLike } of segmenter.segment(text)) {
    if (!isWordLike) continue
    if (/^[\p{N}.,:]+$/u.test(segment)) numbers++
    else words++
  }
  return { words, numbers, marks: 0 }
}

export const addReading = (a: Reading, b: Reading): Reading => ({
  words: a.words + b.words,
  numbers: a.numbers + b.numbers,
  marks: a.marks + b.marks,
})
export const nothingToRead: Reading = { words: 0, numbers: 0, marks: 0 }

/** Words read in a minute by an audience in a language (BCP 47). */
export const readingSpeed = (language: string, audience: Info['audience']) =>
  (wordsPerMinute[language.split('-')[0]!.toLowerCase()] ?? otherLanguages) * share[audience]

/** Seconds that an audience needs to read something new, 0 where there is nothing. */
export function readingSeconds(reading: Reading, language: string, audience: Info['audience']): number {
  const words = reading.words + wordsPerNumber * reading.numbers
  if (!words && !reading.marks) return 0
  return finding + (words * 60) / readingSpeed(language, audience) + (reading.marks ? chartGlance + perMark * reading.marks : 0)
}

/** The distance, in heights of the picture, that is reckoned with where a deck says nothing: the back of a usual room. */
export const usualDistance = 8
/**
 * The least height of letters (em), as a share of the picture's height, for each height of the picture that the reader is
 * away: at eight heights 2 %. An x-height of half an em then is seen under about 4.3 minutes of arc, close to the five that
 * ISO 9241-303 asks for capital letters.
 */
const sharePerHeight = 0.0025

/** The least size that text may have to be read from the back, px of deck space. */
export const leastReadable = (info: Pick<Info, 'distance' | 'size'>) => sharePerHeight * (info.distance ?? usualDistance) * info.size.height
