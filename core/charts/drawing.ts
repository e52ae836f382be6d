import type { DataTable } from '../data'
import type { Theme } from '../model'
import type { Measurer } from '../text'
import type { ChartMark, Point } from './marks'
import type { RunMoment } from './run-moment'
import type { Tone } from './tones'

/** A label about its middle, in px from the chart's top left. */
export interface ChartLabel {
  kind: 'value' | 'category' | 'axis' | 'total' | 'note'
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
  /** What it says the same of in another drawing of the chart, where it glides from its place there; absent, it rides on its part. */
  key?: string
  /** What it is written in; absent is ink. `on`: in what is read on a mark of that tone. */
  tone?: Tone | { on: Tone }
  /** In the font of headlines. */
  display?: true
  /** The amount that it says, which is counted on the way to another. */
  amount?: number
  /** A line from its mark to it, where it does not stand beside it. */
  leader?: readonly Point[]
  /** A field in the colour that it explains, before its words, which begin that much further in; its side is that of the size. */
  swatch?: Tone
  /** 0 to 1; absent is all. */
  opacity?: number
  /** Whether somebody has put it there: others give way to it. */
  byHand?: true
}

/** A straight line that is no mark: of the axis, its base, a divider, or a level that amounts are compared with. */
export interface ChartRule {
  from: Point
  to: Point
  kind: 'grid' | 'base' | 'divider' | 'reference'
  /** What it stands for: one of the same key in another drawing of the chart is the same line. */
  key?: string
  /** 0 to 1; absent is all. */
  opacity?: number
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
  /** What labels that found no clear place would say, the more important first. */
  leftOut: readonly string[]
  /** Words for those who do not see it. */
  description: string
  /** Of a map: the plane that it is drawn on, and how near it is seen. Its marks end where the chart does. */
  camera?: { plane: string; scale: number }
  /** What is to be known about what it does not show, a sentence each. */
  notes?: readonly string[]
  /** How it writes an amount. */
  write?: (amount: number) => string
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
  /** The outlines that it is drawn on, where its specification names any. */
  map?: DataTable
  /** Which voice each series has in the charts of its deck, as JSON of numbers by key; absent, by their order. */
  voices?: string
  /** Where the chart’s rows are those of one moment of many. */
  run?: RunMoment
}
