import type { ChartLabel, ChartRule } from '../drawing'
import { labelAt, type Setting } from '../setting'
import type { Plane } from './scale'

const level = (y: number, from: number, to: number, more: Omit<ChartRule, 'from' | 'to'>): ChartRule => ({
  from: { x: from, y },
  to: { x: to, y },
  ...more,
})

/** As a field that is absent where all is seen. */
export const opacityOf = (seen: number): { opacity?: number } => (seen < 1 ? { opacity: seen } : {})

/** The lines of the axis across the plane, and its baseline. */
export const rulesOf = ({ ticks, up, left, right, baseline, seen }: Plane): ChartRule[] => [
  ...ticks
    .filter(tick => tick !== 0)
    .map(tick => level(up(tick), left, right, { kind: 'grid', key: `axis ${tick}`, ...opacityOf(seen(tick)) })),
  level(baseline, left, right, { kind: 'base', key: 'base' }),
]

/** The numbers of the axis, left of the plane. */
export const axisLabels = ({ ticks, up, left, seen }: Plane, setting: Setting, words: (value: number) => string): ChartLabel[] =>
  ticks.map(tick =>
    labelAt(
      setting,
      'axis',
      words(tick),
      { x: left - setting.size('axis') * 0.6, y: up(tick), at: 'end' },
      { kind: 'axis', key: `axis ${tick}`, ...opacityOf(seen(tick)) },
    ),
  )
