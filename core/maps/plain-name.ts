import { withoutAccents } from '../values'

/** Words that say what a place is, or join others, and are written or left out. */
const filler = /\b(?:the|of|and|republic|rep|is|isl|islands?|st|saint)\b/g

/** A name as it is compared: no accents, no case, no marks, one blank between words. */
export const plainName = (name: string): string =>
  withoutAccents(name)
    .toLowerCase()
    .replaceAll('ß', 'ss')
    .replaceAll('ø', 'o')
    .replaceAll('ł', 'l')
    .replaceAll('đ', 'd')
    .replaceAll('æ', 'ae')
    .replaceAll('&', ' and ')
    .replaceAll('.', '')
    .replace(/[^\p{L}\p{N}]+/gu, ' ')
    .trim()

/**
 * The same as it is compared where nothing else is found: without words that are written or left out, and without blanks. “Rep. of X” and
 * “X” are not told apart.
 */
export const bareName = (name: string): string => {
  const plain = plainName(name)
  return (plain.replace(filler, '').replace(/\s+/g, '') || plain).trim()
}
