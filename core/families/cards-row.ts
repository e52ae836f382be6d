import { accentAt, wash } from './colors'
import { shapePlace, slot, titleAndItems, type LayoutFamily } from './family'
import { columns, inset } from './geometry'
import { cell } from './parts'

/** Points side by side on cards, each under a bar of its own colour. */
export const cardsRow: LayoutFamily = {
  name: 'cards-row',
  label: 'Cards in a row',
  senses: ['points', 'comparison', 'people'],
  finds: 'columns pillars side by side parallel three topics',
  content: 'items',
  split: 'lead',
  best: [2, 4],
  entrance: { effect: 'rise' },
  places: titleAndItems,
  arrange: (items, area, room) => {
    const height = items.some(item => item.text !== undefined) ? area.height : area.height * 0.6
    return columns({ ...area, height }, items.length, 40, area.width * 0.5).flatMap((frame, index) => [
      shapePlace(slot(index + 1, 'card'), `Card ${index + 1}`, 'rectangle', frame, { fill: wash(accentAt(index)) }),
      shapePlace(slot(index + 1, 'bar'), `Bar ${index + 1}`, 'rectangle', { ...frame, height: 12 }, { fill: { role: accentAt(index) } }),
      ...cell(
        room,
        index + 1,
        items[index]!,
        inset({ ...frame, y: frame.y + 12, height: frame.height - 12 }, 32, 28),
        `Card ${index + 1}, head`,
        { share: 0.24, vertical: 'middle' },
      ),
    ])
  },
}
