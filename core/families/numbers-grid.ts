import { accentAt, inked, wash } from './colors'
import { shapePlace, slot, titleAndItems, type LayoutFamily } from './family'
import { grid, inset } from './geometry'
import { cell } from './parts'

/** Numbers on cards in rows and columns. */
export const numbersGrid: LayoutFamily = {
  name: 'numbers-grid',
  label: 'Numbers in a grid',
  senses: ['number', 'shares'],
  finds: 'figures statistics dashboard many numbers year in numbers overview',
  content: 'items',
  split: 'number',
  whole: 'text',
  best: [4, 9],
  entrance: { effect: 'rise' },
  places: titleAndItems,
  arrange: (items, area, room) =>
    grid(area, items.length, 28, 1.9).flatMap((frame, index) => [
      shapePlace(slot(index + 1, 'card'), `Card ${index + 1}`, 'rounded', frame, { fill: wash(accentAt(index)), radius: 20 }),
      ...cell(room, index + 1, items[index]!, inset(frame, 32, 20), `Figure ${index + 1}`, {
        lead: 'number',
        leadColor: inked(room, accentAt(index)),
        share: 0.54,
        textScale: 0.75,
      }),
    ]),
}
