import { shorten } from './category-labels'
import type { ChartLabel } from './drawing'
import { labelAt, type Setting, type WordRole } from './setting'
import type { Tone } from './tones'

/** Something that wants its words beside it, at a level. */
export interface BesideWish {
  key: string
  part: number | null
  /** px, the middle of what is named. */
  y: number
  words: string
  role?: WordRole
  tone?: Tone
  weight?: number
  /** Higher ones stay where there is not room for all. */
  priority: number
}

/** The wish of something that has a name: in ink, and where it is highlighted stronger and first. Its words are shortened to `room`, px. */
export function nameBeside(
  setting: Setting,
  of: { key: string; part: number | null; y: number; words: string; room: number; weighs: number; highlighted: boolean; tone?: Tone },
): BesideWish {
  return {
    key: of.key,
    part: of.part,
    y: of.y,
    words: shorten(of.words, of.room, text => setting.width(text, 'name')),
    tone: of.highlighted ? { name: 'highlighted' } : (of.tone ?? { name: 'ink' }),
    weight: of.highlighted ? 700 : 500,
    priority: (of.highlighted ? 1e15 : 0) + of.weighs,
  }
}

/** Where they stand: words from `x`, led from `from`; `at` says which way they run. */
export interface BesidePlace {
  x: number
  from: number
  at: 'start' | 'end'
  top: number
  bottom: number
}

/** A shift above which a word is led to, px. */
const leastLed = 3

/**
 * Levels as near to those wanted as can be, in their order, none nearer to the next than their heights ask for, within `top` to `bottom`:
 * the least sum of squares (pool adjacent violators; Barlow et al. 1972). `wanted` has to rise.
 */
export function apartLevels(wanted: readonly number[], heights: readonly number[], top: number, bottom: number): number[] {
  const offsets: number[] = []
  let sum = 0
  heights.forEach((height, index) => {
    const before = index ? heights[index - 1]! : 0
    sum += index ? (before + height) / 2 : 0
    offsets.push(sum)
  })
  const blocks: { mean: number; count: number }[] = []
  wanted.forEach((level, index) => {
    let block = { mean: level - offsets[index]!, count: 1 }
    while (blocks.length && blocks.at(-1)!.mean > block.mean) {
      const before = blocks.pop()!
      const count = before.count + block.count
      block = { mean: (before.mean * before.count + block.mean * block.count) / count, count }
    }
    blocks.push(block)
  })
  const least = top + (heights[0] ?? 0) / 2
  const most = bottom - (heights.at(-1) ?? 0) / 2 - (offsets.at(-1) ?? 0)
  const bases = blocks.flatMap(({ mean, count }) => Array.from({ length: count }, () => Math.max(least, Math.min(most, mean))))
  return bases.map((base, index) => base + offsets[index]!)
}

/**
 * Words beside marks, in the order of their levels and none on another; those that had to move are led to. Where there is not room for all,
 * the least important are left out.
 */
export function besideLabels(
  setting: Setting,
  wishes: readonly BesideWish[],
  place: BesidePlace,
): { labels: ChartLabel[]; leftOut: string[] } {
  const role = (wish: BesideWish) => wish.role ?? 'name'
  const height = (wish: BesideWish) => setting.line(role(wish))
  const room = place.bottom - place.top
  const kept: BesideWish[] = []
  let taken = 0
  const isMoved = ({ key }: BesideWish) => setting.isMoved(`name ${key}`)
  // Those that were moved by hand take no room here.
  const own = wishes.filter(wish => !isMoved(wish))
  for (const wish of own.sort((a, b) => b.priority - a.priority)) {
    if (taken + height(wish) > room) continue
    taken += height(wish)
    kept.push(wish)
  }
  kept.sort((a, b) => a.y - b.y)
  const apart = apartLevels(
    kept.map(wish => wish.y),
    kept.map(height),
    place.top,
    place.bottom,
  )
  const byHand = wishes.filter(isMoved)
  const levels = [...apart, ...byHand.map(({ y }) => y)]
  const way = place.at === 'start' ? 1 : -1
  const labels = [...kept, ...byHand].map((wish, index): ChartLabel => {
    const y = levels[index]!
    const moved = Math.abs(y - wish.y) > leastLed
    const gap = Math.abs(place.x - place.from)
    return labelAt(
      setting,
      role(wish),
      wish.words,
      { x: place.x, y, at: place.at },
      {
        part: wish.part,
        key: `name ${wish.key}`,
        ...(wish.tone ? { tone: wish.tone } : {}),
        ...(wish.weight ? { weight: wish.weight } : {}),
        ...(moved && gap > 16
          ? {
              leader: [
                { x: place.from + way * 4, y: wish.y },
                { x: place.from + way * gap * 0.3, y: wish.y },
                { x: place.from + way * gap * 0.68, y },
                { x: place.x - way * 6, y },
              ],
            }
          : {}),
      },
    )
  })
  return { labels, leftOut: own.filter(wish => !kept.includes(wish)).map(({ words }) => words) }
}

/** px that the words of the series take beside a chart, at most a share of its width. */
export const besideWidth = (setting: Setting, words: (index: number) => string, most: number) =>
  Math.min(
    setting.room.width * most,
    setting.data.series.reduce((wide, _, index) => Math.max(wide, setting.width(words(index), 'name')), 0) + setting.size('name') * 1.6,
  )
