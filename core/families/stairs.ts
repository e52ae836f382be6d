import { accentAt, filled, wash } from './colors'
import { shapePlace, slot, titleAndItems, type LayoutFamily } from './family'
import { columns, inset } from './geometry'
import { cell } from './parts'

/** Steps that rise to a goal. */
export const stairs: LayoutFamily = {
  name: 'stairs',
  label: 'Rising steps',
  senses: ['steps'],
  finds: 'growth levels stages progress ladder goal maturity climb',
  content: 'items',
  split: 'lead',
  best: [3, 5],
  entrance: { effect: 'rise' },
  places: titleAndItems,
  arrange: (items, area, room) =>
    columns(area, items.length, 16, area.width * 0.4).flatMap((frame, index) => {
      const rise = items.length > 1 ? ((items.length - 1 - index) / (items.length - 1)) * area.height * 0.36 : 0
      const block = { ...frame, y: frame.y + rise, height: frame.height - rise }
      return [
        shapePlace(slot(index + 1, 'block'), `Block ${index + 1}`, 'rectangle', block, { fill: wash(accentAt(2)) }),
        shapePlace(slot(index + 1, 'edge'), `Edge ${index + 1}`, 'rectangle', { ...block, height: 10 }, { fill: filled(room, 'accent3') }),
        ...cell(
          room,
          index + 1,
          items[index]!,
          inset({ ...block, y: block.y + 10, height: area.height * 0.64 - 10 }, 24, 20),
          `Step ${index + 1}`,
          { share: 0.36, vertical: 'top' },
        ),
      ]
    }),
}
