import { accentAt, filled } from './colors'
import { shapePlace, slot, titleAndItems, type LayoutFamily } from './family'
import { columns } from './geometry'
import { cell } from './parts'
import { sharesOf } from './shares'

/** Parts of a whole as one bar, cut in proportion; what each is stands beneath it in the same order and colour. */
export const shareBar: LayoutFamily = {
  name: 'share-bar',
  label: 'One bar, in parts',
  senses: ['shares'],
  finds: 'percent proportion split breakdown budget parts of a whole stacked',
  content: 'items',
  split: 'number',
  whole: 'text',
  best: [2, 5],
  trueTo: 'amounts',
  entrance: { effect: 'wipe' },
  places: titleAndItems,
  arrange: (items, area, room) => {
    const bar = { ...area, height: area.height * 0.3 }
    let x = bar.x
    const cuts = sharesOf(items).map(share => {
      const frame = { ...bar, x, width: Math.max(0, share * bar.width - 4) }
      x += share * bar.width
      return frame
    })
    return columns({ ...area, y: area.y + area.height * 0.38, height: area.height * 0.62 }, items.length, 32, area.width * 0.4).flatMap(
      (frame, index) => {
        const fill = filled(room, accentAt(index))
        return [
          shapePlace(slot(index + 1, 'part'), `Part ${index + 1}`, 'rectangle', cuts[index]!, { fill }),
          shapePlace(slot(index + 1, 'key'), `Key ${index + 1}`, 'rectangle', { ...frame, height: 10 }, { fill }),
          ...cell(room, index + 1, items[index]!, { ...frame, y: frame.y + 28, height: frame.height - 28 }, `Part ${index + 1}, name`, {
            lead: 'number',
            share: 0.42,
            vertical: 'top',
          }),
        ]
      },
    )
  },
}
