import type { Measurer } from '../text'
import type { ChartRoom } from './drawing'

/** How the names under an axis are set so that none touches its neighbour. */
export interface CategorySetting {
  angle: 0 | -45
  /** Height that they take under the axis, px. */
  height: number
  /** Every how many-th name is shown. */
  every: number
  lines: (name: string) => string[]
}

const ellipsis = '…'

/** Shortens words to a width, px, ending with an ellipsis. */
export function shorten(text: string, width: number, measure: (text: string) => number): string {
  if (measure(text) <= width) return text
  let low = 0
  let high = text.length
  while (low < high) {
    const middle = Math.ceil((low + high) / 2)
    if (measure(text.slice(0, middle).trimEnd() + ellipsis) <= width) low = middle
    else high = middle - 1
  }
  return low ? text.slice(0, low).trimEnd() + ellipsis : ''
}

function wrapped(name: string, width: number, measure: (text: string) => number): string[] | null {
  const lines: string[] = []
  for (const word of name.split(' ')) {
    const longer = lines.length ? `${lines.at(-1)} ${word}` : word
    if (lines.length && measure(longer) <= width) lines[lines.length - 1] = longer
    else lines.push(word)
  }
  return lines.length <= 2 && lines.every(line => measure(line) <= width) ? lines : null
}

/** Chooses between one line, two lines, a slant where that is wanted, and showing every n-th name, for names `step` px apart. */
export function settleCategories(
  names: readonly string[],
  step: number,
  room: ChartRoom,
  font: { size: number; weight: number },
  slant = true,
): CategorySetting {
  const measure = measureWith(room.measurer, room.fonts.body, font)
  const gap = font.size * 0.5
  const line = font.size * 1.25
  const fits = (name: string) => measure(name) <= step - gap
  if (names.every(fits)) return { angle: 0, height: line * 1.3, every: 1, lines: name => [name] }
  if (names.every(name => wrapped(name, step - gap, measure))) {
    return { angle: 0, height: line * 2.3, every: 1, lines: name => wrapped(name, step - gap, measure)! }
  }
  const most = Math.min(room.height * 0.32, room.width * 0.25)
  const longest = names.reduce((wide, name) => Math.max(wide, measure(name)), 0)
  // Slanted lines clear each other when their distance across the slant is a line's height.
  const every = Math.max(1, Math.ceil((line * Math.SQRT2) / step))
  if (every === 1 && slant) {
    const width = Math.min(longest, most * Math.SQRT2 - line)
    return { angle: -45, height: (width + line) / Math.SQRT2 + 4, every, lines: name => [shorten(name, width, measure)] }
  }
  const wide = Math.min(longest, room.width * 0.2)
  return { angle: 0, height: line * 1.3, every: Math.max(1, Math.ceil((wide + gap) / step)), lines: name => [shorten(name, wide, measure)] }
}

/** The width of words in one font. */
export const measureWith = (measurer: Measurer, family: string, font: { size: number; weight: number }) => (text: string) =>
  measurer.width(text, { family, size: font.size, weight: font.weight, italic: false })
