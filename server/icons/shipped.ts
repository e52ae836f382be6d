import type { DrawnIcon } from '../../core/model'
import { chooseIcons, findIcons, iconIndex, type IconEntry, type IconIndex } from '../../core/icons'

/** An icon as the build wrote it: its words, and its paths as an outline and, where it has one, filled in. */
interface Written {
  name: string
  words: string[]
  outline: string[]
  filled?: string[]
}
interface Shipped extends IconEntry {
  drawn: DrawnIcon
}

/** The side of the square that all of them are drawn in, and the width of an outline's strokes there. */
const [side, width] = [24, 2]

let known: Promise<Shipped[]> | undefined

/** The icons that ship with the application, read once. */
function shipped() {
  known ??= (async () => {
    const written = (await useStorage('assets:icons').getItem<Written[]>('icons.json'))!
    return written.flatMap(({ name, words, outline, filled }): Shipped[] => [
      { name, words, drawn: { name, view: [side, side], paths: outline.map(d => ({ d, width })) } },
      ...(filled
        ? [
            {
              name,
              words: [...words, 'filled', 'solid'],
              drawn: { name: `${name}, filled`, view: [side, side] as [number, number], paths: filled.map(d => ({ d })) },
            },
          ]
        : []),
    ])
  })()
  return known
}

/** Some of the shipped icons that words find, best first, and how many there are in all. */
export async function shippedIcons(words: string, from: number, count: number): Promise<{ total: number; icons: DrawnIcon[] }> {
  const found = findIcons(await shipped(), words)
  return { total: found.length, icons: found.slice(from, from + count).map(({ drawn }) => drawn) }
}

let translated: Promise<Record<string, Record<string, string[]>>> | undefined

/** English words for one of a language (BCP 47), best first; none where it is not known. */
export async function englishFor(language: string): Promise<(word: string) => readonly string[]> {
  translated ??= useStorage('assets:icons')
    .getItem<Record<string, Record<string, string[]>>>('synonyms.json')
    .then(read => read!)
  const [all, tongue] = [await translated, language.split('-')[0]!]
  const known = Object.hasOwn(all, tongue) ? all[tongue]! : {}
  return word => (Object.hasOwn(known, word) ? known[word]! : [])
}

let index: Promise<IconIndex<Shipped>> | undefined

/** The shipped icon that suits each of several texts best, none twice; null where no word of one fits any. `language` is BCP 47. */
export async function iconsFor(texts: readonly string[], language: string): Promise<(DrawnIcon | null)[]> {
  index ??= shipped().then(icons => iconIndex(icons.filter(({ drawn }) => !drawn.name.endsWith(', filled'))))
  return chooseIcons(await index, texts, await englishFor(language)).map(found => found?.drawn ?? null)
}
