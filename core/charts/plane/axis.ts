import type { ChartLabel, ChartRoom, ChartRule } from '../drawing'
import type { Plane } from './scale'

/** The lines of the axis across the plane, and its baseline. */
export const rulesOf = ({ ticks, up, left, baseline }: Plane, { width }: ChartRoom): ChartRule[] => [
  ...ticks.map(tick => ({ y: up(tick), from: left, to: width, baseline: false })),
  { y: baseline, from: left, to: width, baseline: true },
]

/** The numbers of the axis, left of the plane. */
export function axisLabels(
  { ticks, up, left, line, measure }: Plane,
  { textSize }: ChartRoom,
  words: (value: number) => string,
): ChartLabel[] {
  return ticks.map(tick => {
    const width = measure(words(tick))
    const place = { x: left - textSize * 0.6 - width / 2, y: up(tick), width, height: line }
    return { kind: 'axis', lines: [words(tick)], ...place, size: textSize, weight: 500, angle: 0, part: null }
  })
}
