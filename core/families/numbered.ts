import { faint, inked } from './colors'
import { shapePlace, slot, textPlace, titleAndItems, type LayoutFamily } from './family'
import { columns, rows, splitAcross } from './geometry'
import { cell } from './parts'

/** Points with large numbers before them, in one column or two. */
export const numbered: LayoutFamily = {
  name: 'numbered',
  label: 'Numbered points',
  senses: ['points', 'steps', 'agenda'],
  finds: 'numbers ranking reasons top ten ordered one two three',
  content: 'items',
  split: 'lead',
  best: [3, 8],
  entrance: { effect: 'rise', options: { from: 'left', way: 40 } },
  places: titleAndItems,
  arrange: (items, area, room) => {
    const across = items.length > 4 ? 2 : 1
    const frames = columns(area, across, 80).flatMap(column => rows(column, Math.ceil(items.length / across), 28, area.height * 0.3))
    return items.flatMap((item, index) => {
      const path = index + 1
      const [left, right] = splitAcross(frames[index]!, 120, 20)
      return [
        shapePlace(slot(path, 'rule'), `Rule ${path}`, 'rectangle', { ...frames[index]!, height: 2 }, { fill: faint }),
        textPlace(
          slot(path, 'count'),
          `Number ${path}`,
          'number',
          { ...left, y: left.y + 4, height: left.height - 4 },
          { field: 'item-number', vertical: 'middle', match: 'count', size: 84, color: inked(room, 'accent3') },
        ),
        ...cell(room, path, item, { ...right, y: right.y + 4, height: right.height - 4 }, `Point ${path}`, { share: 0.42 }),
      ]
    })
  },
}
