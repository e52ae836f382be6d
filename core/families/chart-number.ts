import { below, headTitle, itemsPlace, type LayoutFamily } from './family'
import { columns, rows, splitAcross } from './geometry'
import { inked } from './colors'
import { cell } from './parts'

/** A chart with the figures that matter most set large beside it. */
export const chartNumber: LayoutFamily = {
  name: 'chart-number',
  label: 'Chart with key figures',
  senses: ['figures', 'number'],
  finds: 'graph data key figures totals big number beside',
  content: 'items',
  split: 'number',
  whole: 'text',
  best: [1, 3],
  places: room => {
    const [left, right] = splitAcross(below(room), below(room).width * 0.64, 64)
    return [
      headTitle(room),
      { kind: 'chart', placeholder: 'chart', name: 'Chart', box: { ...left, angle: 0 }, prompt: 'Drop a CSV file here' },
      itemsPlace(right),
    ]
  },
  arrange: (items, area, room) => {
    const frames =
      items.length > 4
        ? columns(area, 2, 40).flatMap(column => rows(column, Math.ceil(items.length / 2), 32))
        : rows(area, items.length, 32)
    return items.flatMap((item, index) =>
      cell(room, index + 1, item, frames[index]!, `Figure ${index + 1}`, {
        lead: 'number',
        leadColor: inked(room, 'accent3'),
        share: 0.56,
      }),
    )
  },
}
