import { accentAt, filled } from './colors'
import { shapePlace, slot, textPlace, titleAndItems, type LayoutFamily } from './family'
import { columns, inset, splitDown } from './geometry'
import { cell } from './parts'

/** Points as pillars: a coloured head, and what stands on it beneath. */
export const pillars: LayoutFamily = {
  name: 'pillars',
  label: 'Pillars',
  senses: ['points', 'comparison'],
  finds: 'columns heads principles values goals foundations',
  content: 'items',
  split: 'lead',
  best: [3, 5],
  entrance: { effect: 'wipe' },
  places: titleAndItems,
  arrange: (items, area, room) =>
    columns(area, items.length, 28, area.width * 0.46).flatMap((frame, index) => {
      const item = items[index]!
      const path = index + 1
      const [head, rest] = splitDown(frame, item.text === undefined ? frame.height * 0.5 : frame.height * 0.26, 28)
      const foot =
        item.text === undefined
          ? []
          : [
              textPlace(slot(path, 'text'), `Pillar ${path}, words`, 'body', inset(rest, 20, 6), {
                match: 'text',
              }),
            ]
      if (item.lead === undefined) return cell(room, path, item, frame, `Pillar ${path}`)
      return [
        shapePlace(slot(path, 'card'), `Head ${path}`, 'rounded', head, { fill: filled(room, accentAt(index)), radius: 14 }),
        textPlace(slot(path, 'lead'), `Pillar ${path}`, 'lead', inset(head, 22, 12), {
          vertical: 'middle',
          align: 'center',
          match: 'lead',
          color: { role: 'ground' },
        }),
        ...foot,
      ]
    }),
}
