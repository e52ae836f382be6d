import type { OutlineLine, OutlineSlide } from '../../layouts'
import { numberWords } from '../../values'

/** The most lines that are taken at once, and the most letters of one. */
export const outlineLineLimit = 5000
export const outlineLetterLimit = 10_000

/** An outline that was read, and what of it had to be left out, in words for a person. */
export interface ReadOutline {
  slides: OutlineSlide[]
  notes: string[]
}

export interface Draft {
  title: string
  lines: OutlineLine[]
  notes?: string
  chapter?: string
}

/** Takes lines one by one, up to the limits, and tells what went beyond them. */
export function drafting() {
  const slides: Draft[] = []
  let count = 0
  let cut = 0
  let left = 0
  const words = (text: string) => {
    const plain = text.replace(/[\p{Cc}\u2028\u2029]/gu, ' ').trim()
    if (plain.length <= outlineLetterLimit) return plain
    cut++
    return plain.slice(0, outlineLetterLimit)
  }
  const room = () => (count < outlineLineLimit ? (count++, true) : (left++, false))
  return {
    slide(title: string, more: Pick<Draft, 'notes' | 'chapter'> = {}) {
      if (room()) slides.push({ title: words(title), lines: [], ...more })
    },
    line(text: string, level: number, numbered = false) {
      if (!slides.length) slides.push({ title: '', lines: [] })
      if (room())
        slides.at(-1)!.lines.push({
          text: words(text),
          level: Math.min(9, Math.max(1, level)),
          ...(numbered ? { numbered } : {}),
        })
    },
    last: () => slides.at(-1),
    count: () => slides.length,
    read(): ReadOutline {
      const notes: string[] = []
      if (left) notes.push(`Only the first ${numberWords(outlineLineLimit)} lines were taken; ${numberWords(left)} more were left out.`)
      if (cut) notes.push(`${cut === 1 ? 'One line was' : `${cut} lines were`} cut at ${numberWords(outlineLetterLimit)} letters.`)
      return { slides, notes }
    },
  }
}
