import { filled } from './colors'
import { iconPlace, shapePlace, slot, titleAndItems, type LayoutFamily } from './family'
import { around, columns, rows, splitAcross } from './geometry'
import { cell } from './parts'

/** Points one under the other, each beside an icon that is found by its words. */
export const iconsRows: LayoutFamily = {
  name: 'icons-rows',
  label: 'Icons, one a line',
  senses: ['points', 'list', 'next'],
  finds: 'icons symbols signs list rows features pictograms',
  content: 'items',
  split: 'lead',
  best: [3, 8],
  entrance: { effect: 'rise', options: { from: 'left', way: 40 } },
  places: titleAndItems,
  arrange: (items, area, room) => {
    const across = items.length > 4 ? 2 : 1
    const frames = columns(area, across, 64).flatMap(column => rows(column, Math.ceil(items.length / across), 24, area.height * 0.3))
    return items.flatMap((item, index) => {
      const path = index + 1
      const size = Math.min(frames[index]!.height * 0.86, 150)
      const [left, right] = splitAcross(frames[index]!, size, 36)
      const [x, y] = [left.x + size / 2, left.y + left.height / 2]
      return [
        shapePlace(slot(path, 'tile'), `Tile ${path}`, 'rounded', around(x, y, size), { fill: filled(room, 'accent1'), radius: 18 }),
        iconPlace(slot(path, 'icon'), `Icon ${path}`, around(x, y, size * 0.6), { role: 'ground' }),
        ...cell(room, path, item, right, `Point ${path}`, { share: 0.42, leadColor: { role: 'ink' } }),
      ]
    })
  },
}
