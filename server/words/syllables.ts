import { createRequire } from 'node:module'
import { plainText, writtenIn, infoOf, type Deck } from '../../core/model'

/** A hyphenator of the package `hyphen` (patterns of TeX, by Liang's method). */
type Hyphenator = { hyphenateSync(text: string, options: { hyphenChar: string; minWordLength: number }): string }
const require = createRequire(import.meta.url)

/** Languages by their tags, or the first part of them, whose patterns are called so too; each is loaded when it is first asked for. */
const languages = new Set(
  'bg ca cs cy da de el en en-us es et eu fi fr ga gl hr hu is it lt lv nb nl nn no pl pt ro ru sk sl sv tr uk'.split(' '),
)
/** Where they are called otherwise. */
const called: Readonly<Record<string, string>> = { en: 'en-gb', no: 'nb' }
/** No letter of any language that is written. */
const mark = '\u0001'
/** Shorter ones have room wherever anything has. */
const leastWord = 6
const longWords = new RegExp(`\\p{L}{${leastWord},}`, 'gu')

/** The patterns of a language, by their folder; undefined where there are none. */
function patternsOf(language: string): string | undefined {
  const tag = language.toLowerCase()
  const known = [tag, tag.split('-')[0]!].find(name => languages.has(name))
  return known && (called[known] ?? known)
}

/**
 * The parts of words between which a line may end in a language (BCP 47), by word; those that have one only, and all words of a language
 * that is not known, are left out.
 */
export function syllablesOf(language: string, words: readonly string[]): Record<string, string[]> {
  const patterns = patternsOf(language)
  const known: Record<string, string[]> = {}
  if (!patterns) return known
  const { hyphenateSync } = require(`hyphen/${patterns}`) as Hyphenator
  for (const word of words) {
    if (word.length < leastWord || !/^\p{L}+$/u.test(word)) continue
    const parts = hyphenateSync(word, { hyphenChar: mark, minWordLength: leastWord }).split(mark)
    if (parts.length > 1) known[word] = parts
  }
  return known
}

/** The parts of all long words that a deck's texts have, for whoever plays it with nothing to ask. */
export function syllablesIn(deck: Deck): Record<string, string[]> {
  const words = new Set<string>()
  for (const element of Object.values(deck.elements)) {
    const text = writtenIn(element)
    if (text) for (const [word] of plainText(text).matchAll(longWords)) words.add(word.toLowerCase())
  }
  return syllablesOf(infoOf(deck).language, [...words])
}
