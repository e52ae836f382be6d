import type { LinkMark, PointMark } from '../marks'
import { drawOnPlane, endOf } from '../plane'
import { optionOf } from '../../values'
import { showLargest } from '../shape-of-data'
import type { ChartKind } from './kind'

/** How thick a stem is beside its dot, and the widest that a dot gets beside the room of its row. */
const ofDot = 0.22
const ofBand = 0.9

/** A dot on a stem for each row. */
export const lollipop: ChartKind = {
  name: 'lollipop',
  isMarked: true,
  label: 'Dots on stems',
  followsPlaces: true,
  part: 'dot',
  shows: ['order'],
  takes: ['across', 'height'],
  options: [{ kind: 'number', name: 'size', label: 'Size of dots', min: 4, max: 80, step: 2, unit: 'px', initial: 30 }],
  suits: ({ categories, series, time }) => {
    if (categories > 60)
      return { score: 0.2, why: `${categories} stems.`, warning: `${categories} stems are a fence.`, remedy: showLargest(20) }
    if (series > 1) return { score: 0.15, why: 'What the series come to together, as dots on stems.' }
    return {
      score: time ? 0.3 : categories > 12 ? 0.5 : 0.44,
      why: `${categories} amounts from one base, each by its end: less ink than columns where they are nearly as high.`,
    }
  },
  draw(spec, table, room) {
    const wide = optionOf<number>(lollipop, spec.options ?? {}, 'size') / 2
    return drawOnPlane(
      spec,
      table,
      room,
      ({ ratio }) => ({ of: 'Dot chart', parts: 'dots', beyond: wide * ratio }),
      ({ rows }, plane, isHighlighted, { data, ratio }) => {
        const radius = Math.max(1.5, Math.min(wide * ratio, (plane.band / 2) * ofBand))
        const foot = plane.baseline
        const dots = rows.slice(0, data.categories.length).flatMap(({ key, value }, part): PointMark[] => {
          if (value === null) return []
          const place = { x: plane.across(part) + plane.band / 2, y: plane.up(value) }
          return [{ shape: 'point', key, part, value, highlighted: isHighlighted(key), ...place, radius, foot }]
        })
        const stems = dots.map(({ x, y, radius: _, foot: __, ...dot }): LinkMark => {
          const width = Math.max(1.5, radius * ofDot)
          return { ...dot, shape: 'link', key: `${dot.key} stem`, from: { x, y: foot }, to: { x, y }, width }
        })
        const ends = dots.map(dot => {
          const below = (dot.value ?? 0) < 0
          return { ...endOf(dot, below), y: dot.y + (below ? radius : -radius) }
        })
        const taken = dots.map(({ x, y }) => ({ x: x - radius, y: y - radius, width: 2 * radius, height: 2 * radius }))
        return { marks: [...stems, ...dots], ends, taken }
      },
    )
  },
}
