import { faint } from './colors'
import { framing, shapePlace, titleAndItems, type LayoutFamily } from './family'
import { rows } from './geometry'
import { cell, numberDisc } from './parts'

/** Steps down a line, each with its number in a disc. */
export const stepsColumn: LayoutFamily = {
  name: 'steps-column',
  label: 'Steps down',
  senses: ['steps', 'agenda'],
  finds: 'process procedure how to instructions numbered order recipe checklist',
  content: 'items',
  split: 'lead',
  best: [3, 6],
  entrance: { effect: 'rise', options: { from: 'left', way: 40 } },
  places: titleAndItems,
  arrange: (items, area, room) => {
    const frames = rows(area, items.length, 20, area.height * 0.28)
    const disc = Math.min(84, frames[0]?.height ?? 84)
    const middle = (frame: { y: number; height: number }) => frame.y + frame.height / 2
    const line =
      frames.length > 1
        ? [
            shapePlace(
              framing('line'),
              'Line',
              'rectangle',
              { x: area.x + disc / 2 - 3, y: middle(frames[0]!), width: 6, height: middle(frames.at(-1)!) - middle(frames[0]!) },
              { fill: faint },
            ),
          ]
        : []
    return [
      ...line,
      ...frames.flatMap((frame, index) => [
        ...numberDisc(room, index + 1, area.x + disc / 2, middle(frame), disc),
        ...cell(room, index + 1, items[index]!, { ...frame, x: frame.x + disc + 36, width: frame.width - disc - 36 }, `Step ${index + 1}`, {
          share: 0.44,
        }),
      ]),
    ]
  },
}
