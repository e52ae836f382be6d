import { amountsToScale } from '../phrases'
import { wash } from './colors'
import { shapePlace, slot, textPlace, titleAndItems, type LayoutFamily } from './family'
import { inset, rows, splitAcross } from './geometry'
import { cell, numberDisc, scaled } from './parts'

/** A line that names its place itself: “1st”, “2. Platz”, “No. 3”. */
const placed = /^(?:\D{0,6}\s?)?\d{1,2}(?:st|nd|rd|th|er?|º|ª|\.)?(?:\s|$)/i

/** Places one under the other, the first the largest; where all have an amount in one unit, a bar to scale lies beneath each. */
export const ranking: LayoutFamily = {
  name: 'ranking',
  label: 'Ranking',
  senses: ['ranking', 'shares'],
  finds: 'ranking top places winners most best largest order league',
  content: 'items',
  split: 'lead',
  best: [3, 7],
  entrance: { effect: 'wipe' },
  places: titleAndItems,
  arrange: (items, area, room) => {
    const values = amountsToScale(items.map(item => item.text))
    const most = Math.max(...(values ?? []))
    return rows(area, items.length, 14, area.height * 0.22).flatMap((frame, index) => {
      const item = items[index]!
      const path = index + 1
      const own = placed.test(item.lead ?? '')
      const size = Math.min(frame.height * 0.72, 92)
      const [mark, rest] = splitAcross(frame, own ? 0 : size, own ? 0 : 28)
      const bar = { ...rest, width: values ? Math.max(6, (rest.width * values[index]!) / most) : rest.width }
      const words = inset(rest, 28, 6)
      const beneath = shapePlace(slot(path, 'part'), `Bar ${path}`, 'rectangle', bar, {
        fill: values ? { role: 'accent1', alpha: index ? 0.16 : 0.3 } : wash(index ? 'ink' : 'accent1'),
      })
      const disc = own ? [] : numberDisc(room, path, mark.x + size / 2, frame.y + frame.height / 2, size, index ? 'accent3' : 'accent1')
      if (item.lead === undefined || item.text === undefined)
        return [beneath, ...disc, ...cell(room, path, item, words, `Place ${path}`, { leadColor: { role: 'ink' } })]
      const [name, amount] = splitAcross(words, words.width * 0.6, 24)
      return [
        beneath,
        ...disc,
        textPlace(slot(path, 'lead'), `Place ${path}`, 'lead', name, { vertical: 'middle', match: 'lead' }),
        textPlace(slot(path, 'text'), `Place ${path}, amount`, 'body', amount, {
          vertical: 'middle',
          align: 'right',
          match: 'text',
          ...scaled(room, 'body', 0.9),
        }),
      ]
    })
  },
}
