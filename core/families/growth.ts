import { amountsToScale } from '../phrases'
import { faint, filled } from './colors'
import { framing, shapePlace, slot, textPlace, titleAndItems, type LayoutFamily } from './family'
import { columns } from './geometry'
import { cell } from './parts'

/** A column for each moment, as high as its amount; the last one in its own colour. */
export const growth: LayoutFamily = {
  name: 'growth',
  label: 'Columns over time',
  senses: ['growth', 'figures'],
  finds: 'growth development years trend over time columns bars increase decline',
  content: 'items',
  split: 'date',
  whole: 'text',
  best: [2, 9],
  trueTo: 'growth',
  entrance: { effect: 'rise' },
  places: titleAndItems,
  arrange: (items, area, room) => {
    const values = amountsToScale(items.map(item => item.text))
    const frames = columns(area, items.length, 36, area.width * 0.2)
    if (!values || items.some(item => item.lead === undefined))
      return items.flatMap((item, index) => cell(room, index + 1, item, frames[index]!, `Moment ${index + 1}`, { align: 'center' }))
    const most = Math.max(...values)
    const foot = area.y + area.height * 0.86
    const head = area.y + area.height * 0.16
    return [
      shapePlace(framing('line'), 'Line', 'rectangle', { x: area.x, y: foot, width: area.width, height: 3 }, { fill: faint }),
      ...items.flatMap((item, index) => {
        const path = index + 1
        const frame = frames[index]!
        const height = Math.max(3, ((foot - head) * values[index]!) / most)
        const bar = { ...frame, y: foot - height, height }
        return [
          shapePlace(slot(path, 'part'), `Column ${path}`, 'rectangle', bar, {
            fill: filled(room, index === items.length - 1 ? 'accent2' : 'accent1'),
          }),
          textPlace(
            slot(path, 'text'),
            `Amount ${path}`,
            'lead',
            { ...frame, y: bar.y - area.height * 0.15, height: area.height * 0.14 },
            {
              align: 'center',
              vertical: 'bottom',
              match: 'text',
            },
          ),
          textPlace(
            slot(path, 'lead'),
            `Moment ${path}`,
            'body',
            { ...frame, y: foot + 12, height: area.height * 0.13 },
            {
              align: 'center',
              vertical: 'top',
              match: 'lead',
            },
          ),
        ]
      }),
    ]
  },
}
