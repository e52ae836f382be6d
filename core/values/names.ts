import { lettersOf } from './words'

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
  return [lettersOf(first)[0]!, ...(last && !isOneWord(first) ? [lettersOf(last)[0]!] : [])]
    .map(letter => letter.toLocaleUpperCase())
    .join('')
}
