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

let ready: Promise<{ index: IconIndex<Shipped>; synonyms: Record<string, Record<string, string[]>> }> | undefined

/** The shipped icon that suits each of several texts best, none twice; null where no word of one fits any. `language` is BCP 47. */
export async function iconsFor(texts: readonly string[], language: string): Promise<(DrawnIcon | null)[]> {
  ready ??= (async () => ({
    index: iconIndex((await shipped()).filter(({ drawn }) => !drawn.name.endsWith(', filled'))),
    synonyms: (await useStorage('assets:icons').getItem<Record<string, Record<string, string[]>>>('synonyms.json'))!,
  }))()
  const { index, synonyms } = await ready
  const known = synonyms[language.split('-')[0]!] ?? {}
  return chooseIcons(index, texts, word => (Object.hasOwn(known, word) ? known[word]! : [])).map(found => found?.drawn ?? null)
}
