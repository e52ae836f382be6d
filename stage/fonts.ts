import type { FontFaceFile } from '#core/model'
import { expected } from '#core/values'
import { fallbackFonts, familyOfFont, subsetRanges } from '#core/fonts'

/** Where a shipped family's files stand, as the application serves them. */
const fileOf = (folder: string, subset: string, weight: number, italic: boolean) =>
  `/fonts/${folder}/${folder}-${subset}-${weight}-${italic ? 'italic' : 'normal'}.woff2`

const declared = new Set<string>()

/** Emoji, symbols and other scripts, for what the families lack: known to the page once, fetched when one is drawn. */
function declareFallbacks() {
  for (const { family, folder, parts } of fallbackFonts) {
    // A family that also ships to be chosen is declared in all its weights when it is.
    if (declared.has(`behind ${family}`)) continue
    declared.add(`behind ${family}`)
    for (const part of parts)
      document.fonts.add(new FontFace(family, `url(/fonts/${folder}/${part.file}) format("woff2")`, { unicodeRange: part.range }))
  }
}

/**
 * Makes shipped families known to this page, part by part; the browser fetches a file when a letter of it is drawn. Families that are known
 * stay.
 */
export function declareFamilies(names: Iterable<string>) {
  declareFallbacks()
  for (const name of names) {
    const family = familyOfFont(name)
    if (!family || declared.has(name)) continue
    declared.add(name)
    for (const subset of family.subsets) {
      for (const weight of family.weights) {
        for (const italic of family.italic ? [false, true] : [false]) {
          document.fonts.add(
            new FontFace(name, `url(${fileOf(family.folder, subset, weight, italic)}) format("woff2")`, {
              weight: String(weight),
              style: italic ? 'italic' : 'normal',
              unicodeRange: subsetRanges[subset],
            }),
          )
        }
      }
    }
  }
}

/** Makes faces known that a team brought itself; `url` gives the address of a media file. */
export function declareFaces(faces: readonly FontFaceFile[], url: (hash: string) => string | undefined) {
  for (const face of faces) {
    const address = url(face.media)
    if (!address || declared.has(face.media)) continue
    declared.add(face.media)
    document.fonts.add(
      new FontFace(face.family, `url(${address})`, { weight: String(face.weight), style: face.italic ? 'italic' : 'normal' }),
    )
  }
}

/** A face that cannot be fetched or read: what stands behind it is drawn instead. */
const unloaded = expected('NetworkError', 'SyntaxError', 'AbortError', 'TypeError')

/** Loads the faces that words are set in, so that the first measurement is the right one. `words`: letters that are drawn. */
export async function loadFonts(
  families: readonly string[],
  words = 'Aaß',
  weights: readonly number[] = [400, 500, 600, 700],
): Promise<void> {
  const asked = Array.from(words)
    .filter(letter => letter > '\u0100')
    .join('')
  await Promise.all([
    ...(asked ? fallbackFonts.map(font => document.fonts.load(`40px "${font.family}"`, asked).catch(unloaded)) : []),
    ...[...new Set(families)].flatMap(family =>
      weights.map(weight => document.fonts.load(`${weight} 40px "${family}"`, words).catch(unloaded)),
    ),
  ])
}
