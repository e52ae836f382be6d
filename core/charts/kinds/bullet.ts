import { isAim } from '../aims'
import { describe } from '../describe'
import type { ChartLabel } from '../drawing'
import { amountsAlong, finished, linesAlong } from '../finish'
import type { BarMark, ChartMark } from '../marks'
import { rowsOf, ticksOf } from '../plane'
import { lyingPlane, type LyingPlane } from '../plane/lying'
import { labelAt, settingOf, type Setting } from '../setting'
import type { Tone } from '../tones'
import { optionOf } from '../../values'
import type { ChartKind } from './kind'

/** How thick the bar of an amount is in its band, and how far a target stands out of that. */
const thick = 0.6
const stands = 0.84

/** What a row has, and what it is to come to. */
interface Aim {
  value: number | null
  target: number | null
}

/** The second series is the target of each row; where there is none, the one that is chosen for all. */
function aimsOf({ data, spec }: Setting): Aim[] {
  const chosen = optionOf<number>(bullet, spec.options ?? {}, 'target')
  return data.categories.map((_, part) => ({
    value: data.values[0]?.[part] ?? null,
    target: data.series.length > 1 ? (data.values[1]![part] ?? null) : chosen || null,
  }))
}

/** The way to the target, the amount on it, and the target as a line across. */
function marksOf(
  { data, isHighlighted, anyHighlighted, ratio }: Setting,
  plane: LyingPlane,
  part: number,
  { value, target }: Aim,
): ChartMark[] {
  const { key } = data.categories[part]!
  const highlighted = isHighlighted(key)
  const middle = plane.down(part) + plane.band / 2
  const bar = (of: string, amount: number, height: number, tone: Tone): BarMark => {
    const end = plane.along(amount)
    return {
      shape: 'bar',
      key: of ? `${key} ${of}` : key,
      part,
      value: of ? null : amount,
      highlighted: of ? false : highlighted,
      lying: true,
      negative: amount < 0,
      x: Math.min(end, plane.base),
      width: Math.abs(end - plane.base),
      y: middle - height / 2,
      height,
      tone,
    }
  }
  const line = (amount: number): ChartMark => {
    const [x, half] = [plane.along(amount), (plane.band * stands) / 2]
    const points = [
      { x, y: middle - half },
      { x, y: middle + half },
    ]
    const width = Math.max(2, 5 * ratio)
    return {
      shape: 'line',
      key: `${key} target`,
      part,
      value: null,
      highlighted: false,
      tone: { name: 'second' },
      points,
      width,
      foot: middle,
    }
  }
  const own: Tone = highlighted
    ? { name: 'highlighted' }
    : (value ?? 0) < 0
      ? { name: 'loss' }
      : { name: anyHighlighted ? 'quiet' : 'plain' }
  return [
    ...(target === null ? [] : [bar('way', target, plane.band * thick, { name: 'track' })]),
    ...(value === null ? [] : [bar('', value, plane.band * thick, own)]),
    ...(target === null ? [] : [line(target)]),
  ]
}

/** What a row has come to: the amount, and its share of the target. */
const saidOf = ({ words, share }: Setting, { value, target }: Aim) =>
  value === null ? '' : target !== null && target > 0 && value >= 0 ? `${words(value)} · ${share(value, target)}` : words(value)

/** The words beside a row, outside of all that is drawn in it; null where it says nothing, undefined where there is no room to. */
function labelOf(setting: Setting, plane: LyingPlane, part: number, aim: Aim): ChartLabel | null | undefined {
  const { data, isHighlighted, size, spec } = setting
  const { key } = data.categories[part]!
  const highlighted = isHighlighted(key)
  const text = saidOf(setting, aim)
  if (!text || spec.labels === 'none' || (spec.labels === 'highlighted' && !highlighted)) return null
  if (plane.band < size('value') * 0.8 && !highlighted && !setting.isMoved(`value ${key}`)) return undefined
  const ends = [aim.value, aim.target].map(amount => plane.along(amount ?? 0))
  const falls = (aim.value ?? 0) < 0
  const x = falls ? Math.min(...ends, plane.base) - size('value') * 0.5 : Math.max(...ends, plane.base) + size('value') * 0.5
  const place = { x, y: plane.down(part) + plane.band / 2, at: falls ? ('end' as const) : ('start' as const) }
  const look = { weight: highlighted ? 700 : 600, ...(highlighted ? { tone: { name: 'highlighted' as const } } : {}) }
  return labelAt(setting, 'value', text, place, { kind: 'value', part, key: `value ${key}`, ...look })
}

/** Amounts on their way to targets: a bar on a track, and a line across where it is to come to. */
export const bullet: ChartKind = {
  name: 'bullet',
  label: 'Bars to a target',
  part: 'row',
  shows: ['share', 'order'],
  takes: ['across', 'height', 'series'],
  options: [{ kind: 'number', name: 'target', label: 'Target of all (0: none)', min: 0, max: 1e12, step: 1, unit: '', initial: 0 }],
  suits: ({ data, categories, series, time, negative }) => {
    if (series < 2) return { score: 0.12, why: 'Bars with one target for all of them.' }
    // Two columns may be an amount and its target; two of a kind are none of each other.
    if (series > 2 || data.seriesName) return { score: 0.04, why: 'Of the first, with the second as its target.' }
    const [first, second] = data.series
    const why = `“${first!.label}” on the way to “${second!.label}”, ${categories} times.`
    if (negative) return { score: 0.1, why, warning: 'What is below nothing is on no way to a target.' }
    return { score: isAim(second!.label) ? 0.93 : time && categories > 4 ? 0.2 : 0.4, why }
  },
  draw(spec, table, room) {
    const setting = settingOf(spec, table, room)
    const { size, words } = setting
    const rows = rowsOf(setting, 'beside')
    const aims = aimsOf(setting)
    const amounts = aims.flatMap(({ value, target }) => [value ?? 0, target ?? 0])
    const [least, most] = [Math.min(0, ...amounts), Math.max(0, ...amounts)]
    const ticks = ticksOf([least, most || 1])
    const said = aims.map(aim => saidOf(setting, aim))
    const wide = (falls: boolean) =>
      said.reduce(
        (widest, text, part) => ((aims[part]!.value ?? 0) < 0 === falls ? Math.max(widest, setting.width(text, 'value')) : widest),
        0,
      )
    const plane = lyingPlane(setting, rows, {
      ahead: wide(false) + size('value') * 0.8,
      behind: least < 0 ? wide(true) + size('value') * 0.8 : 4,
      foot: setting.line('axis') * 1.3,
      thickest: 96,
      domain: [Math.min(least, ticks[0]!), Math.max(most, ticks.at(-1)!)],
    })
    const labels = aims.map((aim, part) => labelOf(setting, plane, part, aim))
    const come = aims.filter(({ value, target }) => value !== null && target !== null && value >= target)
    const aimed = aims.filter(({ target }) => target !== null)
    const one = setting.data.series.length > 1 || !aimed.length ? '' : ` The target is ${words(aimed[0]!.target!)}.`
    const met = aimed.length ? ` ${come.length} of ${aimed.length} have come to their target.` : ''
    return finished(setting, {
      of: 'Bars to a target',
      each: 'rows',
      marks: aims.flatMap((aim, part) => marksOf(setting, plane, part, aim)),
      labels: [...plane.names, ...labels.filter(label => !!label), ...amountsAlong(setting, ticks, plane.along)],
      rules: linesAlong(ticks, plane.along, plane.top, plane.bottom),
      names: rows.rows.map(({ label }) => label),
      leftOut: [...plane.leftOut, ...said.filter((_, part) => labels[part] === undefined)],
      description: `${describe(setting, 'Bars to a target', 'rows')}${one}${met}`,
    })
  },
}
