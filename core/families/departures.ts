import { faint, inked } from './colors'
import { shapePlace, slot, textPlace, titleAndItems, type LayoutFamily } from './family'
import { columns, rows, splitAcross } from './geometry'
import { cell, rowHeight, scaled } from './parts'

/** Times in a column of their own, as on a board: for hours, days and dates with one line each. */
export const departures: LayoutFamily = {
  name: 'departures',
  label: 'Board of times',
  senses: ['events', 'agenda'],
  finds: 'times hours schedule timetable programme departures opening hours board',
  content: 'items',
  split: 'date',
  whole: 'text',
  best: [4, 14],
  entrance: { effect: 'fade' },
  places: titleAndItems,
  arrange: (items, area, room) => {
    const across = items.length > 9 ? 2 : 1
    const frames = columns(area, across, 72).flatMap(column =>
      rows(column, Math.ceil(items.length / across), 8, rowHeight(items, area.height * 0.16)),
    )
    return items.flatMap((item, index) => {
      const path = index + 1
      const [left, right] = splitAcross(frames[index]!, frames[index]!.width * 0.24, 36)
      const rule = shapePlace(
        slot(path, 'rule'),
        `Rule ${path}`,
        'rectangle',
        { ...frames[index]!, y: frames[index]!.y + frames[index]!.height, height: 2 },
        { fill: faint },
      )
      if (item.lead === undefined || item.text === undefined) return [rule, ...cell(room, path, item, frames[index]!, `Row ${path}`)]
      return [
        rule,
        textPlace(slot(path, 'lead'), `Time ${path}`, 'lead', left, { vertical: 'middle', match: 'lead', color: inked(room, 'accent3') }),
        textPlace(slot(path, 'text'), `Row ${path}`, 'body', right, { vertical: 'middle', match: 'text', ...scaled(room, 'body', 0.9) }),
      ]
    })
  },
}
