import { accentAt, wash } from './colors'
import { shapePlace, slot, titleAndItems, type LayoutFamily } from './family'
import { grid, inset } from './geometry'
import { cell } from './parts'

/** Points on cards in rows and columns. */
export const cardsGrid: LayoutFamily = {
  name: 'cards-grid',
  label: 'Cards in a grid',
  senses: ['points', 'places', 'questions'],
  finds: 'boxes tiles overview parallel many topics matrix',
  content: 'items',
  split: 'lead',
  best: [4, 9],
  entrance: { effect: 'rise' },
  places: titleAndItems,
  arrange: (items, area, room) =>
    grid(area, items.length, 28, 2.1).flatMap((frame, index) => [
      shapePlace(slot(index + 1, 'card'), `Card ${index + 1}`, 'rounded', frame, { fill: wash(accentAt(index)), radius: 20 }),
      ...cell(room, index + 1, items[index]!, inset(frame, 30, 20), `Card ${index + 1}, head`, { share: 0.36 }),
    ]),
}
