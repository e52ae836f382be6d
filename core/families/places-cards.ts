import { inset, grid, splitDown } from './geometry'
import { picturePlace, shapePlace, slot, titleAndItems, type LayoutFamily } from './family'
import { cell } from './parts'
import { wash } from './colors'

/** Places on cards, each with a picture of it. */
export const placesCards: LayoutFamily = {
  name: 'places-cards',
  label: 'Places with pictures',
  senses: ['places', 'pictures'],
  finds: 'locations sites destinations stops rooms where visit',
  content: 'items',
  split: 'lead',
  best: [2, 6],
  entrance: { effect: 'rise' },
  places: titleAndItems,
  arrange: (items, area, room) =>
    grid(area, items.length, 28, 1.2).flatMap((frame, index) => {
      const [upper, lower] = splitDown(frame, frame.height * 0.48, 0)
      return [
        shapePlace(slot(index + 1, 'card'), `Card ${index + 1}`, 'rectangle', frame, { fill: wash('accent1') }),
        picturePlace(slot(index + 1, 'picture'), `Picture ${index + 1}`, upper),
        ...cell(room, index + 1, items[index]!, inset(lower, 28, 18), `Place ${index + 1}`, { share: 0.42, textScale: 0.75 }),
      ]
    }),
}
