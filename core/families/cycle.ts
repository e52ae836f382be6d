import { faint } from './colors'
import { framing, shapePlace, titleAndItems, type LayoutFamily } from './family'
import { around, square } from './geometry'
import { cell, numberDisc } from './parts'

/** Steps around a ring, the last leading back to the first; the words stand outside, at their disc's side. */
export const cycle: LayoutFamily = {
  name: 'cycle',
  label: 'Ring of steps',
  senses: ['cycle', 'steps'],
  finds: 'circle loop recurring round year cycle repeats returns',
  content: 'items',
  split: 'lead',
  best: [3, 6],
  entrance: { effect: 'fade' },
  places: titleAndItems,
  arrange: (items, area, room) => {
    const count = items.length
    const ring = square(area)
    const disc = Math.min(96, (ring.height * 0.8) / Math.max(3, count / 2))
    const radius = ring.width / 2 - disc / 2
    const [cx, cy] = [ring.x + ring.width / 2, ring.y + ring.height / 2]
    // Right side down, then left side up: each side's words share its height evenly.
    const rightCount = Math.ceil(count / 2)
    const side = (index: number) =>
      index < rightCount ? { of: rightCount, at: index, right: true } : { of: count - rightCount, at: count - 1 - index, right: false }
    const room1 = (area.width - ring.width) / 2 - 40
    return [
      shapePlace(framing('ring'), 'Ring', 'sector', around(cx, cy, radius * 2 + 10), {
        fill: faint,
        sector: { from: 0, until: 360, hole: 1 - 10 / (radius + 5) },
      }),
      ...items.flatMap((item, index) => {
        const { of, at, right } = side(index)
        const y = area.y + ((at + 0.5) / of) * area.height
        const dy = Math.max(-radius, Math.min(radius, y - cy))
        const x = cx + (right ? 1 : -1) * Math.sqrt(Math.max(0, radius * radius - dy * dy))
        const height = area.height / of - 20
        const frame = { x: right ? ring.x + ring.width + 40 : area.x, y: y - height / 2, width: room1, height }
        return [
          ...numberDisc(room, index + 1, x, cy + dy, disc),
          ...cell(room, index + 1, item, frame, `Step ${index + 1}`, { align: right ? 'left' : 'right', share: 0.4 }),
        ]
      }),
    ]
  },
}
