import { amountsToScale, farthest } from '../phrases'
import { faint, filled, inked } from './colors'
import { shapePlace, slot, textPlace, titleAndItems, type Frame, type Item, type LayoutFamily, type LayoutRoom, type Place } from './family'
import { rows, splitAcross, splitDown } from './geometry'
import { cell } from './parts'

/** A row: words over a bar that begins where all others do. */
interface Row {
  path: number
  item: Item
  frame: Frame
  /** The length of its bar as a share of the row. */
  share: number
}

/** The one: its amount large, its name beside it, its bar thick. */
function first(room: LayoutRoom, { path, item, frame, share }: Row): Place[] {
  const [words, bar] = splitDown(frame, frame.height - 44, 20)
  const [left, right] = splitAcross(words, words.width * 0.42, 40)
  const own =
    item.lead === undefined || item.text === undefined
      ? cell(room, path, item, words, `One ${path}`, { text: 'lead', vertical: 'bottom' })
      : [
          textPlace(slot(path, 'lead'), `One ${path}, amount`, 'number', left, { vertical: 'bottom', color: inked(room, 'accent1') }),
          textPlace(slot(path, 'text'), `One ${path}`, 'lead', right, { vertical: 'bottom' }),
        ]
  const fill = filled(room, 'accent1')
  return [...own, shapePlace(slot(path, 'part'), `Bar ${path}`, 'rectangle', { ...bar, width: Math.max(4, bar.width * share) }, { fill })]
}

/** One of the rest: its name, its amount at the end, and a thin bar. */
function other(room: LayoutRoom, { path, item, frame, share }: Row): Place[] {
  const [words, bar] = splitDown(frame, frame.height - 22, 8)
  const [left, right] = splitAcross(words, words.width * 0.7, 24)
  const own =
    item.lead === undefined || item.text === undefined
      ? cell(room, path, item, words, `Rest ${path}`, { lead: 'body', text: 'body' })
      : [
          textPlace(slot(path, 'text'), `Rest ${path}`, 'body', left, { vertical: 'bottom', match: 'text' }),
          textPlace(slot(path, 'lead'), `Rest ${path}, amount`, 'body', right, {
            vertical: 'bottom',
            align: 'right',
            match: 'lead',
          }),
        ]
  return [
    ...own,
    shapePlace(slot(path, 'part'), `Bar ${path}`, 'rectangle', { ...bar, width: Math.max(3, bar.width * share) }, { fill: faint }),
  ]
}

/** The one whose amount stands farthest from all others large above, the others small and quiet beneath it; all bars on one scale. */
export const standout: LayoutFamily = {
  name: 'standout',
  label: 'One against the rest',
  senses: ['standout', 'ranking', 'shares'],
  finds: 'one against the rest outlier contrast alone stands out compare leader exception',
  content: 'items',
  split: 'number',
  whole: 'text',
  best: [3, 7],
  trueTo: 'amounts',
  entrance: { effect: 'wipe' },
  places: titleAndItems,
  arrange: (items, area, room) => {
    const values = amountsToScale(items.map(item => item.lead ?? item.text))
    const one = values ? farthest(values) : 0
    const most = Math.max(...(values ?? [1]))
    const rowOf = (index: number, frame: Frame): Row => ({
      path: index + 1,
      item: items[index]!,
      frame,
      share: (values?.[index] ?? 1) / most,
    })
    if (items.length === 1) return first(room, rowOf(0, area))
    const [upper, lower] = splitDown(area, area.height * 0.42, area.height * 0.07)
    const rest = items.map((_, index) => index).filter(index => index !== one)
    const frames = rows(lower, rest.length, 20, area.height * 0.2)
    return [...first(room, rowOf(one, upper)), ...rest.flatMap((index, at) => other(room, rowOf(index, frames[at]!)))]
  },
}
