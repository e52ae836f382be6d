import { quantileSorted, ticks } from 'd3-array'
import type { OptionField } from '../../values'
import type { ChartLabel } from '../drawing'
import type { CellMark } from '../marks'
import { labelAt, type Setting } from '../setting'
import type { Tone } from '../tones'

/** How amounts are parted into steps of colour. */
export const classOption: OptionField = {
  kind: 'choice',
  name: 'steps',
  label: 'Steps of colour',
  values: [
    { value: 'round', label: 'round numbers' },
    { value: 'even', label: 'as many places in each' },
  ],
  initial: 'round',
}

/** Steps that a colour is read by: more are not told apart. */
const most = 5

/** Amounts in steps: the breaks between them rise; a step has its break below it, or none. */
export interface Classes {
  breaks: readonly number[]
  /** The colour of an amount. */
  tone(value: number): Tone
  /** The colours of the steps, from the least. */
  tones: readonly Tone[]
}

const among = (values: readonly number[], breaks: readonly number[]) =>
  [...new Set(breaks)].filter(one => one > values[0]! && one <= values.at(-1)!)

/** The breaks between at most five steps: round numbers, or such that as many amounts lie in each. `values` rise. */
function breaksOf(values: readonly number[], how: string): number[] {
  const [least, greatest] = [values[0]!, values.at(-1)!]
  if (least === greatest) return []
  if (how === 'even')
    return among(
      values,
      Array.from({ length: most - 1 }, (_, at) => quantileSorted([...values], (at + 1) / most)!),
    )
  for (let count = most; count > 1; count--) {
    const breaks = among(values, ticks(least, greatest, count))
    if (breaks.length < most) return breaks
  }
  return [(least + greatest) / 2]
}

/** Parts amounts into steps of colour; those below nothing have a colour of their own where there are others above it. */
export function classesOf(amounts: readonly number[], how: string): Classes {
  const values = [...amounts].sort((a, b) => a - b)
  const found = values.length ? breaksOf(values, how) : []
  const twoSided = values.length > 0 && values[0]! < 0 && values.at(-1)! > 0
  const breaks = twoSided ? [...new Set([...found, 0])].sort((a, b) => a - b) : found
  const below = twoSided ? breaks.indexOf(0) + 1 : 0
  const tones = Array.from({ length: breaks.length + 1 }, (_, at): Tone => {
    if (at < below) return { name: 'loss-scale', at: 0.25 + (0.75 * (below - at - 1)) / Math.max(1, below - 1 || 1) }
    const count = breaks.length + 1 - below
    return { name: 'scale', at: count > 1 ? 0.12 + (0.88 * (at - below)) / (count - 1) : 0.7 }
  })
  const at = (value: number) => breaks.filter(one => value >= one).length
  return { breaks, tones, tone: value => tones[at(value)]! }
}

/** What the steps stand for: fields side by side, the numbers between them below; from the left at a level, at most so wide. */
export function classKey(
  setting: Setting,
  { breaks, tones }: Classes,
  place: { x: number; y: number; width: number },
): { marks: CellMark[]; labels: ChartLabel[]; height: number } {
  const { size, line, among: writer } = setting
  if (tones.length < 2) return { marks: [], labels: [], height: 0 }
  const words = writer(breaks)
  const widest = breaks.reduce((wide, one) => Math.max(wide, setting.width(words(one), 'axis')), 0)
  const wide = Math.min(place.width / tones.length, Math.max(size('axis') * 1.6, widest + size('axis') * 0.5))
  const tall = size('axis') * 0.62
  const marks = tones.map((tone, at): CellMark => ({
    shape: 'cell',
    key: `key ${at}`,
    part: 0,
    value: null,
    highlighted: false,
    tone,
    x: place.x + at * wide,
    y: place.y,
    width: wide - 3,
    height: tall,
  }))
  // Where they would touch, every second stays.
  const every = Math.ceil((widest + size('axis') * 0.3) / wide)
  const labels = breaks.flatMap((one, at) =>
    at % every
      ? []
      : [
          labelAt(
            setting,
            'axis',
            words(one),
            { x: place.x + (at + 1) * wide - 1.5, y: place.y + tall + line('axis') * 0.6 },
            { kind: 'axis', key: `break ${at}` },
          ),
        ],
  )
  // The map may go on beneath it.
  const ground: CellMark = {
    shape: 'cell',
    key: 'key ground',
    part: 0,
    value: null,
    highlighted: false,
    tone: { name: 'ground' },
    opacity: 0.86,
    x: place.x,
    y: place.y - size('axis') * 0.3,
    width: wide * tones.length + size('axis') * 0.3,
    height: tall + line('axis') * 1.2 + size('axis') * 0.3,
  }
  return { marks: [ground, ...marks], labels, height: tall + line('axis') * 1.2 }
}

/** px of height that the key of the steps takes. */
export const keyHeight = (setting: Setting) => setting.size('axis') * 0.62 + setting.line('axis') * 1.2
