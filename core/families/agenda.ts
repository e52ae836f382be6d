import { inked } from './colors'
import { headTitle, itemsPlace, shapePlace, slot, textPlace, within, type LayoutFamily } from './family'
import { columns, rows, splitAcross } from './geometry'
import { cell } from './parts'

/** What comes, in order, with its number or time. */
export const agenda: LayoutFamily = {
  name: 'agenda',
  label: 'Agenda',
  senses: ['agenda', 'events'],
  finds: 'agenda contents overview programme topics what comes chapters table of contents',
  content: 'items',
  split: 'date',
  whole: 'text',
  best: [3, 10],
  entrance: { effect: 'fade' },
  places: room => {
    const all = within(room)
    const [left, right] = splitAcross(all, all.width * 0.34, 72)
    const head = headTitle(room)
    return [{ ...head, box: { ...left, angle: 0 }, vertical: 'top' }, itemsPlace(right)]
  },
  arrange: (items, area, room) => {
    const across = items.length > 10 ? 2 : 1
    const frames = columns(area, across, 56).flatMap(column => rows(column, Math.ceil(items.length / across), 14, area.height * 0.24))
    return items.flatMap((item, index) => {
      const path = index + 1
      const frame = frames[index]!
      const [left, right] = splitAcross(frame, Math.min(frame.width * 0.24, 240), 28)
      const rule = shapePlace(slot(path, 'rule'), `Rule ${path}`, 'rectangle', { ...frame, height: 3 }, { fill: { role: 'accent2' } })
      const down = (part: typeof frame) => ({ ...part, y: part.y + 6, height: part.height - 6 })
      const count = { vertical: 'middle' as const, match: 'lead', color: inked(room, 'accent3') }
      return [
        rule,
        item.lead === undefined
          ? textPlace(slot(path, 'count'), `Number ${path}`, 'lead', down(left), { ...count, field: 'item-number' })
          : textPlace(slot(path, 'lead'), `Time ${path}`, 'lead', down(left), count),
        ...cell(room, path, { text: item.text, under: [] }, down(right), `Topic ${path}`, { textScale: 0.9, vertical: 'middle' }),
      ]
    })
  },
}
