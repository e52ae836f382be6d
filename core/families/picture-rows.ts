import { picturePlace, slot, titleAndItems, type LayoutFamily } from './family'
import { columns, rows, splitAcross } from './geometry'
import { cell } from './parts'

/** Points one under the other, each beside a picture or sign of its own. */
export const pictureRows: LayoutFamily = {
  name: 'picture-rows',
  label: 'Rows with signs',
  senses: ['points', 'places', 'pictures'],
  finds: 'icons symbols rows list with images features',
  content: 'items',
  split: 'lead',
  best: [3, 8],
  entrance: { effect: 'rise', options: { from: 'left', way: 40 } },
  places: titleAndItems,
  arrange: (items, area, room) => {
    const across = items.length > 4 ? 2 : 1
    const frames = columns(area, across, 64).flatMap(column => rows(column, Math.ceil(items.length / across), 28, area.height * 0.3))
    return items.flatMap((item, index) => {
      const [left, right] = splitAcross(frames[index]!, frames[index]!.height, 36)
      const side = Math.min(left.width, left.height)
      return [
        picturePlace(
          slot(index + 1, 'picture'),
          `Sign ${index + 1}`,
          { ...left, width: side, height: side, y: left.y + (left.height - side) / 2 },
          'Sign',
          'rounded',
        ),
        ...cell(room, index + 1, item, right, `Row ${index + 1}`, { share: 0.42 }),
      ]
    })
  },
}
