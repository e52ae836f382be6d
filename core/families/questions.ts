import { faint, inked } from './colors'
import { shapePlace, slot, textPlace, titleAndItems, type LayoutFamily } from './family'
import { rows, splitAcross } from './geometry'
import { cell, scaled } from './parts'

/** Questions at the left, answers at the right. */
export const questions: LayoutFamily = {
  name: 'questions',
  label: 'Questions and answers',
  senses: ['questions'],
  finds: 'faq frequently asked q and a answers help',
  content: 'items',
  split: 'question',
  best: [2, 5],
  entrance: { effect: 'fade' },
  places: titleAndItems,
  arrange: (items, area, room) =>
    rows(area, items.length, 24, area.height * 0.32).flatMap((frame, index) => {
      const item = items[index]!
      const path = index + 1
      const rule = shapePlace(slot(path, 'rule'), `Rule ${path}`, 'rectangle', { ...frame, height: 3 }, { fill: faint })
      const inner = { ...frame, y: frame.y + 8, height: frame.height - 8 }
      if (item.lead === undefined || item.text === undefined)
        return [rule, ...cell(room, path, item, inner, `Question ${path}`, { leadColor: inked(room, 'accent3') })]
      const [left, right] = splitAcross(inner, inner.width * 0.42, 56)
      return [
        rule,
        textPlace(slot(path, 'lead'), `Question ${path}`, 'lead', left, {
          vertical: 'middle',
          match: 'lead',
          color: inked(room, 'accent3'),
        }),
        textPlace(slot(path, 'text'), `Answer ${path}`, 'body', right, {
          vertical: 'middle',
          match: 'text',
          ...scaled(room, 'body', 0.85),
        }),
      ]
    }),
}
