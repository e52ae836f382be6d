import { accentAt, filled } from './colors'
import { shapePlace, slot, textPlace, headTitle, itemsPlace, type LayoutFamily } from './family'
import { columns, inset, splitDown } from './geometry'
import { cell, scaled } from './parts'

/** The slide parted into full-height fields of colour, one for each side. */
export const halves: LayoutFamily = {
  name: 'halves',
  label: 'Fields of colour',
  senses: ['comparison', 'statement'],
  finds: 'versus before after contrast two sides this or that now then',
  bare: true,
  content: 'items',
  split: 'lead',
  best: [2, 3],
  entrance: { effect: 'wipe' },
  places: room => {
    const { size, theme, frames } = room
    const y = frames ? frames.body.y : theme.margin * 0.8 + size.height * 0.15
    return [headTitle(room), itemsPlace({ x: 0, y, width: size.width, height: size.height - y })]
  },
  arrange: (items, area, room) =>
    columns(area, items.length, 0).flatMap((frame, index) => {
      const item = items[index]!
      const path = index + 1
      const margin = Math.min(room.theme.margin, frame.width * 0.12)
      const inner = inset({ ...frame, height: frame.height - room.theme.margin * 0.4 }, margin, 56)
      const [head, rest] = splitDown(inner, inner.height * 0.26, 20)
      const ground = { role: 'ground' as const }
      const field = shapePlace(slot(path, 'field'), `Field ${path}`, 'rectangle', frame, { fill: filled(room, accentAt(index * 2)) })
      if (item.lead === undefined || item.text === undefined)
        return [field, ...cell(room, path, item, inner, `Side ${path}`, { lead: 'heading', leadColor: ground })]
      return [
        field,
        textPlace(slot(path, 'lead'), `Side ${path}`, 'heading', head, {
          vertical: 'bottom',
          match: 'lead',
          color: ground,
          ...scaled(room, 'heading', 0.85),
        }),
        textPlace(slot(path, 'text'), `Side ${path}, words`, 'body', rest, { match: 'text', color: ground, ...scaled(room, 'body', 0.9) }),
      ]
    }),
}
