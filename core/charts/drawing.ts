import type { DataTable } from '../data'
import type { ChartSpec, Theme } from '../model'
import type { Measurer } from '../text'

/** A bar, in px from the chart's top left. */
export interface ChartMark {
  key: string
  value: number | null
  x: number
  y: number
  width: number
  height: number
  lit: boolean
  /** Whether it grows downwards from the baseline. */
  negative: boolean
}

/** A label about its middle, in px from the chart's top left. */
export interface ChartLabel {
  kind: 'value' | 'category' | 'axis' | 'total'
  /** Lines of words, top to bottom. */
  lines: readonly string[]
  x: number
  y: number
  width: number
  height: number
  size: number
  weight: number
  /** Degrees clockwise about the middle. */
  angle: number
  /** The mark it belongs to, which it comes and goes with. */
  mark: number | null
}

export interface ChartRule {
  y: number
  from: number
  to: number
  baseline: boolean
}

export interface ChartDrawing {
  marks: ChartMark[]
  labels: ChartLabel[]
  rules: ChartRule[]
  /** In the chart's own number format, computed from the rows shown. */
  total: string
  /** Labels that found no clear place and are left out. */
  leftOut: number
  /** Words for those who do not see it. */
  description: string
}

/** What a chart is drawn in. */
export interface ChartRoom {
  width: number
  height: number
  /** px of deck space. */
  textSize: number
  fonts: Theme['fonts']
  measurer: Measurer
  language: string
}

export type ChartKind = (spec: ChartSpec, table: DataTable, room: ChartRoom) => ChartDrawing
