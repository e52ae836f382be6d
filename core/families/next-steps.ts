import { filled, wash } from './colors'
import { shapePlace, slot, titleAndItems, type LayoutFamily } from './family'
import { inset, rows } from './geometry'
import { cell, numberDisc, rowHeight } from './parts'

/** What is to be done next, each on a band with its number. */
export const nextSteps: LayoutFamily = {
  name: 'next-steps',
  label: 'What is next',
  senses: ['next', 'steps'],
  finds: 'next steps to do actions tasks who does what by when call to action',
  content: 'items',
  split: 'lead',
  best: [2, 5],
  entrance: { effect: 'rise', options: { from: 'left', way: 60 } },
  places: titleAndItems,
  arrange: (items, area, room) =>
    rows(area, items.length, 20, rowHeight(items, area.height * 0.26)).flatMap((frame, index) => {
      const disc = Math.min(72, frame.height * 0.7)
      return [
        shapePlace(slot(index + 1, 'band'), `Band ${index + 1}`, 'rounded', frame, { fill: wash('accent3'), radius: 16 }),
        shapePlace(slot(index + 1, 'edge'), `Edge ${index + 1}`, 'rectangle', { ...frame, width: 10 }, { fill: filled(room, 'accent3') }),
        ...numberDisc(room, index + 1, frame.x + 40 + disc / 2, frame.y + frame.height / 2, disc),
        ...cell(
          room,
          index + 1,
          items[index]!,
          inset({ ...frame, x: frame.x + disc + 60, width: frame.width - disc - 80 }, 20, 12),
          `Step ${index + 1}`,
          { share: 0.46 },
        ),
      ]
    }),
}
