import { sum } from 'd3-array'
import type { DataTable } from '../../data'
import type { ChartSpec } from '../../model'
import type { ChartDrawing, ChartRoom } from '../drawing'
import { shapeOf, type ChartMark } from '../marks'
import { amountLabels, totalLabel, type AmountAt } from './amounts'
import { axisLabels, rulesOf } from './axis'
import { nameLabels } from './names'
import { describe, numberWords, rowsOf, type ChartRows } from './rows'
import { planeOf, type Plane } from './scale'

export type { AmountAt } from './amounts'
export type { ChartRows } from './rows'
export type { Plane } from './scale'

/** What a kind adds to a plane: its marks, where their amounts stand, and what keeps amounts away beside those that end there. */
export interface OnPlane {
  marks: readonly ChartMark[]
  ends: readonly AmountAt[]
  taken: readonly { x: number; y: number; width: number; height: number }[]
}

/** How a kind that is drawn in a plane is told of, as “Bar chart” of “bars”, and by how many px its marks reach past their amounts. */
export interface PlaneKind {
  of: string
  parts: string
  beyond: number
}

/** Draws a chart with rows across and amounts upwards: `draw` makes the marks of it, and all else is as for any such chart. */
export function drawOnPlane(
  spec: ChartSpec,
  table: DataTable,
  room: ChartRoom,
  kind: PlaneKind,
  draw: (rows: ChartRows, plane: Plane, isHighlighted: (key: string) => boolean) => OnPlane,
): ChartDrawing {
  const rows = rowsOf(spec, table, room.language)
  const words = numberWords(spec, rows.values, room.language)
  const plane = planeOf(spec, rows, room, words, kind.beyond)
  const highlighted = new Set(spec.highlighted)
  const { marks, ends, taken } = draw(rows, plane, key => highlighted.has(key))
  const names = nameLabels(rows, plane, room)
  const amounts = amountLabels(spec, ends, [...taken, ...names.placed.map(({ place }) => place)], rows, plane, room, words)
  const total = words(sum(rows.values))
  return {
    marks,
    labels: [
      ...names.labels,
      ...amounts.labels,
      ...axisLabels(plane, room, words),
      ...(spec.total ? [totalLabel(total, plane, room)] : []),
    ],
    rules: rulesOf(plane, room),
    parts: rows.rows.length,
    names: rows.rows.map(row => row.label),
    total,
    leftOut: amounts.leftOut,
    description: describe(rows, kind.of, kind.parts, words),
  }
}

/** The end of a mark where its amount stands. */
export function endOf(mark: ChartMark, below: boolean): AmountAt {
  const { key, part, value, highlighted } = mark
  return { key, part, value, highlighted, ...shapeOf(mark).anchor(mark), below, aside: 0 }
}
