import { picturePlace, slot, titleAndItems, type LayoutFamily } from './family'
import { grid, splitDown } from './geometry'
import { cell } from './parts'

/** Pictures with a caption each. */
export const picturesRow: LayoutFamily = {
  name: 'pictures-row',
  label: 'Pictures with captions',
  senses: ['pictures', 'places'],
  finds: 'gallery photos images captions several',
  content: 'items',
  split: 'lead',
  best: [2, 6],
  closesTo: 'cards-row',
  entrance: { effect: 'fade' },
  places: titleAndItems,
  arrange: (items, area, room) =>
    grid(area, items.length, 36, 1.1).flatMap((frame, index) => {
      const [upper, lower] = splitDown(frame, frame.height * (items[index]!.text === undefined ? 0.7 : 0.56), 18)
      return [
        picturePlace(slot(index + 1, 'picture'), `Picture ${index + 1}`, upper, 'Drop a picture here', 'rounded'),
        ...cell(room, index + 1, items[index]!, lower, `Caption ${index + 1}`, { vertical: 'top', share: 0.42 }),
      ]
    }),
}
