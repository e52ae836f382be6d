import { inked } from './colors'
import { headTitle, itemsPlace, slot, textPlace, type LayoutFamily } from './family'
import { columns, splitDown } from './geometry'
import { cell } from './parts'

/** What someone said, large, and who it was. */
export const quote: LayoutFamily = {
  name: 'quote',
  label: 'Saying',
  senses: ['saying', 'statement'],
  finds: 'quote quotation testimonial voice said words of',
  content: 'items',
  split: 'saying',
  best: [1, 2],
  entrance: { effect: 'fade' },
  places: room => {
    const { size, theme } = room
    return [
      {
        ...headTitle(room),
        style: 'small',
        box: { x: theme.margin, y: theme.margin * 0.8, width: size.width - 2 * theme.margin, height: size.height * 0.07, angle: 0 },
      },
      itemsPlace({ x: theme.margin, y: size.height * 0.2, width: size.width - 2 * theme.margin, height: size.height * 0.8 - theme.margin }),
    ]
  },
  arrange: (items, area, room) =>
    columns(area, items.length, 96).flatMap((frame, index) => {
      const item = items[index]!
      const path = index + 1
      const inner = { ...frame, x: frame.x + Math.min(60, frame.width * 0.1), width: frame.width - Math.min(60, frame.width * 0.1) }
      const bar = {
        kind: 'shape' as const,
        shape: 'rectangle' as const,
        placeholder: slot(path, 'bar'),
        name: `Bar ${path}`,
        fill: { role: 'accent2' as const },
        box: { x: frame.x, y: frame.y, width: 10, height: frame.height, angle: 0 },
      }
      if (item.lead === undefined || item.text === undefined)
        return [bar, ...cell(room, path, item, inner, `Saying ${path}`, { lead: 'quote', vertical: 'middle' })]
      const [upper, lower] = splitDown(inner, inner.height * 0.7, 32)
      return [
        bar,
        textPlace(slot(path, 'lead'), `Saying ${path}`, 'quote', upper, {
          vertical: 'middle',
          match: 'lead',
          ...(items.length === 1 ? { size: Math.round((room.theme.textStyles.quote?.size ?? 60) * 1.25) } : {}),
        }),
        textPlace(slot(path, 'text'), `Who said it ${path}`, 'body', lower, { match: 'text', color: inked(room, 'accent3') }),
      ]
    }),
}
