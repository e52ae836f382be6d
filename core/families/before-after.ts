import { filled, wash } from './colors'
import { shapePlace, slot, framing, textPlace, titleAndItems, type LayoutFamily } from './family'
import { around, columns, inset, splitDown } from './geometry'
import { cell } from './parts'

/** What was, what is and what will be, with an arrow from each to the next. */
export const beforeAfter: LayoutFamily = {
  name: 'before-after',
  label: 'From this to that',
  senses: ['comparison', 'steps'],
  finds: 'change transition then now future before after old new',
  content: 'items',
  split: 'lead',
  best: [2, 3],
  entrance: { effect: 'rise', options: { from: 'left', way: 60 } },
  places: titleAndItems,
  arrange: (items, area, room) => {
    const frames = columns(area, items.length, 120)
    const size = Math.min(72, items.length > 1 ? (frames[1]!.x - frames[0]!.x - frames[0]!.width) * 0.7 : 72)
    return [
      ...frames
        .slice(1)
        .map((frame, index) =>
          shapePlace(
            framing(`arrow-${index + 1}`),
            'Arrow',
            'triangle',
            around((frames[index]!.x + frames[index]!.width + frame.x) / 2, area.y + area.height / 2, size, size * 0.86),
            { fill: filled(room, 'accent2'), angle: 90 },
          ),
        ),
      ...frames.flatMap((frame, index) => {
        const item = items[index]!
        const path = index + 1
        const last = index === items.length - 1
        const inner = inset(frame, 40, 36)
        const card = shapePlace(slot(path, 'card'), `Card ${path}`, 'rounded', frame, { fill: wash(last ? 'accent3' : 'ink'), radius: 20 })
        if (item.lead === undefined || item.text === undefined) return [card, ...cell(room, path, item, inner, `State ${path}`)]
        const [head, rest] = splitDown(inner, inner.height * 0.22, 20)
        return [
          card,
          textPlace(slot(path, 'lead'), `State ${path}`, 'lead', head, { vertical: 'middle', match: 'lead' }),
          textPlace(slot(path, 'text'), `State ${path}, words`, 'body', rest, { match: 'text' }),
        ]
      }),
    ]
  },
}
