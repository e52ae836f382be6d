import { accentAt, wash } from './colors'
import { shapePlace, slot, textPlace, titleAndItems, type Frame, type Item, type LayoutFamily, type Place } from './family'
import { grid, inset, splitDown } from './geometry'

function box(items: readonly Item[], prefix: string, area: Frame, level: number): Place[] {
  return grid(area, items.length, level ? 14 : 28, level ? 2.6 : 1.5, level ? area.height * 0.5 : Infinity).flatMap((frame, index) => {
    const item = items[index]!
    const path = `${prefix}${index + 1}`
    const inner = inset(frame, level ? 12 : 24, level ? 8 : 18)
    const [head, rest] = item.under.length
      ? splitDown(inner, Math.max(inner.height * 0.2, Math.min(60, inner.height * 0.4)), 10)
      : [inner, null]
    return [
      shapePlace(slot(path, 'box'), `Box ${path}`, 'rounded', frame, { fill: wash(accentAt(level ? 3 : 2)), radius: level ? 10 : 20 }),
      textPlace(slot(path, 'lead'), `Name ${path}`, level ? 'body' : 'lead', head, {
        vertical: 'middle',
        match: `level-${level}`,
        ...(level ? { size: 34 } : {}),
      }),
      ...(rest ? box(item.under, `${path}-`, rest, level + 1) : []),
    ]
  })
}

/** What belongs to what, as boxes within boxes. */
export const nested: LayoutFamily = {
  name: 'nested',
  label: 'Boxes in boxes',
  senses: ['hierarchy', 'points'],
  finds: 'groups contains belongs areas departments inside clusters',
  content: 'tree',
  split: 'none',
  best: [2, 4],
  entrance: { effect: 'fade' },
  places: titleAndItems,
  arrange: (items, area) => box(items, '', area, 0),
}
