import { picturePlace, slot, titleAndItems, type LayoutFamily } from './family'
import { grid, splitDown } from './geometry'
import { initialsIn } from './initials'
import { cell } from './parts'

/** People with portrait, name and what they do, as many rows as it takes. */
export const peopleRow: LayoutFamily = {
  name: 'people-row',
  label: 'People',
  senses: ['people'],
  finds: 'team who we are staff crew portraits names roles contacts',
  content: 'items',
  split: 'person',
  best: [2, 8],
  entrance: { effect: 'fade' },
  places: titleAndItems,
  arrange: (items, area, room) =>
    grid(area, items.length, 40, items.length > 5 ? 1.15 : 0.85, area.height * 0.86).flatMap((frame, index) => {
      const side = Math.min(frame.width * 0.8, frame.height * 0.54)
      const [upper, lower] = splitDown(frame, side, 20)
      return [
        picturePlace(
          slot(index + 1, 'picture'),
          `Portrait ${index + 1}`,
          { ...upper, x: upper.x + (upper.width - side) / 2, width: side },
          'Portrait',
          'circle',
          initialsIn(room, items[index]!.lead, index),
        ),
        ...cell(room, index + 1, items[index]!, lower, `Person ${index + 1}`, {
          align: 'center',
          share: 0.42,
          vertical: 'top',
          textScale: 0.7,
        }),
      ]
    }),
}
