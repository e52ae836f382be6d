import { accentAt, wash } from './colors'
import { shapePlace, slot, titleAndItems, type LayoutFamily } from './family'
import { columns, columnsFor, inset, rows } from './geometry'
import { cell, rowHeight } from './parts'

/** Many short points in columns, read down. */
export const listColumns: LayoutFamily = {
  name: 'list-columns',
  label: 'Points in columns',
  senses: ['points', 'list'],
  finds: 'many bullets two columns three columns long list names',
  content: 'items',
  split: 'none',
  best: [6, 24],
  entrance: { effect: 'fade' },
  places: titleAndItems,
  arrange: (items, area, room) => {
    const across = items.length < 5 ? 1 : columnsFor(area, items.length, 5)
    const down = Math.ceil(items.length / across)
    const frames = columns(area, across, 40).flatMap(column => rows(column, down, 16, rowHeight(items, area.height * 0.2)))
    return items.flatMap((item, index) => [
      shapePlace(slot(index + 1, 'card'), `Ground ${index + 1}`, 'rounded', frames[index]!, { fill: wash(accentAt(0)), radius: 14 }),
      ...cell(room, index + 1, item, inset(frames[index]!, 26, 10), `Point ${index + 1}`, { share: 0.5, textScale: 0.7 }),
    ])
  },
}
