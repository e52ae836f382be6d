import { picturePlace, slot, titleAndItems, type LayoutFamily } from './family'
import { columns, splitDown } from './geometry'
import { cell } from './parts'

/** Points side by side, each under a picture or sign of its own. */
export const picturePoints: LayoutFamily = {
  name: 'picture-points',
  label: 'Points with signs',
  senses: ['points', 'pictures'],
  finds: 'icons symbols signs features services offers',
  content: 'items',
  split: 'lead',
  best: [2, 5],
  entrance: { effect: 'rise' },
  places: titleAndItems,
  arrange: (items, area, room) =>
    columns(area, items.length, 56, area.width * 0.45).flatMap((frame, index) => {
      const side = Math.min(frame.width * 0.6, frame.height * 0.3)
      const [upper, lower] = splitDown(frame, side, 32)
      return [
        picturePlace(
          slot(index + 1, 'picture'),
          `Sign ${index + 1}`,
          { ...upper, x: upper.x + (upper.width - side) / 2, width: side },
          'Drop a sign here',
          'circle',
        ),
        ...cell(room, index + 1, items[index]!, lower, `Point ${index + 1}`, { align: 'center', share: 0.3, vertical: 'top' }),
      ]
    }),
}
