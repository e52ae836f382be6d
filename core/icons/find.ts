import { plainLetters } from '../values'

/** An icon that can be found: its name, and words that say what it shows or stands for. */
export interface IconEntry {
  name: string
  words: readonly string[]
}

/** How well one asked word fits one word of an icon: the very word, its beginning, or within it. */
const fit = (asked: string, word: string) =>
  word === asked ? 3 : word.startsWith(asked) ? 2 : asked.length > 2 && word.includes(asked) ? 1 : 0

/** A word in the singular too, as English forms it, so that “boats” finds “boat”. */
const forms = (word: string) => (word.length > 3 && word.endsWith('s') ? [word, word.slice(0, -1)] : [word])

/**
 * The icons that fit every asked word, best first: by their name before what they mean, whole words before parts, short
 * names before long ones. All of them where nothing is asked.
 */
export function findIcons<E extends IconEntry>(entries: readonly E[], words: string): E[] {
  const asked = plainLetters(words)
    .split(/[^\p{L}\p{N}]+/u)
    .filter(Boolean)
    .map(forms)
  if (!asked.length) return [...entries]
  const found: { entry: E; rank: number }[] = []
  for (const entry of entries) {
    const name = entry.name.split('-')
    let rank = 0
    for (const either of asked) {
      let best = 0
      for (const word of either) {
        for (const part of name) best = Math.max(best, fit(word, part) * 4)
        for (const meaning of entry.words) best = Math.max(best, ...meaning.split(/[\s-]+/).map(part => fit(word, part)))
      }
      if (!best) {
        rank = 0
        break
      }
      rank += best
    }
    if (rank) found.push({ entry, rank: rank - name.length * 0.5 })
  }
  return found.sort((a, b) => b.rank - a.rank || a.entry.name.localeCompare(b.entry.name)).map(({ entry }) => entry)
}
