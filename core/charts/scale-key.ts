import type { ChartLabel } from './drawing'
import type { CellMark } from './marks'
import { labelAt, type Setting } from './setting'

const steps = 5

/** What the strength of a field stands for: the least, a few fields from faint to strong, the most; from the left at a level. */
export function scaleKey(
  setting: Setting,
  [least, most]: readonly [number, number],
  x: number,
  y: number,
  part: number,
): { marks: CellMark[]; labels: ChartLabel[] } {
  const side = setting.size('axis') * 0.9
  const gap = setting.size('axis') * 0.5
  const first = labelAt(setting, 'axis', setting.words(least), { x, y, at: 'start' }, { kind: 'axis', key: 'least' })
  const from = x + first.width + gap
  const marks = Array.from({ length: steps }, (_, index): CellMark => ({
    shape: 'cell',
    key: `key ${index}`,
    part,
    value: null,
    highlighted: false,
    tone: { name: 'scale', at: index / (steps - 1) },

    x: from + index * (side + 3),
    y: y - side / 2,
    width: side,
    height: side,
  }))
  const last = labelAt(
    setting,
    'axis',
    setting.words(most),
    { x: from + steps * (side + 3) + gap, y, at: 'start' },
    { kind: 'axis', key: 'most' },
  )
  return { marks, labels: [first, last] }
}
