import { amountsToScale } from '../phrases'
import { filled } from './colors'
import { shapePlace, slot, textPlace, titleAndItems, type LayoutFamily } from './family'
import { rows, splitAcross } from './geometry'
import { cell, scaled } from './parts'

/** Levels one under the other, each with what is left of the one above: bars to scale about one middle, their words beside them. */
export const funnel: LayoutFamily = {
  name: 'funnel',
  label: 'Levels that narrow',
  senses: ['funnel', 'ranking'],
  finds: 'funnel levels stages selection drop out conversion what is left',
  content: 'items',
  split: 'number',
  whole: 'text',
  best: [3, 6],
  trueTo: 'levels',
  entrance: { effect: 'wipe' },
  places: titleAndItems,
  arrange: (items, area, room) => {
    const values = amountsToScale(items.map(item => item.lead))
    const most = Math.max(...(values ?? []))
    return rows(area, items.length, 12, area.height * 0.26).flatMap((frame, index) => {
      const item = items[index]!
      const path = index + 1
      const [left, right] = splitAcross(frame, frame.width * 0.5, 48)
      if (!values || item.lead === undefined || item.text === undefined) return cell(room, path, item, frame, `Level ${path}`)
      const [amount, words] = splitAcross(right, right.width * 0.36, 28)
      const width = Math.max(4, (left.width * values[index]!) / most)
      const bar = { ...left, x: left.x + (left.width - width) / 2, width }
      return [
        shapePlace(slot(path, 'part'), `Level ${path}`, 'rectangle', bar, { fill: filled(room, index ? 'accent1' : 'accent3') }),
        textPlace(slot(path, 'lead'), `Level ${path}, count`, 'lead', amount, { vertical: 'middle', match: 'lead' }),
        textPlace(slot(path, 'text'), `Level ${path}, words`, 'body', words, {
          vertical: 'middle',
          match: 'text',
          ...scaled(room, 'body', 0.85),
        }),
      ]
    })
  },
}
