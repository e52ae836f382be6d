import { plainLetters } from '../values'
import type { IconEntry } from './find'

/** Words by what they find at once: icons that are named so before those that are tagged so. */
export type IconIndex<E extends IconEntry> = ReadonlyMap<string, readonly { entry: E; rank: number }[]>

/** Words that are in many texts and say nothing that could be drawn. */
const empty = new Set(
  [
    'the and for with from into onto over under than then that this these those there their they them what when where which',
    'while who whom will would should could can may must not nor but all any each every more most less least few many much',
    'some one two three four five six seven eight nine ten first second third last next new old good bad best own same other',
    'another very just only also still even ever never always often get gets got has have had does did done make makes made',
    'take takes use uses used way ways thing things part parts side sides day days year years time times half line lines',
    'point points name names number numbers place places end ends out off our your his her its are was were been being left',
    'right large small long short high low big little about after again against before between both down up',
  ].flatMap(line => line.split(' ')),
)

/** An index of icons by each word of their names and meanings. */
export function iconIndex<E extends IconEntry>(entries: readonly E[]): IconIndex<E> {
  const found = new Map<string, Map<E, number>>()
  const note = (word: string, entry: E, rank: number) => {
    if (word.length < 3) return
    const list = found.get(word) ?? new Map<E, number>()
    found.set(word, list.set(entry, Math.max(rank, list.get(entry) ?? 0)))
  }
  for (const entry of entries) {
    const name = entry.name.split(/[^\p{L}\p{N}]+/u)
    // The whole name fits best, then its first word; the shorter the name, the plainer the drawing.
    name.forEach((word, at) => note(plainLetters(word), entry, (name.length === 1 ? 12 : at === 0 ? 8 : 5) - name.length * 0.5))
    for (const meaning of entry.words) if (/^\p{L}+$/u.test(meaning)) note(plainLetters(meaning), entry, 4 - name.length * 0.5)
  }
  return new Map(
    [...found].map(([word, list]) => [word, [...list].map(([entry, rank]) => ({ entry, rank })).sort((a, b) => b.rank - a.rank)]),
  )
}

/** A word as it is, and as English forms its plural and what is going on. */
function forms(word: string): string[] {
  const made = [word]
  if (word.length > 3 && word.endsWith('ies')) made.push(`${word.slice(0, -3)}y`)
  if (word.length > 3 && word.endsWith('s')) made.push(word.slice(0, -1))
  if (word.length > 4 && word.endsWith('es')) made.push(word.slice(0, -2))
  if (word.length > 5 && word.endsWith('ing')) made.push(word.slice(0, -3), `${word.slice(0, -3)}e`)
  return made
}

/**
 * An icon for each of several texts, by the word of each that fits one best: a name before a meaning, earlier words before later ones. No
 * icon comes twice. `english` gives English words for one of another language, best first. Null where no word of a text fits any.
 */
export function chooseIcons<E extends IconEntry>(
  index: IconIndex<E>,
  texts: readonly string[],
  english: (word: string) => readonly string[] = () => [],
): (E | null)[] {
  const taken = new Set<E>()
  return texts.map(text => {
    let best: { entry: E; rank: number } | null = null
    const words = (plainLetters(text).match(/\p{L}{3,}/gu) ?? []).filter(word => !empty.has(word)).slice(0, 24)
    words.forEach((word, at) => {
      const known = english(word)
      const asked = [...forms(word).map(form => ({ form, less: 0 })), ...known.map((form, place) => ({ form, less: 1 + place * 0.5 }))]
      for (const { form, less } of asked)
        for (const { entry, rank } of index.get(form) ?? []) {
          if (taken.has(entry)) continue
          const worth = rank - less - at * 0.3
          if (worth > (best?.rank ?? 0)) best = { entry, rank: worth }
          break
        }
    })
    if (!best) return null
    const { entry } = best as { entry: E }
    taken.add(entry)
    return entry
  })
}
