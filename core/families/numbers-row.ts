import { accentAt, faint, inked } from './colors'
import { shapePlace, slot, titleAndItems, type LayoutFamily } from './family'
import { columns } from './geometry'
import { cell } from './parts'

/** Numbers side by side, each over what it counts. */
export const numbersRow: LayoutFamily = {
  name: 'numbers-row',
  label: 'Numbers in a row',
  senses: ['number', 'shares'],
  finds: 'figures statistics key facts totals year in numbers results',
  content: 'items',
  split: 'number',
  whole: 'text',
  best: [2, 4],
  entrance: { effect: 'rise' },
  places: titleAndItems,
  arrange: (items, area, room) => {
    const frames = columns({ ...area, y: area.y + area.height * 0.12, height: area.height * 0.7 }, items.length, 64, area.width * 0.5)
    return frames.flatMap((frame, index) => [
      ...(index
        ? [
            shapePlace(
              slot(index + 1, 'rule'),
              `Rule ${index + 1}`,
              'rectangle',
              { x: (frames[index - 1]!.x + frames[index - 1]!.width + frame.x) / 2 - 1.5, y: frame.y, width: 3, height: frame.height },
              { fill: faint },
            ),
          ]
        : []),
      ...cell(room, index + 1, items[index]!, frame, `Figure ${index + 1}`, {
        lead: 'number',
        leadColor: inked(room, accentAt(index)),
        share: 0.5,
        textScale: 0.85,
      }),
    ])
  },
}
