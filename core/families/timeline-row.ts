import { faint, filled, inked } from './colors'
import { framing, shapePlace, slot, titleAndItems, type LayoutFamily } from './family'
import { around, columns } from './geometry'
import { cell } from './parts'

/** Events along a line across the slide: when above it, what below. */
export const timelineRow: LayoutFamily = {
  name: 'timeline-row',
  label: 'Timeline across',
  senses: ['events', 'steps'],
  finds: 'history dates years milestones chronology schedule roadmap',
  content: 'items',
  split: 'date',
  whole: 'text',
  best: [3, 6],
  entrance: { effect: 'rise' },
  places: titleAndItems,
  arrange: (items, area, room) => {
    const y = area.y + area.height * 0.34
    return [
      shapePlace(framing('line'), 'Line', 'rectangle', { x: area.x, y: y - 3, width: area.width, height: 6 }, { fill: faint }),
      ...columns(area, items.length, 32, area.width * 0.4).flatMap((frame, index) => {
        const path = index + 1
        const { lead, text, under } = items[index]!
        const upper = { ...frame, height: y - 36 - area.y }
        const lower = { ...frame, y: y + 40, height: area.y + area.height - y - 40 }
        return [
          shapePlace(slot(path, 'dot'), `Dot ${path}`, 'ellipse', around(frame.x + 16, y, 32), { fill: filled(room, 'accent2') }),
          ...(lead === undefined
            ? []
            : cell(room, path, { lead, under }, upper, `Event ${path}`, { vertical: 'bottom', leadColor: inked(room, 'accent3') })),
          ...(text === undefined ? [] : cell(room, path, { text, under }, lower, `Event ${path}`, { vertical: 'top' })),
        ]
      }),
    ]
  },
}
