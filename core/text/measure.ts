import type { Syllables } from './syllables'

/** A font as text is set in it; `size` in px of deck space, `weight` 100 to 900. */
export interface Font {
  family: string
  size: number
  weight: number
  italic: boolean
}

/** Tells how far a run of text advances, in px of deck space, with the font's kerning and without letter spacing. */
export interface Measurer {
  width(text: string, font: Font): number
  /** Where words may be parted that no line has room for; absent, they are not. */
  syllables?: Syllables | undefined
}

/** A measurer that knows where words may be parted. */
export const withSyllables = (measurer: Measurer, syllables: Syllables): Measurer => ({
  width: (text, font) => measurer.width(text, font),
  syllables,
})

const sizeOfReckoning = 100

/**
 * Makes a measurer from a function that measures at one size, remembering every run: advance is in proportion to size.
 * `limit` bounds the runs remembered.
 */
export function rememberingMeasurer(measure: (text: string, font: Font) => number, limit = 50_000): Measurer & { forget(): void } {
  const known = new Map<string, number>()
  return {
    width(text, font) {
      const key = `${font.family}|${font.weight}|${font.italic ? 1 : 0}|${text}`
      let width = known.get(key)
      if (width === undefined) {
        width = measure(text, { ...font, size: sizeOfReckoning }) / sizeOfReckoning
        if (known.size >= limit) known.clear()
        known.set(key, width)
      }
      return width * font.size
    },
    forget: () => known.clear(),
  }
}

/** A measurer that needs no font: half an em a letter. For tests, and until fonts have loaded. */
export const roughMeasurer: Measurer = { width: (text, font) => [...text].length * font.size * 0.5 }
