import { inked } from './colors'
import { headTitle, itemsPlace, slot, textPlace, type LayoutFamily } from './family'
import { columns, splitDown } from './geometry'
import { cell } from './parts'

/** One number that fills the slide, and what it counts. */
export const numberSingle: LayoutFamily = {
  name: 'number-single',
  label: 'One big number',
  senses: ['number'],
  finds: 'figure statistic big number key fact count',
  content: 'items',
  split: 'number',
  whole: 'text',
  best: [1, 1],
  entrance: { effect: 'count-up' },
  places: room => [
    headTitle(room),
    itemsPlace({
      x: room.theme.margin,
      y: room.size.height * 0.26,
      width: room.size.width - 2 * room.theme.margin,
      height: room.size.height * 0.74 - room.theme.margin,
    }),
  ],
  arrange: (items, area, room) =>
    columns(area, items.length, 80).flatMap((frame, index) => {
      const item = items[index]!
      const path = index + 1
      if (item.lead === undefined || item.text === undefined)
        return cell(room, path, item, frame, `Figure ${path}`, { lead: 'number', leadColor: inked(room, 'accent3') })
      const [upper, lower] = splitDown(frame, frame.height * 0.6, 16)
      const size = Math.min(340, upper.height * 0.84, frame.width / 3.6)
      return [
        textPlace(slot(path, 'lead'), `Figure ${path}`, 'number', upper, {
          vertical: 'bottom',
          match: 'lead',
          size: Math.round(Math.max(60, size)),
          color: inked(room, 'accent3'),
        }),
        textPlace(slot(path, 'text'), `Figure ${path}, words`, 'subtitle', lower, { vertical: 'top', match: 'text' }),
      ]
    }),
}
