import { families, familyNamed, type LayoutFamily } from '../families'
import { elementsOf, type Deck, type Layout } from '../model'
import { plainLetters } from '../values'
import { ownLayouts } from './layout-record'
import { purposes } from './senses/purposes'
import { starters, type Starter } from './starters'

/**
 * Layouts for what someone says a slide is for (“compare two routes”, “who we are”): those whose words are meant, best first; all where
 * nothing was said.
 */
export const layoutsFor = (purpose: string, wanted: readonly LayoutFamily[] = families): LayoutFamily[] =>
  thoseFor(purpose, wanted, wordsOfFamily)

/** What a family may be looked for by: its own words first, then those of what it shows in ten languages. */
export const wordsOfFamily = ({ label, finds, senses }: LayoutFamily): string =>
  `${finds} ${label} ${senses.join(' ')} ${senses[0] ? purposes[senses[0]] : ''}`

const stem = (word: string) => word.replace(/(?:ing|ies|es|s|ed|ison)$/, '')
function closeness(known: string, word: string): number {
  if (known === word) return 3
  if (stem(known) === stem(word)) return 2.5
  return word.length > 3 && (known.startsWith(stem(word)) || stem(known) === word) ? 1.5 : 0
}

/**
 * Things whose words are meant by what someone says, best first, those of equal worth in the order given; all of them where nothing was
 * said. A whole phrase of a thing's words counts for more than its words one by one.
 */
export function thoseFor<T>(purpose: string, things: readonly T[], wordsOf: (thing: T) => string): T[] {
  const asked = plainLetters(purpose)
    .split(/[^\p{L}\p{N}]+/u)
    .filter(word => word.length > 1 && !small.has(word))
  if (!asked.length) return [...things]
  const phrase = plainLetters(purpose).trim()
  return things
    .map(thing => {
      const said = plainLetters(wordsOf(thing))
      const words = said.split(/[^\p{L}\p{N}]+/u)
      const score = asked.reduce((sum, word) => sum + Math.max(0, ...words.map(known => closeness(known, word))), 0)
      return { thing, score: score && said.includes(phrase) ? score + 4 : score }
    })
    .filter(({ score }) => score > 0)
    .sort((a, b) => b.score - a.score)
    .map(({ thing }) => thing)
}

const small = new Set(['the', 'and', 'for', 'with', 'of', 'to', 'in', 'on', 'our', 'my', 'an', 'is', 'are', 'it', 'show', 'slide', 'two'])

/** Layouts of a deck that somebody has made, for what someone says: by their names, the prompts of their places, and what they arrange. */
export const ownLayoutsFor = (deck: Deck, purpose: string): Layout[] =>
  thoseFor(purpose, ownLayouts(deck), ({ id, name, family }) => {
    const places = elementsOf(deck, id).flatMap(place => ('prompt' in place && place.prompt ? [place.prompt] : []))
    const arranged = familyNamed(family)
    return [name, ...places, ...(arranged ? [wordsOfFamily(arranged)] : [])].join(' ')
  })

/**
 * Starters for what someone says: those that are called so or are taken then, before those whose slides say it or are laid out for it.
 */
export function startersFor(purpose: string): Starter[] {
  const called = thoseFor(purpose, starters, ({ label, when }) => `${label} ${when}`)
  const saying = thoseFor(purpose, starters, ({ slides }) => {
    const said = slides.flatMap(({ title, lines = [] }) => [title, ...lines])
    return [...said, ...slides.flatMap(({ family }) => familyNamed(family) ?? []).map(wordsOfFamily)].join(' ')
  })
  return [...new Set([...called, ...saying])]
}
