import type { Theme } from '../model'
import type { Measurer } from '../text'
import type { ChartMark } from './marks'

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
  /** The part that it belongs to, which it comes and goes with; null for what stands by itself. */
  part: number | null
}

export interface ChartRule {
  y: number
  from: number
  to: number
  baseline: boolean
}

export interface ChartDrawing {
  marks: readonly ChartMark[]
  labels: readonly ChartLabel[]
  rules: readonly ChartRule[]
  /** How many parts it has that can come one after the other. */
  parts: number
  /** What each part is called. */
  names: readonly string[]
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
