import type { Row } from '../../data'
import { describe } from '../describe'
import type { ChartLabel } from '../drawing'
import { finished } from '../finish'
import type { ArcMark, ChartMark, Point } from '../marks'
import { rowsOf } from '../plane'
import { labelAt, settingOf, type Setting } from '../setting'
import type { Tone } from '../tones'
import { optionOf } from '../../values'
import { shorten } from '../category-labels'
import type { ChartKind } from './kind'

/** Degrees that part neighbours. */
const gap = 0.8
const hole = 0.76

/** Where the half ring stands, px. */
interface Half {
  x: number
  y: number
  inner: number
  outer: number
}

function halfIn({ room, line, size }: Setting, hasTarget: boolean): Half {
  const foot = line('axis') * 1.3
  const outer = Math.max(10, Math.min(room.width / 2 - size('axis') * 2, room.height - foot - size('axis') * (hasTarget ? 1.6 : 0.2)))
  return { x: room.width / 2, y: room.height - foot, outer, inner: outer * hole }
}

/** The parts from the left, those that are told first, and what is left of the whole. */
function arcsOf(rows: readonly Row[], told: ReadonlySet<string>, whole: number, half: Half): ArcMark[] {
  let turned = -90
  const arc = (own: Pick<ArcMark, 'key' | 'part' | 'value' | 'highlighted'> & { tone: Tone }, share: number): ArcMark => {
    const sweep = Math.max(0, Math.min(90 - turned, 180 * share))
    const open = Math.min(gap, sweep / 3)
    const made: ArcMark = { shape: 'arc', ...own, ...half, from: turned + open / 2, until: turned + sweep - open / 2 }
    turned += sweep
    return made
  }
  const order = [...rows.keys()].sort((a, b) => Number(told.has(rows[b]!.key)) - Number(told.has(rows[a]!.key)) || a - b)
  const arcs = order.map((part, rank) => {
    const { key, value } = rows[part]!
    const highlighted = told.has(key)
    const tone: Tone = highlighted ? { name: 'highlighted' } : { name: 'step', at: 0.6 + 0.3 * (rank / Math.max(1, rows.length)) }
    return arc({ key, part, value, highlighted, tone }, Math.max(0, value ?? 0) / whole)
  })
  if (turned < 89.9)
    arcs.push(arc({ key: 'rest', part: Math.max(0, rows.length - 1), value: null, highlighted: false, tone: { name: 'track' } }, 1))
  return arcs
}

/** The target: a bar across the half ring, and its words beside it. */
function targetOf(setting: Setting, target: number, whole: number, { x, y, inner, outer }: Half): { mark: ChartMark; label: ChartLabel } {
  const { ratio, size, words } = setting
  const angle = Math.PI * (1 - target / whole)
  const at = (radius: number) => ({ x: x + Math.cos(angle) * radius, y: y - Math.sin(angle) * radius })
  const [from, to] = [at(inner - 8 * ratio), at(outer + 12 * ratio)]
  const side = { x: Math.sin(angle) * 2.5 * ratio, y: Math.cos(angle) * 2.5 * ratio }
  const corner = (of: Point, way: 1 | -1) => `${of.x + way * side.x} ${of.y + way * side.y}`
  const d = `M${corner(from, 1)}L${corner(to, 1)}L${corner(to, -1)}L${corner(from, -1)}Z`
  const right = to.x >= x
  const place = {
    x: to.x + (right ? 1 : -1) * size('note') * 0.4,
    y: to.y - size('note') * 0.3,
    at: right ? ('start' as const) : ('end' as const),
  }
  return {
    mark: { shape: 'path', key: 'target', part: 0, value: target, highlighted: false, tone: { name: 'second' }, d, middle: to },
    label: labelAt(setting, 'note', `target ${words(target)}`, place, {
      kind: 'note',
      key: 'target',
      tone: { name: 'second' },
      weight: 600,
    }),
  }
}

/** The share as large as its room, the amount under it, and both ends of the scale. */
function wordsWithin(setting: Setting, share: string, name: string, whole: number, { x, y, inner, outer }: Half): ChartLabel[] {
  const { size, line, width, words } = setting
  const large = Math.min(outer * 0.4, (size('total') * inner * 1.3) / Math.max(1, width(share, 'total')))
  const middle = y - inner * 0.36
  const band = (outer + inner) / 2
  const end = (key: string, text: string, at: number) =>
    labelAt(setting, 'axis', text, { x: at, y: y + line('axis') * 0.7 }, { kind: 'axis', key })
  const short = shorten(name, inner * 1.7, text => width(text, 'name'))
  return [
    labelAt(setting, 'total', share, { x, y: middle }, { kind: 'total', key: 'share', tone: { name: 'highlighted' }, size: large }),
    labelAt(setting, 'name', short, { x, y: middle + large * 0.5 + line('name') * 0.5 }, { kind: 'value', key: 'amount' }),
    end('axis 0', setting.among([0])(0), x - band),
    end('axis whole', words(whole), x + band),
  ]
}

/** One amount on its way to a whole: half a ring, as far lit as it has come. */
export const halfRing: ChartKind = {
  name: 'half-ring',
  label: 'Half ring',
  part: 'part',
  shows: ['share'],
  takes: ['across', 'height'],
  options: [
    { kind: 'number', name: 'whole', label: 'The whole is (0: the sum of all)', min: 0, max: 1e12, step: 1, unit: '', initial: 0 },
    { kind: 'number', name: 'target', label: 'Target (0: none)', min: 0, max: 1e12, step: 1, unit: '', initial: 0 },
  ],
  suits: ({ categories, series, negative }) => {
    if (series > 1 || categories > 6) return { score: 0.05, why: 'One amount on its way to a whole.' }
    if (negative) return { score: 0.03, why: 'One amount on its way to a whole.', warning: 'A way to a whole cannot go below nothing.' }
    return { score: categories <= 2 ? 0.62 : 0.3, why: 'One amount, and how far it is from the whole.' }
  },
  draw(spec, table, room) {
    const setting = settingOf(spec, table, room)
    const { isHighlighted, words, data } = setting
    const { rows, values } = rowsOf(setting, 'beside')
    const options = spec.options ?? {}
    const sum = values.reduce((all, value) => all + Math.max(0, value), 0)
    const own = rows.length === 1 && data.amount?.kind === 'percent' ? 1 : sum
    const whole = Math.max(optionOf<number>(halfRing, options, 'whole') || own, 1e-9)
    const target = optionOf<number>(halfRing, options, 'target')
    const hasTarget = target > 0 && target <= whole
    // Told is what is highlighted, else the first.
    const chosen = rows.filter(row => isHighlighted(row.key))
    const told = chosen.length ? chosen : rows.slice(0, 1)
    const amount = told.reduce((all, { value }) => all + Math.max(0, value ?? 0), 0)
    const half = halfIn(setting, hasTarget)
    const share = setting.share(amount, whole)
    const mark = hasTarget ? targetOf(setting, target, whole, half) : null
    const name = told.length === 1 ? `${words(amount)} ${told[0]!.label}` : words(amount)
    return finished(setting, {
      of: 'Half ring',
      each: 'parts',
      marks: [...arcsOf(rows, new Set(told.map(({ key }) => key)), whole, half), ...(mark ? [mark.mark] : [])],
      labels: [...wordsWithin(setting, share, name, whole, half), ...(mark ? [mark.label] : [])],
      names: rows.map(({ label }) => label),
      description: `${describe(setting, 'Half ring', 'parts')} ${share} of ${words(whole)}.`,
    })
  },
}
