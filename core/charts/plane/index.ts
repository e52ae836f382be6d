import { sum } from 'd3-array'
import type { DataTable } from '../../data'
import type { ChartSpec } from '../../model'
import { describe } from '../describe'
import type { ChartDrawing, ChartLabel, ChartRoom, ChartRule } from '../drawing'
import type { Rectangle } from '../labels'
import { clearOf, levelsOf, levelsOn, markedInWords, noLevels, notesOn, spotsOf, withLevels } from '../markings'
import { shapeOf, type ChartMark } from '../marks'
import { quietly, settingOf, type Setting } from '../setting'
import { amountLabels, totalLabels, type AmountAt } from './amounts'
import { axisLabels, rulesOf } from './axis'
import { nameLabels } from './names'
import { rowsOf, type ChartRows, type Standing } from './rows'
import { planeOf, type Plane, type PlaneWish } from './scale'

export type { AmountAt } from './amounts'
export { rowsOf, type ChartRows } from './rows'
export { totalLabels } from './amounts'
export { nearOf, type Plane } from './scale'
export { ticksOf } from './ticks'

/** What a kind adds to a plane: its marks, where their amounts stand, and what keeps amounts away beside those that end there. */
export interface OnPlane {
  marks: readonly ChartMark[]
  ends: readonly AmountAt[]
  taken: readonly Rectangle[]
  /** Words and lines of its own. */
  labels?: readonly ChartLabel[]
  rules?: readonly ChartRule[]
  /** Its parts by name, where they are not the rows. */
  names?: readonly string[]
  /** What labels of its own that found no place would say. */
  leftOut?: readonly string[]
}

/** How a kind that is drawn in a plane is told of, as “Bar chart” of “bars”, and what it asks of the plane. */
export interface PlaneKind extends PlaneWish {
  of: string
  parts: string
  standing?: Standing
  /** Names of rows of its own after those of the table, each with what they come to. */
  more?: readonly string[]
  /** The amount at which marks are cut, from which the plane begins; 0 for none. */
  cut?: (rows: ChartRows) => number
}

/** Draws a chart with rows across and amounts upwards: `draw` makes the marks of it, and all else is as for any such chart. */
export function drawOnPlane(
  spec: ChartSpec,
  table: DataTable,
  room: ChartRoom,
  kind: PlaneKind | ((setting: Setting) => PlaneKind),
  draw: (rows: ChartRows, plane: Plane, isHighlighted: (key: string) => boolean, setting: Setting) => OnPlane,
): ChartDrawing {
  const setting = settingOf(spec, table, room)
  const wish = typeof kind === 'function' ? kind(setting) : kind
  const whole = rowsOf(setting, wish.standing ?? 'beside', wish.more)
  const cut = wish.cut?.(whole) ?? 0
  const rows = withLevels(cut > 0 ? { ...whole, least: cut } : whole, levelsOf(setting))
  const plane = planeOf(setting, rows, wish)
  const { marks: drawn, ends, taken, ...own } = draw(rows, plane, setting.isHighlighted, setting)
  const marks = quietly(drawn, setting)
  const names = nameLabels(rows, plane, setting)
  const amounts = amountLabels(setting, ends, [...taken, ...names.placed.map(({ place }) => place)], rows, plane)
  const total = setting.words(sum(rows.values))
  const isShare = wish.standing === 'share'
  // Names belong to the rows: where parts are series, they stand by themselves.
  const nameOf = (label: ChartLabel): ChartLabel => (own.names ? { ...label, part: null } : label)
  const said = [...names.labels.map(nameOf), ...amounts.labels, ...(own.labels ?? [])]
  const levels = isShare ? noLevels : levelsOn(setting, { left: plane.left, right: plane.right, along: plane.up }, { marks, labels: said })
  const spots = isShare
    ? []
    : spotsOf(setting, (value, at) => ({ x: plane.across(at) + plane.band / 2, y: plane.up(value) }), wish.standing)
  const notes = notesOn(setting, spots, { marks, labels: [...said, ...levels.labels] }, !own.names)
  return {
    marks: [...levels.marks, ...marks],
    labels: [
      ...said,
      ...axisLabels(plane, setting, wish.words ?? setting.among(plane.ticks)),
      ...(spec.total ? totalLabels(total, setting) : []),
      ...levels.labels,
      ...notes.labels,
    ],
    rules: [...rulesOf(plane), ...(own.rules ?? []), ...levels.rules.flatMap(rule => clearOf(rule, notes.labels))],
    parts: (own.names ?? rows.rows).length,
    names: own.names ?? rows.rows.map(row => row.label),
    total,
    leftOut: [...names.leftOut, ...amounts.leftOut, ...(own.leftOut ?? []), ...notes.leftOut],
    description: [describe(setting, wish.of, wish.parts), ...markedInWords(setting)].join(' '),
    write: setting.words,
  }
}

/** The end of a mark where its amount stands. */
export function endOf(mark: ChartMark, below: boolean): AmountAt {
  const { key, part, value, highlighted } = mark
  return { key, part, value, highlighted, ...shapeOf(mark).anchor(mark), below, aside: 0 }
}
