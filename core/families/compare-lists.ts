import { accentAt, faint, inked } from './colors'
import { framing, shapePlace, slot, textPlace, titleAndItems, type LayoutFamily } from './family'
import { columns, splitDown } from './geometry'
import { cell, scaled } from './parts'

/** Two or more things side by side, each with its own list, a rule between them. */
export const compareLists: LayoutFamily = {
  name: 'compare-lists',
  label: 'Lists side by side',
  senses: ['comparison', 'points'],
  finds: 'versus for and against pros cons before after two options',
  content: 'items',
  split: 'lead',
  best: [2, 3],
  entrance: { effect: 'fade' },
  places: titleAndItems,
  arrange: (items, area, room) => {
    const frames = columns(area, items.length, 96)
    const rules = frames
      .slice(1)
      .map((frame, index) =>
        shapePlace(
          framing(`rule-${index + 1}`),
          'Rule',
          'rectangle',
          { x: (frames[index]!.x + frames[index]!.width + frame.x) / 2 - 2, y: area.y, width: 4, height: area.height },
          { fill: faint },
        ),
      )
    return [
      ...rules,
      ...frames.flatMap((frame, index) => {
        const item = items[index]!
        const path = index + 1
        const [head, rest] = splitDown(frame, frame.height * 0.18, 24)
        if (item.lead === undefined || item.text === undefined) return cell(room, path, item, frame, `Side ${path}`, { lead: 'heading' })
        return [
          textPlace(slot(path, 'lead'), `Side ${path}`, 'heading', head, {
            vertical: 'middle',
            match: 'lead',
            color: inked(room, accentAt(index * 2)),
            ...scaled(room, 'heading', 0.85),
          }),
          textPlace(slot(path, 'text'), `Side ${path}, words`, 'body', rest, { match: 'text', ...scaled(room, 'body', 0.9) }),
        ]
      }),
    ]
  },
}
