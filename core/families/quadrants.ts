import { faint, wash } from './colors'
import { framing, shapePlace, slot, titleAndItems, type LayoutFamily } from './family'
import { grid, inset } from './geometry'
import { cell } from './parts'

/** Four fields about two axes: more or less of one thing across, of another upwards. */
export const quadrants: LayoutFamily = {
  name: 'quadrants',
  label: 'Four fields on two axes',
  senses: ['position', 'comparison', 'points'],
  finds: 'matrix quadrants axes effort benefit risk portfolio position four fields',
  content: 'items',
  split: 'lead',
  best: [4, 4],
  entrance: { effect: 'fade' },
  places: titleAndItems,
  arrange: (items, area, room) => {
    const gap = 28
    // Two and two; any other number in a grid, which has no axes.
    const four = items.length === 4
    const [width, height] = [(area.width - gap) / 2, (area.height - gap) / 2]
    const frames = four
      ? [0, 1, 2, 3].map(at => ({
          x: area.x + (at % 2) * (width + gap),
          y: area.y + Math.floor(at / 2) * (height + gap),
          width,
          height,
        }))
      : grid(area, items.length, gap, 1.6)
    const axis = (name: string, frame: { x: number; y: number; width: number; height: number }) =>
      shapePlace(framing(name), 'Axis', 'rectangle', frame, { fill: faint })
    return [
      ...(four
        ? [
            axis('across', { x: area.x, y: area.y + area.height / 2 - 2, width: area.width, height: 4 }),
            axis('upwards', { x: area.x + area.width / 2 - 2, y: area.y, width: 4, height: area.height }),
          ]
        : []),
      ...items.flatMap((item, index) => {
        const path = index + 1
        return [
          shapePlace(slot(path, 'field'), `Field ${path}`, 'rectangle', frames[index]!, { fill: wash(index ? 'ink' : 'accent1') }),
          ...cell(room, path, item, inset(frames[index]!, 36, 28), `Field ${path}`, { share: 0.42 }),
        ]
      }),
    ]
  },
}
