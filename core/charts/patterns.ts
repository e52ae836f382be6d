import type { Tone } from './tones'

/** A pattern laid over a colour: lines within a square that repeats, as SVG path data, and how they are drawn; dashes for lines. */
export interface Pattern {
  name: string
  d: string
  /** Degrees that the square is turned by. */
  angle: number
  /** px of its lines. */
  width: number
  dash: readonly number[]
}

/** The side of the square that a pattern repeats in, px of deck space. */
export const patternSide = 16

/** The patterns in the order in which they are given; the first colour has none. */
export const patterns: readonly Pattern[] = [
  { name: 'slant', d: 'M-1 8H17', angle: -45, width: 4, dash: [18, 8] },
  { name: 'dots', d: 'M4 4h.1M12 12h.1', angle: 0, width: 5, dash: [3, 9] },
  { name: 'upright', d: 'M8 -1V17', angle: 0, width: 4, dash: [24, 7, 4, 7] },
  { name: 'cross', d: 'M-1 8H17M8 -1V17', angle: 45, width: 2.5, dash: [10, 10] },
  { name: 'level', d: 'M-1 8H17', angle: 0, width: 4, dash: [30, 12] },
  { name: 'zigzag', d: 'M-1 11L4 5L12 11L17 5', angle: 0, width: 3, dash: [4, 4] },
  { name: 'fall', d: 'M-1 4H17M-1 12H17', angle: 45, width: 2, dash: [14, 5, 4, 5, 4, 5] },
]

/** Steps of one hue that are told apart by a pattern each. */
const steps = 5

/** The pattern of what has a tone, from 0; null of what has none: the highlighted, what is quiet, and the first of many. */
export function patternOf({ name, at = 0 }: Tone): number | null {
  if (name === 'loss') return 0
  if (name !== 'voice' && name !== 'step') return null
  const number = name === 'voice' ? Math.round(at) : Math.round(Math.min(1, Math.max(0, at)) * (steps - 1))
  return number === 0 ? null : (number - 1) % patterns.length
}
