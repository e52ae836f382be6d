import type { BarMark } from '../marks'
import { drawOnPlane, endOf } from '../plane'
import type { ChartKind } from './kind'

/** Upright bars from a common baseline, one for each group of rows, with their names below and their amounts at their ends. */
export const bar: ChartKind = {
  name: 'bar',
  label: 'Bars',
  part: 'bar',
  options: [],
  draw: (spec, table, room) =>
    drawOnPlane(
      spec,
      table,
      room,
      { of: 'Bar chart', parts: 'bars', beyond: 0 },
      ({ rows }, { up, across, band, baseline }, isHighlighted) => {
        const marks = rows.map(({ key, value }, part): BarMark => {
          const end = value === null ? baseline : up(value)
          const place = { x: across(part), width: band, y: Math.min(end, baseline), height: Math.abs(end - baseline) }
          return { shape: 'bar', key, part, value, highlighted: isHighlighted(key), negative: (value ?? 0) < 0, ...place }
        })
        return { marks, ends: marks.map(mark => endOf(mark, mark.negative)), taken: marks }
      },
    ),
}
