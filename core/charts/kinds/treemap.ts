import { hierarchy, treemap as layoutOf, treemapSquarify, type HierarchyRectangularNode } from 'd3-hierarchy'
import type { Row } from '../../data'
import { shorten } from '../category-labels'
import type { ChartLabel } from '../drawing'
import { finished } from '../finish'
import type { CellMark } from '../marks'
import { rowsOf } from '../plane'
import { labelAt, settingOf, type Setting } from '../setting'
import type { Tone } from '../tones'
import { voicesOfSeries } from '../voices'
import type { ChartKind } from './kind'

/** px between fields. */
const between = 4

interface Leaf {
  key: string
  /** The key of its category. */
  row: string
  label: string
  value: number
  group: number
  children?: Leaf[]
}

/** The fields of the rows, of several series those of each together, largest first. */
function packed({ data, room }: Setting, rows: readonly Row[]): HierarchyRectangularNode<Leaf>[] {
  const several = data.series.length > 1
  const groups = data.series.map((one, group): Leaf => {
    const children = rows.map((row, at) => {
      const key = several ? `${row.key} ${one.key}` : row.key
      return { key, row: row.key, label: row.label, value: Math.max(0, data.values[group]![at] ?? 0), group }
    })
    return { key: one.key, row: '', label: one.label, value: 0, group, children }
  })
  const root = hierarchy<Leaf>({ key: '', row: '', label: '', value: 0, group: 0, children: several ? groups : groups[0]!.children! })
    .sum(node => (node.children ? 0 : node.value))
    .sort((a, b) => (b.value ?? 0) - (a.value ?? 0))
  const layout = layoutOf<Leaf>()
    .size([room.width, room.height])
    .tile(treemapSquarify)
    .paddingInner(between)
    .paddingOuter(several ? between : 0)
  return layout(root)
    .leaves()
    .filter(leaf => (leaf.value ?? 0) > 0)
}

function fieldOf(setting: Setting, leaf: HierarchyRectangularNode<Leaf>, part: number, count: number): CellMark {
  const { data, isHighlighted, anyHighlighted, room } = setting
  const { key, row, group } = leaf.data
  const several = data.series.length > 1
  const highlighted = isHighlighted(row) || (several && isHighlighted(data.series[group]!.key))
  const rank = part / Math.max(1, count - 1)
  const step: Tone = { name: 'step', at: (anyHighlighted ? 0.45 : 0.05) + rank * 0.45 }
  const tone: Tone = highlighted
    ? { name: 'highlighted' }
    : several && !anyHighlighted
      ? { name: 'voice', at: voicesOfSeries(setting)[group]! }
      : step
  // Gaps between very many may push the last beyond the edge.
  const [x, y] = [Math.max(0, Math.min(leaf.x0, room.width)), Math.max(0, Math.min(leaf.y0, room.height))]
  const [width, height] = [Math.max(0, Math.min(leaf.x1, room.width) - x), Math.max(0, Math.min(leaf.y1, room.height) - y)]
  return { shape: 'cell', key, part, value: leaf.value ?? 0, highlighted, tone, x, y, width, height }
}

/** The name of a field and, where there is room for more, its amount and share; none where not even its name fits. */
function wordsIn(setting: Setting, { data: { label } }: HierarchyRectangularNode<Leaf>, mark: CellMark, whole: number): ChartLabel[] {
  const { size, line, width, words, spec } = setting
  const pad = size('axis') * 0.45
  const wide = mark.width - 2 * pad
  const name = shorten(label, wide, text => width(text, 'name'))
  if (name.length < Math.min(4, label.length) || mark.height < line('name') + pad) return []
  const look = { part: mark.part, tone: { on: mark.tone! } }
  const [x, y] = [mark.x + pad, mark.y + pad]
  const first = labelAt(
    setting,
    'name',
    name,
    { x, y: y + line('name') / 2, at: 'start' },
    { ...look, key: `name ${mark.key}`, weight: 600 },
  )
  const amount = words(mark.value)
  const said = [`${amount} · ${setting.share(mark.value ?? 0, whole)}`, amount].find(text => width(text, 'value') < wide)
  if (spec.labels === 'none' || !said || mark.height <= line('name') + line('value') + pad) return [first]
  const place = { x, y: y + line('name') + line('value') / 2, at: 'start' as const }
  return [first, labelAt(setting, 'value', said, place, { ...look, kind: 'value', key: `value ${mark.key}`, weight: 500 })]
}

/** Areas as large as their amounts, packed into one rectangle; of several series, those of each together. */
export const treemap: ChartKind = {
  name: 'treemap',
  label: 'Treemap',
  part: 'field',
  shows: ['share'],
  takes: ['across', 'height', 'series'],
  options: [],
  suits: ({ categories, series, adds, negative, time }) => {
    if (negative) return { score: 0.05, why: 'Areas.', warning: 'An area cannot be less than nothing. Draw bars.' }
    if (!adds) return { score: 0.05, why: 'Areas.', warning: 'These amounts are not parts of a whole.' }
    if (time) return { score: 0.1, why: 'Parts of a whole; time is read better from left to right.' }
    return { score: categories * series > 8 ? 0.58 : 0.3, why: `${categories * series} parts of a whole by area, the largest first.` }
  },
  draw(spec, table, room) {
    const setting = settingOf(spec, table, room)
    const { rows, values } = rowsOf(setting, 'beside')
    const leaves = packed(setting, rows)
    const whole = values.reduce((sum, value) => sum + Math.max(0, value), 0)
    const marks = leaves.map((leaf, part) => fieldOf(setting, leaf, part, leaves.length))
    const labels = leaves.map((leaf, part) => wordsIn(setting, leaf, marks[part]!, whole))
    return finished(setting, {
      of: 'Treemap',
      each: 'fields',
      marks,
      labels: labels.flat(),
      names: leaves.map(({ data: { label } }) => label),
      leftOut: leaves.flatMap(({ data: { label } }, part) => (labels[part]!.length ? [] : label)),
    })
  },
}
