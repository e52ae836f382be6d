import { faint, filled, inked } from './colors'
import { framing, shapePlace, slot, textPlace, titleAndItems, type LayoutFamily } from './family'
import { around, rows } from './geometry'
import { scaled } from './parts'

/** Events down a line: when at its left, what at its right. */
export const timelineColumn: LayoutFamily = {
  name: 'timeline-column',
  label: 'Timeline down',
  senses: ['events', 'agenda'],
  finds: 'history dates years chronology vertical log',
  content: 'items',
  split: 'date',
  whole: 'text',
  best: [3, 8],
  entrance: { effect: 'rise', options: { from: 'left', way: 40 } },
  places: titleAndItems,
  arrange: (items, area, room) => {
    const x = area.x + area.width * 0.22
    const frames = rows(area, items.length, 16, area.height * 0.26)
    const last = frames.at(-1)
    return [
      ...(last
        ? [
            shapePlace(
              framing('line'),
              'Line',
              'rectangle',
              { x: x - 3, y: area.y, width: 6, height: last.y + last.height - area.y },
              { fill: faint },
            ),
          ]
        : []),
      ...frames.flatMap((frame, index) => {
        const path = index + 1
        const item = items[index]!
        return [
          shapePlace(slot(path, 'dot'), `Dot ${path}`, 'ellipse', around(x, frame.y + frame.height / 2, Math.min(28, frame.height * 0.8)), {
            fill: filled(room, 'accent2'),
          }),
          ...(item.lead === undefined
            ? []
            : [
                textPlace(
                  slot(path, 'lead'),
                  `Event ${path}`,
                  'lead',
                  { ...frame, width: x - 40 - frame.x },
                  { vertical: 'middle', align: 'right', match: 'lead', color: inked(room, 'accent3') },
                ),
              ]),
          ...(item.text === undefined
            ? []
            : [
                textPlace(
                  slot(path, 'text'),
                  `Event ${path}, words`,
                  'body',
                  { ...frame, x: x + 48, width: frame.x + frame.width - x - 48 },
                  { vertical: 'middle', match: 'text', ...scaled(room, 'body', 0.85) },
                ),
              ]),
        ]
      }),
    ]
  },
}
