import { faint, inked } from './colors'
import { shapePlace, slot, textPlace, titleAndItems, type LayoutFamily } from './family'
import { rows, splitAcross } from './geometry'
import { cell } from './parts'

/** Numbers one under the other, what each counts at its right. */
export const numbersRows: LayoutFamily = {
  name: 'numbers-rows',
  label: 'Numbers and what they count',
  senses: ['number', 'shares'],
  finds: 'figures statistics key facts list of numbers results',
  content: 'items',
  split: 'number',
  whole: 'text',
  best: [2, 5],
  entrance: { effect: 'rise', options: { from: 'left', way: 40 } },
  places: titleAndItems,
  arrange: (items, area, room) =>
    rows(area, items.length, 20, area.height * 0.32).flatMap((frame, index) => {
      const item = items[index]!
      const path = index + 1
      const rule = shapePlace(slot(path, 'rule'), `Rule ${path}`, 'rectangle', { ...frame, height: 2 }, { fill: faint })
      const inner = { ...frame, y: frame.y + 6, height: frame.height - 6 }
      if (item.lead === undefined || item.text === undefined)
        return [rule, ...cell(room, path, item, inner, `Figure ${path}`, { lead: 'number' })]
      const [left, right] = splitAcross(inner, inner.width * 0.36, 56)
      return [
        rule,
        textPlace(slot(path, 'lead'), `Figure ${path}`, 'number', left, {
          vertical: 'middle',
          match: 'lead',
          color: inked(room, 'accent3'),
        }),
        textPlace(slot(path, 'text'), `Figure ${path}, words`, 'body', right, { vertical: 'middle', match: 'text' }),
      ]
    }),
}
