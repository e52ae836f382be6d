import { accentAt, inked, wash } from './colors'
import { iconPlace, shapePlace, slot, titleAndItems, type LayoutFamily } from './family'
import { around, columns, splitDown } from './geometry'
import { cell } from './parts'

/** Points side by side, each under an icon that is found by its words. */
export const iconsRow: LayoutFamily = {
  name: 'icons-row',
  label: 'Icons in a row',
  senses: ['points', 'places', 'steps'],
  finds: 'icons symbols signs features services row pictograms',
  content: 'items',
  split: 'lead',
  best: [2, 5],
  entrance: { effect: 'rise' },
  places: titleAndItems,
  arrange: (items, area, room) =>
    columns(area, items.length, 56, area.width * 0.42).flatMap((frame, index) => {
      const path = index + 1
      const [head, rest] = splitDown(frame, frame.height * 0.42, 28)
      const size = Math.min(head.width * 0.7, head.height, 240)
      const [x, y] = [head.x + size / 2, head.y + head.height - size / 2]
      return [
        shapePlace(slot(path, 'disc'), `Disc ${path}`, 'ellipse', around(x, y, size), { fill: wash(accentAt(index)) }),
        iconPlace(slot(path, 'icon'), `Icon ${path}`, around(x, y, size * 0.56), inked(room, accentAt(index))),
        ...cell(room, path, items[index]!, rest, `Point ${path}`, { vertical: 'top', share: 0.36, leadColor: { role: 'ink' } }),
      ]
    }),
}
