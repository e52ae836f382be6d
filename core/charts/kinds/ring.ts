import type { Row } from '../../data'
import { shorten } from '../category-labels'
import type { ChartLabel } from '../drawing'
import { finished } from '../finish'
import type { ArcMark } from '../marks'
import { rowsOf } from '../plane'
import { labelAt, settingOf, type Setting } from '../setting'
import { besideLabels, nameBeside, type BesideWish } from '../side-labels'
import type { Tone } from '../tones'
import { optionOf } from '../../values'
import { showLargest } from '../shape-of-data'
import type { ChartKind } from './kind'

/** Parts beyond this many cannot be told apart. */
const mostParts = 8
/** How far a highlighted part stands out, px at the usual size; how far names stand from the ring. */
const out = 16
const away = 30
/** Degrees that part neighbours. */
const gap = 0.63

/** Where the ring stands, px, and the room for names at each side. */
interface Ring {
  x: number
  y: number
  inner: number
  outer: number
  names: number
}

const middleOf = ({ from, until }: ArcMark) => (((from + until) / 2 - 90) * Math.PI) / 180

/** What a part says beside itself. */
function wordsOf(setting: Setting, row: Row, whole: number): string {
  const says = optionOf<string>(ring, setting.spec.options ?? {}, 'says')
  const value = Math.max(0, row.value ?? 0)
  const share = setting.share(value, whole)
  return `${says === 'share' ? share : says === 'amount' ? setting.words(value) : `${setting.words(value)} · ${share}`}  ${row.label}`
}

function ringIn(setting: Setting, rows: readonly Row[], whole: number): Ring {
  const { room, ratio, width, spec } = setting
  const widest = rows.reduce((wide, row) => Math.max(wide, width(wordsOf(setting, row, whole), 'name')), 0)
  const side = Math.min(room.width * 0.3, widest)
  const outer = Math.max(10, Math.min(room.height / 2 - out * ratio - 4, room.width / 2 - side - (away + out + 24) * ratio))
  const names = Math.max(side, room.width / 2 - outer - (away + out) * ratio - 30)
  return { x: room.width / 2, y: room.height / 2, outer, inner: outer * optionOf<number>(ring, spec.options ?? {}, 'hole'), names }
}

/** The parts, largest first from the top unless an order was asked for; those that are highlighted stand out. */
function arcsOf({ isHighlighted, spec, ratio }: Setting, rows: readonly Row[], whole: number, { x, y, inner, outer }: Ring): ArcMark[] {
  const order = [...rows.keys()]
  if (spec.order === 'data') order.sort((a, b) => (rows[b]!.value ?? 0) - (rows[a]!.value ?? 0) || a - b)
  const lit = rows.filter(row => isHighlighted(row.key)).length
  let turned = 0
  return order.map((part, rank) => {
    const { key, value } = rows[part]!
    const sweep = whole ? (360 * Math.max(0, value ?? 0)) / whole : 0
    const highlighted = isHighlighted(key)
    const shift = highlighted && lit < rows.length ? out * ratio : 0
    const share = rank / Math.max(1, rows.length - 1)
    const tone: Tone = highlighted ? { name: 'highlighted' } : { name: 'step', at: lit ? 0.35 + share * 0.55 : share * 0.9 }
    const open = Math.min(gap, sweep / 3)
    const arc: ArcMark = {
      shape: 'arc',
      key,
      part,
      value,
      highlighted,
      tone,
      x,
      y,
      from: turned + open / 2,
      until: turned + sweep - open / 2,
      inner,
      outer,
    }
    turned += sweep
    const angle = middleOf(arc)
    return { ...arc, x: x + Math.cos(angle) * shift, y: y + Math.sin(angle) * shift }
  })
}

/** Names and shares around the ring, at the side that their part is on, each led to from its own part where it had to move. */
function around(setting: Setting, rows: readonly Row[], arcs: readonly ArcMark[], whole: number, { x, y, outer, names }: Ring) {
  const { ratio, spec, room } = setting
  const sides: Record<'start' | 'end', BesideWish[]> = { start: [], end: [] }
  for (const arc of arcs) {
    const row = rows[arc.part]!
    if (!(row.value && row.value > 0) || spec.labels === 'none' || (spec.labels === 'highlighted' && !arc.highlighted)) continue
    const angle = middleOf(arc)
    const level = y + Math.sin(angle) * (outer + away * ratio * 0.6)
    const wish = {
      key: row.key,
      part: arc.part,
      y: level,
      words: wordsOf(setting, row, whole),
      room: names,
      weighs: row.value,
      highlighted: arc.highlighted,
    }
    sides[Math.cos(angle) >= -1e-9 ? 'start' : 'end'].push(nameBeside(setting, wish))
  }
  return (['start', 'end'] as const).map(at => {
    const way = at === 'start' ? 1 : -1
    const from = x + way * (outer + out * ratio)
    const made = besideLabels(setting, sides[at], { x: from + way * away * ratio, from, at, top: 0, bottom: room.height })
    const led = made.labels.map(({ leader: _, ...label }): ChartLabel => {
      const arc = arcs.find(({ part }) => part === label.part)!
      const angle = middleOf(arc)
      const start = { x: arc.x + Math.cos(angle) * (outer + 4), y: arc.y + Math.sin(angle) * (outer + 4) }
      const end = { x: label.x - way * (label.width / 2 + 6), y: label.y }
      return Math.hypot(end.x - start.x, end.y - start.y) > away * ratio * 1.2 ? { ...label, leader: [start, end] } : label
    })
    return { labels: led, leftOut: made.leftOut }
  })
}

/** The total in the middle, as large as it fits, and what it is of. */
function within(setting: Setting, total: string, { x, y, inner }: Ring): ChartLabel[] {
  const { spec, size, line, width, data } = setting
  if (!optionOf<boolean>(ring, spec.options ?? {}, 'sum') || inner <= size('value')) return []
  const role = (['total', 'lead', 'value'] as const).find(one => width(total, one) < inner * 1.7)
  if (!role) return []
  const name = shorten(data.amount?.name ?? 'rows', inner * 1.5, text => width(text, 'axis'))
  return [
    labelAt(setting, role, total, { x, y: y - line('axis') * 0.5 }, { kind: 'total', key: 'total' }),
    labelAt(setting, 'axis', name, { x, y: y + size(role) * 0.62 }, { kind: 'axis', key: 'total name' }),
  ]
}

/** Parts of a whole about their middle, largest first from the top, names and shares around them and the total within. */
export const ring: ChartKind = {
  name: 'ring',
  label: 'Ring',
  part: 'part',
  shows: ['share'],
  takes: ['across', 'height'],
  options: [
    { kind: 'number', name: 'hole', label: 'Open in the middle', min: 0, max: 0.9, step: 0.01, unit: '', initial: 0.64 },
    {
      kind: 'choice',
      name: 'says',
      label: 'Parts say',
      initial: 'share',
      values: [
        { value: 'share', label: 'their share' },
        { value: 'amount', label: 'their amount' },
        { value: 'both', label: 'both' },
      ],
    },
    { kind: 'boolean', name: 'sum', label: 'Total in the middle', initial: true },
  ],
  suits: ({ categories, series, time, adds, negative }) => {
    if (series > 1) return { score: 0.1, why: 'A ring shows one amount only; the series are added up.' }
    if (negative) return { score: 0.08, why: 'Parts of a whole.', warning: 'A part cannot be less than nothing. Draw bars.' }
    if (!adds) return { score: 0.08, why: 'Parts of a whole.', warning: 'These amounts are not parts of a whole.' }
    if (categories > mostParts)
      return {
        score: 0.12,
        why: 'Parts of a whole.',
        warning: `${categories} parts: the small ones cannot be told apart.`,
        remedy: showLargest(mostParts - 1),
      }
    if (categories < 2) return { score: 0.05, why: 'One part is the whole.' }
    return { score: time ? 0.2 : 0.62, why: `${categories} parts of one whole, with its total.` }
  },
  draw(spec, table, room) {
    const setting = settingOf(spec, table, room)
    const { rows, values } = rowsOf(setting, 'beside')
    const whole = values.reduce((all, value) => all + Math.max(0, value), 0)
    const place = ringIn(setting, rows, whole)
    const arcs = arcsOf(setting, rows, whole, place)
    const sides = around(setting, rows, arcs, whole, place)
    const total = setting.words(values.reduce((sum, value) => sum + value, 0))
    return finished(setting, {
      of: 'Ring chart',
      each: 'parts',
      marks: arcs,
      labels: [...sides.flatMap(({ labels }) => labels), ...within(setting, total, place)],
      names: rows.map(({ label }) => label),
      leftOut: sides.flatMap(({ leftOut }) => leftOut),
    })
  },
}
