import type { FontFamily } from './family'
import { fontFamilies } from './families'
import { fallbackFonts } from './fallbacks'
import { heldSpans } from './held'
import { holds, spansOfRange, unpackSpans, type Spans } from './spans'

const byName = new Map(fontFamilies.map(family => [family.family, family]))

/** A shipped family by its name. */
export const familyOfFont = (name: string): FontFamily | undefined => byName.get(name)

const unpacked = new Map<string, Spans>()
function spansIn(words: string): Spans {
  let spans = unpacked.get(words)
  if (!spans) unpacked.set(words, (spans = unpackSpans(words)))
  return spans
}

/** Whether a family has the letter of a code point, as its files say. */
export const covers = (family: FontFamily, codePoint: number) => holds(spansIn(heldSpans[family.family] ?? ''), codePoint)

const behind = fallbackFonts.map(font => ({ family: font.family, parts: font.parts.map(part => spansOfRange(part.range)) }))
/**
 * The family behind all others that draws a code point which a text's own does not have; undefined where none has it, and a box is drawn.
 */
export const standInFor = (codePoint: number): string | undefined =>
  covers(byName.get('Hanken Grotesk')!, codePoint)
    ? 'Hanken Grotesk'
    : behind.find(font => font.parts.some(spans => holds(spans, codePoint)))?.family

/** What is drawn by no glyph of its own: blanks, marks of format and of composition, and what chooses how the letter before it is drawn. */
const passed = /[\p{Cc}\p{Cf}\p{Mn}\p{Variation_Selector}\p{Emoji_Modifier}\s]/u
/** Signs stand behind every family and are drawn alike in all of them; nobody expects them to be of a text's own font. */
const signs = new Set(['Noto Color Emoji', 'Noto Sans Symbols', 'Noto Sans Symbols 2'])

/** Letters of a text that its own family does not have, each once and in order. */
export interface LettersMissing {
  /** Another family that ships draws these, symbols and emoji apart. */
  stoodIn: string[]
  /** No family that ships has these: a box is drawn, or whatever the machine at hand has. */
  boxes: string[]
}

/** Whether a family of one's own, as packed spans say what it holds, has all of some letters. */
export const heldBy = (packed: string, letters: readonly string[]) =>
  letters.every(letter => holds(spansIn(packed), letter.codePointAt(0)!))

/**
 * The letters of a text that its family lacks. `own`: packed spans of a family of one's own; without them nothing is said of such a family.
 */
export function missingLetters(text: string, name: string, own?: string): LettersMissing {
  const family = byName.get(name)
  const made: LettersMissing = { stoodIn: [], boxes: [] }
  if (!family && own === undefined) return made
  for (const letter of new Set(text)) {
    const point = letter.codePointAt(0)!
    if (passed.test(letter) || (family ? covers(family, point) : holds(spansIn(own!), point))) continue
    const standIn = standInFor(point)
    if (standIn === undefined) made.boxes.push(letter)
    else if (!signs.has(standIn)) made.stoodIn.push(letter)
  }
  return made
}

/** A shipped family that has all of some letters, of the same kind as another if there is one. */
export function familyWith(letters: readonly string[], like: string): FontFamily | undefined {
  const kind = byName.get(like)?.kind
  const able = fontFamilies.filter(family => letters.every(letter => covers(family, letter.codePointAt(0)!)))
  return able.find(family => family.kind === kind) ?? able[0]
}

const scripts: Readonly<Record<string, string>> = {
  latin: 'Latin',
  cyrillic: 'Cyrillic',
  greek: 'Greek',
  vietnamese: 'Vietnamese',
  arabic: 'Arabic',
  hebrew: 'Hebrew',
  devanagari: 'Devanagari',
  thai: 'Thai',
}
/** The scripts that a family covers, in words. */
export const scriptsOf = (family: FontFamily) => family.subsets.flatMap(subset => (scripts[subset] ? [scripts[subset]] : []))
