import { accentAt, filled, wash } from './colors'
import { shapePlace, slot, textPlace, titleAndItems, type Frame, type Item, type LayoutFamily, type Place } from './family'
import { columns, inset, rows, splitDown } from './geometry'

/** Things side by side, what is said of each in rows at one height. */
export const compareColumns: LayoutFamily = {
  name: 'compare-columns',
  label: 'Side by side, in rows',
  senses: ['comparison', 'hierarchy'],
  finds: 'compare options alternatives versus criteria table matrix routes',
  content: 'tree',
  split: 'none',
  best: [2, 4],
  entrance: { effect: 'rise' },
  places: titleAndItems,
  arrange: (items, area, room) => {
    const most = Math.max(1, ...items.map(item => item.under.length))
    return columns(area, items.length, 32, area.width * 0.48).flatMap((frame, index) => {
      const item = items[index]!
      const path = String(index + 1)
      // Where nothing is said of any, the things themselves have the room.
      const [head, rest] = splitDown(frame, frame.height * (items.some(({ under }) => under.length) ? 0.18 : 0.5), 16)
      return [
        shapePlace(slot(path, 'box'), `Head ${path}`, 'rounded', head, { fill: filled(room, accentAt(index)), radius: 14 }),
        textPlace(slot(path, 'lead'), `Name ${path}`, 'lead', inset(head, 20, 10), {
          vertical: 'middle',
          align: 'center',
          match: 'lead',
          color: { role: 'ground' },
        }),
        ...rows(rest, most, 12, rest.height * 0.34).flatMap((row, at) => {
          const child = item.under[at]
          if (!child) return []
          const deeper = child.under.length
          const [words, more] = deeper ? splitDown(inset(row, 22, 8), row.height * 0.4, 6) : [inset(row, 22, 8), null]
          const childPath = `${path}-${at + 1}`
          return [
            shapePlace(slot(childPath, 'box'), `Ground ${childPath}`, 'rounded', row, { fill: wash(accentAt(index)), radius: 10 }),
            textPlace(slot(childPath, 'lead'), `Row ${childPath}`, 'body', words, { vertical: 'middle', match: 'row', size: 36 }),
            ...(more ? deepRows(child.under, childPath, more) : []),
          ]
        }),
      ]
    })
  },
}

/** What stands under a row, small, one line each. */
function deepRows(items: readonly Item[], path: string, frame: Frame): Place[] {
  return rows(frame, items.length, 4).flatMap((row, index) => {
    const item = items[index]!
    const own = `${path}-${index + 1}`
    const [words, more] = item.under.length ? splitDown(row, row.height * 0.5, 2) : [row, null]
    return [
      textPlace(slot(own, 'lead'), `Row ${own}`, 'small', words, { vertical: 'middle', match: 'deep' }),
      ...(more ? deepRows(item.under, own, more) : []),
    ]
  })
}
