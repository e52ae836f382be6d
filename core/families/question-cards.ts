import { inked, wash } from './colors'
import { shapePlace, slot, titleAndItems, type LayoutFamily } from './family'
import { grid, inset } from './geometry'
import { cell } from './parts'

/** Questions with their answers on cards. */
export const questionCards: LayoutFamily = {
  name: 'question-cards',
  label: 'Questions on cards',
  senses: ['questions'],
  finds: 'faq frequently asked q and a help grid',
  content: 'items',
  split: 'question',
  best: [2, 6],
  entrance: { effect: 'rise' },
  places: titleAndItems,
  arrange: (items, area, room) =>
    grid(area, items.length, 28, 1.8).flatMap((frame, index) => [
      shapePlace(slot(index + 1, 'card'), `Card ${index + 1}`, 'rounded', frame, { fill: wash('accent1'), radius: 20 }),
      ...cell(room, index + 1, items[index]!, inset(frame, 34, 26), `Question ${index + 1}`, {
        leadColor: inked(room, 'accent1'),
        share: 0.42,
      }),
    ]),
}
