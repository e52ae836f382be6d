import { accentAt, filled } from './colors'
import { shapePlace, slot, textPlace, titleAndItems, type LayoutFamily } from './family'
import { rows, splitAcross } from './geometry'
import { cell, scaled } from './parts'
import { sharesOf } from './shares'

/** Parts as bars one under the other, each as long as its share of the largest. */
export const shareRows: LayoutFamily = {
  name: 'share-rows',
  label: 'Bars, one a line',
  senses: ['shares', 'number'],
  finds: 'percent proportion ranking compare amounts breakdown bars',
  content: 'items',
  split: 'number',
  whole: 'text',
  best: [3, 8],
  trueTo: 'amounts',
  entrance: { effect: 'wipe' },
  places: titleAndItems,
  arrange: (items, area, room) => {
    const shares = sharesOf(items)
    const most = Math.max(...shares)
    return rows(area, items.length, 22, area.height * 0.2).flatMap((frame, index) => {
      const item = items[index]!
      const path = index + 1
      const [left, rest] = splitAcross(frame, frame.width * 0.34, 32)
      const [middle, right] = splitAcross(rest, rest.width * 0.7, 32)
      if (item.text === undefined || item.lead === undefined) return cell(room, path, item, frame, `Part ${path}`)
      return [
        textPlace(slot(path, 'text'), `Part ${path}, name`, 'body', left, {
          vertical: 'middle',
          align: 'right',
          match: 'text',
          ...scaled(room, 'body', 0.85),
        }),
        shapePlace(
          slot(path, 'part'),
          `Part ${path}`,
          'rectangle',
          {
            ...middle,
            y: middle.y + middle.height * 0.2,
            height: middle.height * 0.6,
            width: Math.max(4, (middle.width * shares[index]!) / most),
          },
          { fill: filled(room, accentAt(2)) },
        ),
        textPlace(slot(path, 'lead'), `Part ${path}, amount`, 'lead', right, { vertical: 'middle', match: 'lead' }),
      ]
    })
  },
}
