import { accentAt, wash } from './colors'
import { picturePlace, shapePlace, slot, titleAndItems, type LayoutFamily } from './family'
import { grid, inset, splitAcross } from './geometry'
import { initialsIn } from './initials'
import { cell, rowHeight } from './parts'

/** People on cards: a small portrait, beside it name and role; holds many. */
export const peopleList: LayoutFamily = {
  name: 'people-list',
  label: 'People on cards',
  senses: ['people', 'next'],
  finds: 'team staff directory many people contacts names roles telephone',
  content: 'items',
  split: 'person',
  best: [4, 12],
  entrance: { effect: 'fade' },
  places: titleAndItems,
  arrange: (items, area, room) =>
    grid(area, items.length, 24, 3.2, rowHeight(items, area.height * 0.3)).flatMap((frame, index) => {
      const inner = inset(frame, 20, 16)
      const [left, right] = splitAcross(inner, Math.min(inner.height, inner.width * 0.3), 24)
      const side = Math.min(left.width, left.height)
      return [
        shapePlace(slot(index + 1, 'card'), `Card ${index + 1}`, 'rounded', frame, { fill: wash(accentAt(0)), radius: 18 }),
        picturePlace(
          slot(index + 1, 'picture'),
          `Portrait ${index + 1}`,
          { x: left.x, y: left.y + (left.height - side) / 2, width: side, height: side },
          'Face',
          'circle',
          initialsIn(room, items[index]!.lead, index),
        ),
        ...cell(room, index + 1, items[index]!, right, `Person ${index + 1}`, { share: 0.48, textScale: 0.7 }),
      ]
    }),
}
