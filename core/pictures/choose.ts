import { initialsOf } from '../families'
import { withoutAccents } from '../values'

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

const plain = (text: string) => withoutAccents(text.toLocaleLowerCase())
const wordsIn = (text: string) => plain(text).match(/[\p{L}\p{N}]{2,}/gu) ?? []
const withoutEnding = (name: string) => name.replace(/\.\w{2,5}$/, '')

/** A word, and what it is when it is one of several: English, German, French and Spanish form it by an ending. */
const forms = (word: string) =>
  [word, ...[/s$/, /es$/, /n$/, /en$/].map(ending => word.replace(ending, ''))].filter(form => form.length > 2)
const alike = (one: string, other: string) => one === other || forms(one).includes(other) || forms(other).includes(one)

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
  note(withoutEnding(picture.name), worth.name)
  for (const tag of picture.tags) note(tag, worth.tag)
  return { picture, words }
}

/** How rare a word is among the pictures, 0 to 1: one that most of them have tells little. */
function rarity<P>(library: readonly Read<P>[]): (word: string) => number {
  const counts = new Map<string, number>()
  for (const { words } of library) for (const word of words.keys()) counts.set(word, (counts.get(word) ?? 0) + 1)
  const all = Math.log(1 + library.length)
  return word => Math.min(1, Math.log(1 + library.length / (counts.get(word) ?? 1)) / Math.max(1, all))
}

/** Names, as they are written: with a capital letter, no figures. */
const namesIn = (text: string) => text.match(/\p{Lu}[\p{L}'’-]+/gu)?.map(plain) ?? []

/** Whether a picture is of somebody: all of the name is in it, or the first of it and no other name. */
function isOf({ picture, words }: Read<LibraryPicture>, who: string): boolean {
  const name = namesIn(who.split(/[,\n(–—]/)[0]!)
  if (!name.length || !initialsOf(who)) return false
  if (name.every(part => words.has(part))) return true
  // The first word of a file is written with a capital letter, whatever it is.
  const [, ...others] = withoutEnding(picture.name).split(/[\s_-]+/)
  const strange = namesIn(others.join(' ')).filter(other => !name.includes(other))
  return words.has(name[0]!) && !strange.length
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
  const rare = rarity(known)
  return asked.map(({ words, person, shape }) => {
    if (person) return known.filter(one => isOf(one, words)).map(({ picture }) => picture)
    const told = [...new Set(wordsIn(words))].filter(word => word.length > 2).slice(0, mostWords)
    const wanted = told.map(word => [word, ...english(word).slice(0, 3)])
    const judged = known.map(one => {
      const off = Math.abs(Math.log(one.picture.width / Math.max(1, one.picture.height) / shape))
      let score = 0
      for (const [word, value] of one.words) {
        const at = wanted.findIndex(forms => forms.some(form => alike(form, word)))
        if (at >= 0) score += value * rare(word) * Math.max(0.3, 1 - at * fades)
      }
      return { picture: one.picture, score, by: score / (1 + off * 0.25) }
    })
    return judged
      .filter(({ score }) => score >= least)
      .sort((a, b) => b.by - a.by)
      .map(({ picture }) => picture)
  })
}
