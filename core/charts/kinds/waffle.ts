import type { Row } from '../../data'
import { finished } from '../finish'
import type { CellMark } from '../marks'
import { rowsOf } from '../plane'
import { settingOf, type Setting } from '../setting'
import { besideLabels, nameBeside } from '../side-labels'
import type { Tone } from '../tones'
import { showLargest } from '../shape-of-data'
import type { ChartKind } from './kind'

const across = 10

/**
 * Whole fields for parts of a whole: what is left of each part is given to those that lost most by rounding, so that they come to `fields`
 * (largest remainders; Hamilton 1792).
 */
export function wholeFields(amounts: readonly number[], fields: number): number[] {
  const whole = amounts.reduce((sum, amount) => sum + Math.max(0, amount), 0)
  if (!whole) return amounts.map(() => 0)
  const exact = amounts.map(amount => (Math.max(0, amount) / whole) * fields)
  const made = exact.map(Math.floor)
  let rest = fields - made.reduce((sum, count) => sum + count, 0)
  const order = exact.map((_, at) => at).sort((a, b) => exact[b]! - made[b]! - (exact[a]! - made[a]!) || a - b)
  for (const at of order) {
    if (rest-- <= 0) break
    made[at]!++
  }
  return made
}

/** The fields of one part, from the foot up and line by line, from its `first` on. */
function fieldsOf(
  setting: Setting,
  { key, value }: Row,
  part: number,
  parts: number,
  first: number,
  count: number,
  place: { left: number; top: number; side: number },
): CellMark[] {
  const { isHighlighted, anyHighlighted, ratio } = setting
  const highlighted = isHighlighted(key)
  const at = part / Math.max(1, parts - 1)
  const tone: Tone = highlighted ? { name: 'highlighted' } : { name: 'step', at: anyHighlighted ? 0.4 + at * 0.5 : at * 0.9 }
  const step = place.side / across
  const gap = Math.min(8 * ratio, step * 0.14)
  return Array.from({ length: count }, (_, index): CellMark => {
    const [column, line] = [(first + index) % across, Math.floor((first + index) / across)]
    const [x, y] = [place.left + column * step + gap / 2, place.top + place.side - (line + 1) * step + gap / 2]
    return { shape: 'cell', key: `${key} ${index}`, part, value, highlighted, tone, x, y, width: step - gap, height: step - gap }
  })
}

/** A hundred fields, so many for each part as it has hundredths: shares that are counted. */
export const waffle: ChartKind = {
  name: 'waffle',
  label: 'A hundred fields',
  part: 'part',
  shows: ['share'],
  takes: ['across', 'height'],
  options: [],
  suits: ({ categories, series, adds, negative, time }) => {
    if (series > 1 || time) return { score: 0.06, why: 'Shares of one whole.' }
    if (negative || !adds) return { score: 0.05, why: 'Shares of one whole.', warning: 'These amounts are not parts of a whole.' }
    return {
      score: categories < 2 ? 0.05 : categories <= 5 ? 0.56 : 0.22,
      why: `Shares that can be counted: one field is one hundredth.`,
      ...(categories > 8 ? { warning: `${categories} parts: small ones may get no field.`, remedy: showLargest(5) } : {}),
    }
  },
  draw(spec, table, room) {
    const setting = settingOf(spec, table, room)
    const { isHighlighted, size } = setting
    const { rows, values } = rowsOf(setting, 'beside')
    const whole = values.reduce((sum, value) => sum + Math.max(0, value), 0)
    const counts = wholeFields(
      rows.map(row => row.value ?? 0),
      across * across,
    )
    const wordsOf = (row: Row) => `${setting.share(Math.max(0, row.value ?? 0), whole)}  ${row.label}`
    const widest = rows.reduce((wide, row) => Math.max(wide, setting.width(wordsOf(row), 'name')), 0)
    const names = Math.min(room.width * 0.5, widest + size('name') * 1.4)
    const side = Math.max(10, Math.min(room.height, room.width - names))
    const place = { left: Math.max(0, (room.width - side - names) / 2), top: (room.height - side) / 2, side }
    const firsts = counts.map((_, part) => counts.slice(0, part).reduce((sum, count) => sum + count, 0))
    const wishes = rows.flatMap((row, part) => {
      if (row.value === null || spec.labels === 'none') return []
      const y = place.top + side - ((firsts[part]! + counts[part]! / 2) / across / across) * side
      const wish = {
        key: row.key,
        part,
        y,
        words: wordsOf(row),
        room: names - size('name') * 1.4,
        weighs: row.value,
        highlighted: isHighlighted(row.key),
      }
      return [nameBeside(setting, wish)]
    })
    const end = place.left + side
    const beside = besideLabels(setting, wishes, { x: end + size('name') * 1.2, from: end, at: 'start', top: 0, bottom: room.height })
    return finished(setting, {
      of: 'Chart of a hundred fields',
      each: 'parts',
      marks: rows.flatMap((row, part) => fieldsOf(setting, row, part, rows.length, firsts[part]!, counts[part]!, place)),
      names: rows.map(({ label }) => label),
      ...beside,
    })
  },
}
