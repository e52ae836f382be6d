import { accentAt, faint, filled } from './colors'
import { framing, shapePlace, slot, titleAndItems, type LayoutFamily } from './family'
import { columns, inset } from './geometry'
import { cell } from './parts'

/** Steps on a closed track: out along the top, back along the foot. */
export const cycleTrack: LayoutFamily = {
  name: 'cycle-track',
  label: 'Round track',
  senses: ['cycle'],
  finds: 'loop circuit there and back returns to the first recurring',
  content: 'items',
  split: 'lead',
  best: [4, 8],
  entrance: { effect: 'fade' },
  places: titleAndItems,
  arrange: (items, area, room) => {
    const upperCount = Math.ceil(items.length / 2)
    const height = area.height * 0.4
    const upper = columns({ ...area, height }, upperCount, 32, area.width * 0.4)
    const lower = columns(
      { ...area, y: area.y + area.height - height, height },
      Math.max(1, items.length - upperCount),
      32,
      area.width * 0.4,
    ).reverse()
    const middle = (frame: { y: number }) => frame.y + height / 2
    const track = { x: area.x + 60, width: area.width - 120, y: middle({ y: area.y }), height: area.height - height }
    return [
      shapePlace(framing('track'), 'Track', 'rounded', track, { stroke: { color: faint, width: 8 }, radius: 120 }),
      ...items.flatMap((item, index) => {
        const frame = (index < upperCount ? upper[index] : lower[index - upperCount])!
        const path = index + 1
        return [
          shapePlace(slot(path, 'back'), `Ground ${path}`, 'rounded', frame, {
            fill: { role: 'ground' },
            stroke: { color: filled(room, accentAt(index)), width: 5 },
            radius: 24,
          }),
          ...cell(room, path, item, inset(frame, 30, 18), `Step ${path}`, { align: 'center', share: 0.42 }),
        ]
      }),
    ]
  },
}
