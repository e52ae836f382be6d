/**
 * Loops on screens: what stands at an instant.
 *
 * @example
 * import { loopLength, loopPosition } from 'core/signage'
 *
 * const items = [{ length: 20 }, { length: 40 }]
 * loopLength(items) // → 60
 * loopPosition(items, 85_000) // → { index: 1, seconds: 5, round: 1 }
 */

export interface LoopItem {
  /** Seconds. */
  length: number
}

export interface LoopPosition {
  index: number
  /** Seconds into the item. */
  seconds: number
  /** How many times the loop has been through since 1970-01-01T00:00:00Z. */
  round: number
}

/** Seconds that a loop takes once. */
export const loopLength = (items: readonly LoopItem[]) => items.reduce((sum, item) => sum + item.length, 0)

/** What a loop shows at an instant (ms since 1970-01-01T00:00:00Z); null where it has no length. Items of no length are passed over. */
export function loopPosition(items: readonly LoopItem[], instant: number): LoopPosition | null {
  const length = loopLength(items)
  if (!(length > 0)) return null
  // In whole milliseconds, so that two clients that round alike also agree after half a century of rounds.
  const lengthMs = Math.max(1, Math.round(length * 1000))
  const round = Math.floor(instant / lengthMs)
  let left = (instant - round * lengthMs) / 1000
  let last = -1
  for (const [index, item] of items.entries()) {
    if (item.length <= 0) continue
    last = index
    if (left < item.length) return { index, seconds: left, round }
    left -= item.length
  }
  return { index: last, seconds: items[last]!.length, round }
}

/** The share (0 to 1) of a loop's time that each item gets. */
export function shares(items: readonly LoopItem[]): number[] {
  const length = loopLength(items)
  return items.map(item => (length > 0 ? item.length / length : 0))
}
