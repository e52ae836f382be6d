import { seriesKey } from '../key'
import type { BarMark } from '../marks'
import { drawOnPlane, endOf } from '../plane'
import { seriesTones } from '../series-tones'
import type { Setting } from '../setting'
import { outOfOrder, showLargest } from '../shape-of-data'
import type { ChartKind } from './kind'

const keyOf = (setting: Setting) => seriesKey(setting, setting.spec.total ? setting.line('lead') * 1.1 : 0)

/** Columns from a common base, one for each group of rows, or side by side one for each series of it. */
export const bar: ChartKind = {
  name: 'bar',
  isMarked: true,
  label: 'Columns',
  part: 'column',
  shows: ['order', 'change'],
  takes: ['across', 'height', 'series'],
  options: [],
  suits: ({ series, categories, time, inOrder }) => {
    if (categories * series > 80)
      return {
        score: 0.25,
        why: `${categories * series} columns.`,
        warning: `${categories * series} columns cannot all be named.`,
        ...(time ? {} : { remedy: showLargest(20) }),
      }
    if (time && !inOrder) return { score: 0.3, why: 'Columns in the order of the table.', ...outOfOrder }
    if (series > 1) return { score: series > 3 ? 0.3 : 0.6, why: `${series} columns side by side in each of ${categories} groups.` }
    return {
      score: categories > 12 && !time ? 0.55 : time ? 0.8 : 0.78,
      why: time ? 'Amounts of each moment, from one base.' : `${categories} amounts compared from one base.`,
    }
  },
  draw: (spec, table, room) =>
    drawOnPlane(
      spec,
      table,
      room,
      setting => ({ of: 'Column chart', parts: 'columns', beyond: 0, head: keyOf(setting).height }),
      ({ rows }, { up, across, band, baseline }, isHighlighted, setting) => {
        const { series, values } = setting.data
        const several = series.length > 1
        const tones = seriesTones(setting, 'voices')
        const wide = band / series.length
        const gap = several ? Math.min(6, wide * 0.12) : 0
        const marks = rows.flatMap(({ key }, part) =>
          series.map((one, index): BarMark => {
            const value = values[index]![part]!
            const end = value === null ? baseline : up(value)
            const place = {
              x: across(part) + index * wide + gap / 2,
              width: wide - gap,
              y: Math.min(end, baseline),
              height: Math.abs(end - baseline),
            }
            const highlighted = isHighlighted(key) || (several && isHighlighted(one.key))
            return {
              shape: 'bar',
              key: several ? `${key} ${one.key}` : key,
              part,
              value,
              highlighted,
              negative: (value ?? 0) < 0,
              ...place,
              ...(several ? { tone: tones[index]! } : {}),
            }
          }),
        )
        return { marks, ends: marks.map(mark => endOf(mark, mark.negative)), taken: marks, labels: keyOf(setting).labels }
      },
    ),
}
