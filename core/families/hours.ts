import { faint } from './colors'
import { shapePlace, slot, textPlace, titleAndItems, type LayoutFamily } from './family'
import { rows, splitAcross } from './geometry'
import { cell } from './parts'

/** Days and the hours of each, to be found at a glance and from afar. */
export const hours: LayoutFamily = {
  name: 'hours',
  label: 'Opening hours',
  senses: ['hours', 'events'],
  finds: 'opening hours times days when open closed counter office',
  content: 'items',
  split: 'hours',
  best: [2, 7],
  entrance: { effect: 'fade' },
  places: titleAndItems,
  arrange: (items, area, room) =>
    rows(area, items.length, 0, area.height * 0.3).flatMap((frame, index) => {
      const item = items[index]!
      const path = index + 1
      const inner = { ...frame, height: frame.height - 12 }
      const rule = shapePlace(
        slot(path, 'rule'),
        `Rule ${path}`,
        'rectangle',
        { ...frame, y: frame.y + frame.height - 3, height: 3 },
        { fill: faint },
      )
      if (item.lead === undefined || item.text === undefined) return [rule, ...cell(room, path, item, inner, `Row ${path}`)]
      const [days, times] = splitAcross(inner, inner.width * 0.52, 40)
      return [
        rule,
        textPlace(slot(path, 'lead'), `Days ${path}`, 'body', days, { vertical: 'middle', match: 'lead' }),
        textPlace(slot(path, 'text'), `Hours ${path}`, 'lead', times, { vertical: 'middle', align: 'right', match: 'text' }),
      ]
    }),
}
