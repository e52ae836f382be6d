import { headTitle, itemsPlace, picturePlace, type LayoutFamily } from './family'
import { rows } from './geometry'
import { cell } from './parts'

/** A portrait at the full height of the slide, and what there is to know of the person. */
export const person: LayoutFamily = {
  name: 'person',
  label: 'One person',
  senses: ['people', 'saying'],
  finds: 'portrait biography profile speaker introduce about one person',
  bare: true,
  content: 'items',
  split: 'lead',
  best: [1, 5],
  entrance: { effect: 'rise', options: { from: 'left', way: 40 } },
  places: room => {
    const { size, theme } = room
    const wide = size.width * 0.36
    const left = wide + 80
    const head = headTitle(room, size.width - left - theme.margin)
    return [
      picturePlace('picture', 'Portrait', { x: 0, y: 0, width: wide, height: size.height }, 'Drop a portrait here'),
      { ...head, box: { ...head.box, x: left, y: theme.margin } },
      itemsPlace({
        x: left,
        y: theme.margin + size.height * 0.16,
        width: size.width - left - theme.margin,
        height: size.height * 0.84 - 2 * theme.margin,
      }),
    ]
  },
  arrange: (items, area, room) =>
    rows(area, items.length, 24, area.height * 0.3).flatMap((frame, index) =>
      cell(room, index + 1, items[index]!, frame, `Fact ${index + 1}`, { share: 0.4, vertical: 'middle' }),
    ),
}
