import { contrast, hexOf } from '../color'
import type { PictureElement } from '../model'
import { accentAt, filled } from './colors'
import type { LayoutRoom } from './family'

const letters = new Intl.Segmenter('und', { granularity: 'grapheme' })
const firstOf = (word: string) => {
  for (const { segment } of letters.segment(word)) return segment
  return ''
}
/** What stands before or after names and is none: titles end in a point, what joins names is written small. */
const isName = (word: string) => /^\p{L}/u.test(word) && !word.endsWith('.') && !/^\p{Ll}/u.test(word)
/** Scripts that write the family's name first, and all of a name in one word. */
const isOneWord = (letter: string) => /[\p{Script=Han}\p{Script=Hiragana}\p{Script=Katakana}\p{Script=Hangul}]/u.test(letter)

/**
 * The initials of a name: of its first and last part, without titles (“Dr.”), what joins names (“van”), and what follows a comma. One
 * letter where it has one part, or is written in a script that has names in one word; nothing where there is no letter, or a figure.
 */
export function initialsOf(name: string): string {
  const words = name
    .split(/[,(–—|/]/)[0]!
    .split(/\s+/)
    .filter(Boolean)
  if (words.some(word => /\d/.test(word))) return ''
  const names = words.filter(isName)
  const [first, ...more] = names.length ? names : words.filter(word => /^\p{L}/u.test(word))
  if (!first) return ''
  const last = more.at(-1)
  return [firstOf(first), ...(last && !isOneWord(first) ? [firstOf(last)] : [])].map(letter => letter.toLocaleUpperCase()).join('')
}

/** What stands in a portrait's place while it has no picture: the initials of a name on an accent, the same for the same index. */
export function initialsIn(room: LayoutRoom, name: string | undefined, index = 0): Pick<PictureElement, 'instead'> {
  const words = initialsOf(name ?? '')
  if (!words) return {}
  const fill = filled(room, accentAt(index + 1))
  const { palette } = room.theme
  const hex = hexOf(fill, palette)
  const role = contrast(palette.ground, hex) >= contrast(palette.ink, hex) ? ('ground' as const) : ('ink' as const)
  return { instead: { words, fill, color: { role } } }
}
