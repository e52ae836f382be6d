import { headTitle, itemsPlace, picturePlace, slot, textPlace, within, type LayoutFamily } from './family'
import { inked } from './colors'
import { rows, splitAcross, splitDown } from './geometry'
import { initialsIn } from './initials'
import { cell } from './parts'

/** What someone said beside their portrait. */
export const quotePortrait: LayoutFamily = {
  name: 'quote-portrait',
  label: 'Saying with a portrait',
  senses: ['saying', 'people'],
  finds: 'quote quotation testimonial voice said portrait photo person',
  content: 'items',
  split: 'saying',
  best: [1, 2],
  closesTo: 'quote',
  entrance: { effect: 'fade' },
  places: room => {
    const [head, rest] = splitDown(within(room), room.size.height * 0.07, 36)
    return [{ ...headTitle(room), style: 'small', box: { ...head, angle: 0 } }, itemsPlace(rest)]
  },
  arrange: (items, area, room) =>
    rows(area, items.length, 48).flatMap((frame, index) => {
      const item = items[index]!
      const path = index + 1
      const [left, right] = splitAcross(frame, Math.min(frame.height, frame.width * 0.34), 72)
      const side = Math.min(left.width, left.height)
      const portrait = picturePlace(
        slot(path, 'picture'),
        `Portrait ${path}`,
        { x: left.x, y: left.y + (left.height - side) / 2, width: side, height: side },
        'Drop a portrait here',
        'circle',
        initialsIn(room, item.lead === undefined ? undefined : item.text, index),
      )
      if (item.lead === undefined || item.text === undefined)
        return [portrait, ...cell(room, path, item, right, `Saying ${path}`, { lead: 'quote' })]
      const [upper, lower] = splitDown(right, right.height * 0.68, 28)
      return [
        portrait,
        textPlace(slot(path, 'lead'), `Saying ${path}`, 'quote', upper, { vertical: 'bottom', match: 'lead' }),
        textPlace(slot(path, 'text'), `Who said it ${path}`, 'body', lower, { match: 'text', color: inked(room, 'accent3') }),
      ]
    }),
}
