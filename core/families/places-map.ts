import { headTitle, itemsPlace, picturePlace, type LayoutFamily } from './family'
import { rows } from './geometry'
import { cell, numberDisc, rowHeight } from './parts'

/** A map or plan, and beside it the places by number. */
export const placesMap: LayoutFamily = {
  name: 'places-map',
  label: 'Map with numbered places',
  senses: ['places'],
  finds: 'map plan where locations directions way sites route stops',
  content: 'items',
  split: 'lead',
  best: [2, 6],
  entrance: { effect: 'fade' },
  places: room => {
    const { size, theme } = room
    const half = size.width * 0.5
    const wide = size.width - half - theme.margin - 72
    const head = headTitle(room, wide)
    const y = head.box.y + head.box.height + size.height * 0.037
    return [
      { ...head, box: { ...head.box, x: half + 72 } },
      picturePlace('picture', 'Map', { x: 0, y: 0, width: half, height: size.height }, 'Drop a map or plan here'),
      itemsPlace({ x: half + 72, y, width: wide, height: size.height - y - theme.margin }),
    ]
  },
  arrange: (items, area, room) =>
    rows(area, items.length, 18, rowHeight(items, area.height * 0.26)).flatMap((frame, index) => {
      const disc = Math.min(76, frame.height)
      return [
        ...numberDisc(room, index + 1, frame.x + disc / 2, frame.y + frame.height / 2, disc, 'accent1'),
        ...cell(
          room,
          index + 1,
          items[index]!,
          { ...frame, x: frame.x + disc + 28, width: frame.width - disc - 28 },
          `Place ${index + 1}`,
          { share: 0.46, textScale: 0.75 },
        ),
      ]
    }),
}
