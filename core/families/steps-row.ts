import { filled } from './colors'
import { shapePlace, slot, textPlace, titleAndItems, type LayoutFamily } from './family'
import { columns, inset, splitDown } from './geometry'
import { cell, scaled } from './parts'

/** Steps as a row of pointed bands, each leading to the next. */
export const stepsRow: LayoutFamily = {
  name: 'steps-row',
  label: 'Steps across',
  senses: ['steps', 'events'],
  finds: 'process procedure how to stages phases flow arrows workflow',
  content: 'items',
  split: 'lead',
  best: [3, 5],
  entrance: { effect: 'wipe' },
  places: titleAndItems,
  arrange: (items, area, room) =>
    columns(area, items.length, 12, area.width * 0.46).flatMap((frame, index) => {
      const item = items[index]!
      const path = index + 1
      if (item.lead === undefined) return cell(room, path, item, frame, `Step ${path}`)
      const [head, rest] = splitDown(frame, item.text === undefined ? frame.height * 0.5 : frame.height * 0.34, 28)
      const point = Math.min(head.height * 0.32, head.width * 0.16)
      return [
        shapePlace(slot(path, 'band'), `Band ${path}`, 'chevron', head, { fill: filled(room, index % 2 ? 'accent1' : 'accent3') }),
        textPlace(
          slot(path, 'lead'),
          `Step ${path}`,
          'lead',
          { ...head, x: head.x + point + 12, width: head.width - 2 * point - 20 },
          { vertical: 'middle', align: 'center', match: 'lead', color: { role: 'ground' } },
        ),
        ...(item.text === undefined
          ? []
          : [
              textPlace(slot(path, 'text'), `Step ${path}, words`, 'body', inset(rest, 24, 0), {
                match: 'text',
                ...scaled(room, 'body', 0.8),
              }),
            ]),
      ]
    }),
}
