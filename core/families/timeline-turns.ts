import { faint, filled, inked } from './colors'
import { framing, shapePlace, slot, titleAndItems, type LayoutFamily } from './family'
import { around } from './geometry'
import { cell } from './parts'

/** Events above and below a line in turns, so that each has twice the width. */
export const timelineTurns: LayoutFamily = {
  name: 'timeline-turns',
  label: 'Timeline, above and below',
  senses: ['events'],
  finds: 'history dates alternating zigzag long chronology',
  content: 'items',
  split: 'date',
  whole: 'text',
  best: [4, 9],
  entrance: { effect: 'fade' },
  places: titleAndItems,
  arrange: (items, area, room) => {
    const y = area.y + area.height / 2
    const step = area.width / (items.length + 1)
    return [
      shapePlace(framing('line'), 'Line', 'rectangle', { x: area.x, y: y - 3, width: area.width, height: 6 }, { fill: faint }),
      ...items.flatMap((item, index) => {
        const path = index + 1
        const x = area.x + step * (index + 1)
        const up = index % 2 === 0
        const frame = { x: x - step * 0.94, y: up ? area.y : y + 44, width: step * 1.88, height: area.height / 2 - 44 }
        return [
          shapePlace(slot(path, 'dot'), `Dot ${path}`, 'ellipse', around(x, y, 30), { fill: filled(room, 'accent2') }),
          shapePlace(
            slot(path, 'stem'),
            `Stem ${path}`,
            'rectangle',
            { x: x - 1.5, y: up ? y - 38 : y + 15, width: 3, height: 23 },
            { fill: faint },
          ),
          ...cell(room, path, item, frame, `Event ${path}`, {
            align: 'center',
            leadColor: inked(room, 'accent3'),
            share: 0.3,
            turned: false,
            vertical: up ? 'bottom' : 'top',
          }),
        ]
      }),
    ]
  },
}
