import { faint, inked } from './colors'
import { shapePlace, slot, textPlace, titleAndItems, type LayoutFamily } from './family'
import { rows, splitAcross } from './geometry'
import { cell, scaled } from './parts'

/** Lead words at the left, what they mean at the right, a rule between the rows. */
export const leadRows: LayoutFamily = {
  name: 'lead-rows',
  label: 'Lead words and lines',
  senses: ['points', 'comparison', 'places'],
  finds: 'definitions terms glossary explained rows lead words',
  content: 'items',
  split: 'lead',
  best: [3, 7],
  entrance: { effect: 'fade' },
  places: titleAndItems,
  arrange: (items, area, room) =>
    rows(area, items.length, 24, area.height * 0.28).flatMap((frame, index) => {
      const item = items[index]!
      const path = index + 1
      const [left, right] = splitAcross(frame, frame.width * 0.3, 48)
      const rule = index
        ? [
            shapePlace(
              slot(path, 'rule'),
              `Rule ${path}`,
              'rectangle',
              { ...frame, y: frame.y - Math.min(13, area.height * 0.02), height: 2 },
              { fill: faint },
            ),
          ]
        : []
      if (item.text === undefined || item.lead === undefined)
        return [...rule, ...cell(room, path, item, frame, `Row ${path}`, { vertical: 'middle' })]
      return [
        ...rule,
        textPlace(slot(path, 'lead'), `Row ${path}`, 'lead', left, { vertical: 'middle', match: 'lead', color: inked(room, 'accent3') }),
        textPlace(slot(path, 'text'), `Row ${path}, words`, 'body', right, {
          vertical: 'middle',
          match: 'text',
          ...scaled(room, 'body', 0.85),
        }),
      ]
    }),
}
