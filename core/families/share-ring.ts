import { accentAt, filled } from './colors'
import { shapePlace, slot, textPlace, titleAndItems, type LayoutFamily } from './family'
import { rows, splitAcross, square } from './geometry'
import { cell, scaled } from './parts'
import { sharesOf } from './shares'

/** Parts of a whole as a ring, with its key beside it. */
export const shareRing: LayoutFamily = {
  name: 'share-ring',
  label: 'Ring in parts',
  senses: ['shares'],
  finds: 'percent proportion pie circle breakdown parts of a whole',
  content: 'items',
  split: 'number',
  whole: 'text',
  best: [2, 6],
  trueTo: 'amounts',
  entrance: { effect: 'fade' },
  places: titleAndItems,
  arrange: (items, area, room) => {
    const [left, right] = splitAcross(area, area.height, 96)
    const ring = square(left)
    let from = 0
    const cuts = sharesOf(items).map(share => {
      const until = Math.min(360, from + share * 360)
      const cut = { from, until, hole: 0.58 }
      from = until
      return cut
    })
    return rows(right, items.length, 20, right.height * 0.26).flatMap((frame, index) => {
      const item = items[index]!
      const path = index + 1
      const fill = filled(room, accentAt(index))
      const key = Math.min(36, frame.height)
      const words = { ...frame, x: frame.x + key + 28, width: frame.width - key - 28 }
      const [amount, name] = splitAcross(words, words.width * 0.3, 28)
      const both = item.lead !== undefined && item.text !== undefined
      return [
        shapePlace(slot(path, 'part'), `Part ${path}`, 'sector', ring, { fill, sector: cuts[index]! }),
        shapePlace(
          slot(path, 'key'),
          `Key ${path}`,
          'rounded',
          { ...frame, y: frame.y + (frame.height - key) / 2, width: key, height: key },
          { fill, radius: 8 },
        ),
        ...(both
          ? [
              textPlace(slot(path, 'lead'), `Part ${path}, amount`, 'lead', amount, { vertical: 'middle', match: 'lead' }),
              textPlace(slot(path, 'text'), `Part ${path}, name`, 'body', name, {
                vertical: 'middle',
                match: 'text',
                ...scaled(room, 'body', 0.9),
              }),
            ]
          : cell(room, path, item, words, `Part ${path}`)),
      ]
    })
  },
}
