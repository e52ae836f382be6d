import { faint, filled, inked } from './colors'
import { framing, shapePlace, slot, titleAndItems, type LayoutFamily } from './family'
import { around } from './geometry'
import { momentsToScale } from '../phrases'
import { cell } from './parts'

/** Where each stands along the line, 0 to 1: in proportion where all are moments that follow each other, else evenly. */
function placesOf(leads: readonly (string | undefined)[]): number[] {
  const values = momentsToScale(leads)
  const count = leads.length
  if (!values || count < 2) return leads.map((_, index) => (count === 1 ? 0.5 : index / (count - 1)))
  const [from, to] = [values[0]!, values.at(-1)!]
  return values.map(value => (value - from) / (to - from))
}

/** Events on a line to scale: the words stand in a row beneath, each tied to its true place. */
export const timelineScale: LayoutFamily = {
  name: 'timeline-scale',
  label: 'Timeline to scale',
  senses: ['events'],
  finds: 'history dates proportional intervals years true distance',
  content: 'items',
  split: 'date',
  whole: 'text',
  best: [3, 7],
  trueTo: 'moments',
  entrance: { effect: 'fade' },
  places: titleAndItems,
  arrange: (items, area, room) => {
    const y = area.y + 30
    const width = area.width / items.length
    const at = placesOf(items.map(item => item.lead))
    return [
      shapePlace(framing('line'), 'Line', 'rectangle', { x: area.x, y: y - 4, width: area.width, height: 8 }, { fill: faint }),
      ...items.flatMap((item, index) => {
        const path = index + 1
        const frame = { x: area.x + index * width + 10, y: area.y + area.height * 0.3, width: width - 20, height: area.height * 0.7 }
        const from = { x: area.x + 14 + at[index]! * (area.width - 28), y: y + 14 }
        const to = { x: frame.x + frame.width / 2, y: frame.y - 10 }
        const length = Math.hypot(to.x - from.x, to.y - from.y)
        const angle = (Math.atan2(to.y - from.y, to.x - from.x) * 180) / Math.PI
        return [
          shapePlace(slot(path, 'tie'), `Tie ${path}`, 'rectangle', around((from.x + to.x) / 2, (from.y + to.y) / 2, length, 3), {
            fill: faint,
            angle,
          }),
          shapePlace(slot(path, 'dot'), `Dot ${path}`, 'ellipse', around(from.x, y, 28), { fill: filled(room, 'accent2') }),
          ...cell(room, path, item, frame, `Event ${path}`, {
            align: 'center',
            leadColor: inked(room, 'accent3'),
            share: 0.26,
            vertical: 'top',
          }),
        ]
      }),
    ]
  },
}
