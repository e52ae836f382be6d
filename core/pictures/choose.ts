import { nameWithoutEnding } from '../data'
import { initialsOf, plainLetters } from '../values'

/** A picture of the team, by what it is called and what it is filed under. */
export interface LibraryPicture {
  /** With or without an ending. */
  name: string
  tags: readonly string[]
  /** Parts of its path are parted by `/`. */
  folder: string
  /** Of the picture in its pixels. */
  width: number
  height: number
}

/** What a picture is looked for by. */
export interface Asked {
  words: string
  /** It is to be a portrait of whoever is named there. */
  person: boolean
  /** Width over height of the place. */
  shape: number
}

/** What a word is worth where it is found. */
const worth = { tag: 4, name: 3, folder: 1.5 }
/** Under this, nothing is said of a picture that the words say too. */
const least = 1.5
/** Only so many words are looked at, and later ones count less. */
const [mostWords, fades] = [40, 0.02]

const wordsIn = (text: string) => plainLetters(text).match(/[\p{L}\p{N}]{2,}/gu) ?? []

/** A word, and what it is when it is one of several: English, German, French and Spanish form it by an ending. */
const forms = (word: string) => [
  ...new Set([word, ...[/s$/, /es$/, /n$/, /en$/].map(ending => word.replace(ending, '')).filter(form => form.length > 2)]),
]

interface Read<P> {
  picture: P
  words: Map<string, number>
}
function read<P extends LibraryPicture>(picture: P): Read<P> {
  const words = new Map<string, number>()
  const note = (text: string, value: number) => {
    for (const word of wordsIn(text)) words.set(word, Math.max(value, words.get(word) ?? 0))
  }
  note(picture.folder, worth.folder)
  note(nameWithoutEnding(picture.name), worth.name)
  for (const tag of picture.tags) note(tag, worth.tag)
  return { picture, words }
}

/** A word of a picture, and what it is worth there: less where most pictures have it. */
interface Entry {
  picture: number
  word: string
  value: number
}

/** The words of pictures by each of their forms, so that a word finds its pictures without looking at the others. */
function indexOf<P>(library: readonly Read<P>[]): ReadonlyMap<string, readonly Entry[]> {
  const counts = new Map<string, number>()
  for (const { words } of library) for (const word of words.keys()) counts.set(word, (counts.get(word) ?? 0) + 1)
  const all = Math.max(1, Math.log(1 + library.length))
  const index = new Map<string, Entry[]>()
  library.forEach(({ words }, picture) => {
    for (const [word, value] of words) {
      const rare = Math.min(1, Math.log(1 + library.length / counts.get(word)!) / all)
      for (const form of forms(word)) {
        const list = index.get(form)
        const entry = { picture, word, value: value * rare }
        if (list) list.push(entry)
        else index.set(form, [entry])
      }
    }
  })
  return index
}

/** What each picture is worth for words, by its place in the library: each of its words counts once, where it is said first. */
function scores(
  index: ReadonlyMap<string, readonly Entry[]>,
  words: string,
  english: (word: string) => readonly string[],
): Map<number, number> {
  const told = [...new Set(wordsIn(words))].filter(word => word.length > 2).slice(0, mostWords)
  const seen = new Map<number, Set<string>>()
  const made = new Map<number, number>()
  told.forEach((word, at) => {
    for (const form of [word, ...english(word).slice(0, 3)].flatMap(forms))
      for (const { picture, word: own, value } of index.get(form) ?? []) {
        const known = seen.get(picture) ?? new Set()
        if (known.has(own)) continue
        seen.set(picture, known.add(own))
        made.set(picture, (made.get(picture) ?? 0) + value * Math.max(0.3, 1 - at * fades))
      }
  })
  return made
}

/** Names, as they are written: with a capital letter where the script has such, no figures. */
const namesIn = (text: string) => text.match(/(?<!\p{L})[\p{Lu}\p{Lo}][\p{L}\p{M}'’-]+/gu)?.map(plainLetters) ?? []

/** Whether a picture is of somebody: all of the name is in it, or the first of it and no other name. */
function isOf({ picture, words }: Read<LibraryPicture>, who: string): boolean {
  const name = namesIn(who.split(/[,\n(–—]/)[0]!)
  if (!name.length || !initialsOf(who)) return false
  if (!words.has(name[0]!)) return false
  if (name.every(part => words.has(part))) return true
  // The first word of a file is written with a capital letter, whatever it is.
  const [, ...others] = nameWithoutEnding(picture.name).split(/[\s_-]+/)
  const strange = namesIn(others.join(' ')).filter(other => !name.includes(other))
  return !strange.length
}

/**
 * Pictures for each of several places, best first, as far as what they are called and filed under says something that the words beside the
 * place say too; a rare word counts for more than one that most pictures have, an earlier one for more than a later, and the shape that
 * suits its place decides between equals. A portrait is only of somebody who is named. `english` gives English words for one of another
 * language.
 */
export function choosePictures<P extends LibraryPicture>(
  library: readonly P[],
  asked: readonly Asked[],
  english: (word: string) => readonly string[] = () => [],
): P[][] {
  const known = library.map(read)
  const index = indexOf(known)
  return asked.map(({ words, person, shape }) => {
    if (person) return known.filter(one => isOf(one, words)).map(({ picture }) => picture)
    return [...scores(index, words, english)]
      .filter(([, score]) => score >= least)
      .map(([at, score]) => {
        const { width, height } = library[at]!
        const off = Math.abs(Math.log(width / Math.max(1, height) / shape))
        return { at, by: score / (1 + off * 0.25) }
      })
      .sort((a, b) => b.by - a.by || a.at - b.at)
      .map(({ at }) => library[at]!)
  })
}
