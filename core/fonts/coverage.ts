import type { FontFamily } from './family'
import { fontFamilies } from './families'
import { fallbackFonts } from './fallbacks'
import { subsetRanges } from './subsets'

const byName = new Map(fontFamilies.map(family => [family.family, family]))

/** A shipped family by its name. */
export const familyOfFont = (name: string): FontFamily | undefined => byName.get(name)

const parsed = new Map<string, readonly (readonly [number, number])[]>()
/** The spans of code points that a CSS unicode-range names. */
function spansOf(ranges: string) {
  let spans = parsed.get(ranges)
  if (!spans) {
    spans = ranges.split(',').filter(Boolean).map(range => {
      const [from, to] = range.trim().replace(/^U\+/i, '').split('-')
      return [Number.parseInt(from!, 16), Number.parseInt(to ?? from!, 16)] as const
    })
    parsed.set(ranges, spans)
  }
  return spans
}
const holds = (ranges: string, codePoint: number) => spansOf(ranges).some(([from, to]) => codePoint >= from && codePoint <= to)

/** Whether a family has the letter of a code point, by the parts that its files come in. */
export const covers = (family: FontFamily, codePoint: number) => family.subsets.some(subset => holds(subsetRanges[subset] ?? '', codePoint))

/** Whether a sign stands behind every family: a symbol or emoji, drawn alike in all of them. */
const isSign = (codePoint: number) => codePoint > 0x2000 && fallbackFonts.some(font => font.parts.some(part => holds(part.range, codePoint)))

const passed = /[\p{Cc}\p{Cf}\p{Mn}\p{Emoji_Presentation}\p{Extended_Pictographic}\s]/u

/** The letters of a text that a shipped family does not have, each once; symbols, emoji and marks stand behind every family. Empty for families that do not ship. */
export function missingLetters(text: string, name: string): string[] {
  const family = byName.get(name)
  if (!family) return []
  const missing = new Set<string>()
  for (const letter of text) if (!missing.has(letter) && !passed.test(letter) && !isSign(letter.codePointAt(0)!) && !covers(family, letter.codePointAt(0)!)) missing.add(letter)
  return [...missing]
}

/** A shipped family that has all of some letters, of the same kind as another if there is one. */
export function familyWith(letters: readonly string[], like: string): FontFamily | undefined {
  const kind = byName.get(like)?.kind
  const able = fontFamilies.filter(family => letters.every(letter => covers(family, letter.codePointAt(0)!)))
  return able.find(family => family.kind === kind) ?? able[0]
}

const scripts: Readonly<Record<string, string>> = {
  'latin': 'Latin', 'cyrillic': 'Cyrillic', 'greek': 'Greek', 'vietnamese': 'Vietnamese', 'arabic': 'Arabic', 'hebrew': 'Hebrew', 'devanagari': 'Devanagari', 'thai': 'Thai',
}
/** The scripts that a family covers, in words. */
export const scriptsOf = (family: FontFamily) => family.subsets.flatMap(subset => (scripts[subset] ? [scripts[subset]] : []))
