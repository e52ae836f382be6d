import type { Font } from '../text'

/** How a word is written in a font: the outlines of its glyphs in writing order, in thousandths of an em, y downwards from the baseline. */
export interface WordOutlines {
  glyphs: readonly string[]
  /** Of the font, thousandths of an em above and below the baseline. */
  ascent: number
  descent: number
}

/** The lines found in a picture, in the order of a hand: SVG path data in px of the picture that was traced. */
export interface Traced {
  width: number
  height: number
  paths: readonly string[]
}

/** What a hand needs to know beside a deck. What is not at hand yet is undefined. */
export interface Ink {
  word(text: string, font: Omit<Font, 'size'>): WordOutlines | undefined
  traced(hash: string): Traced | undefined
}

/** Ink as plain data, to be kept and sent. */
export interface InkBook {
  /** By font and word. */
  words: Record<string, Record<string, WordOutlines>>
  /** By the SHA-256 of a picture. */
  traced: Record<string, Traced>
}

/** A font as the key of a book. */
export const inkKey = (font: Omit<Font, 'size'>) => `${font.family}|${font.weight}|${font.italic ? 'italic' : 'upright'}`

/** Ink that knows what stands in a book. */
export const inkOf = (book: InkBook): Ink => ({ word: (text, font) => book.words[inkKey(font)]?.[text], traced: hash => book.traced[hash] })

/** Ink that writes down what it was asked for and knew. */
export function recordedInk(ink: Ink): { ink: Ink; book: InkBook } {
  const book: InkBook = { words: {}, traced: {} }
  return {
    book,
    ink: {
      word(text, font) {
        const known = ink.word(text, font)
        if (known) (book.words[inkKey(font)] ??= {})[text] = known
        return known
      },
      traced(hash) {
        const known = ink.traced(hash)
        if (known) book.traced[hash] = known
        return known
      },
    },
  }
}
