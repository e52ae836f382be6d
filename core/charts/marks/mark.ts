import type { Tone } from '../tones'

/** A place in px from the chart's top left. */
export interface Point {
  readonly x: number
  readonly y: number
}

interface Drawn {
  /** What it stands for: a mark of the same key in another state of the chart is the same thing there. */
  key: string
  /** The part of the chart that it belongs to, from 0: all marks and labels of a part come and go together. */
  part: number
  value: number | null
  highlighted: boolean
  /** What its colour is for; absent, it is one that is highlighted, or plain. */
  tone?: Tone
  /** How much of its colour is seen, 0 to 1; absent is all. */
  opacity?: number
  /** The ground shows round it, px, so that it is told from what it lies on. */
  edge?: number
}

/** A rectangle whose length is an amount; it grows from its foot: upwards, or where it lies to the right. */
export interface BarMark extends Drawn {
  shape: 'bar'
  x: number
  y: number
  width: number
  height: number
  /** Whether it grows the other way, downwards or to the left. */
  negative: boolean
  lying?: true
  /** How far the corners of its free end are rounded, px; absent as suits its width. */
  corner?: number
}

/** A line through points; it rises from the level `foot`, px. */
export interface LineMark extends Drawn {
  shape: 'line'
  points: readonly Point[]
  width: number
  foot: number
  /** Lengths of its dashes and gaps, px; absent, it is drawn through. */
  dash?: readonly number[]
}

/** What lies between two lines, from left to right; it rises from the level `foot`, px. */
export interface AreaMark extends Drawn {
  shape: 'area'
  top: readonly Point[]
  bottom: readonly Point[]
  foot: number
}

/** A dot; it rises from the level `foot`, px. */
export interface PointMark extends Drawn {
  shape: 'point'
  x: number
  y: number
  radius: number
  foot: number
}

/** A sector of a ring about a middle; angles in degrees clockwise from the top. */
export interface ArcMark extends Drawn {
  shape: 'arc'
  x: number
  y: number
  from: number
  until: number
  inner: number
  outer: number
}

/** A field of a grid. */
export interface CellMark extends Drawn {
  shape: 'cell'
  x: number
  y: number
  width: number
  height: number
}

/** Words that are themselves what is drawn, about their middle. */
export interface TextMark extends Drawn {
  shape: 'text'
  x: number
  y: number
  text: string
  size: number
  weight: number
  /** In the font of headlines. */
  display?: true
}

/** A band from one place to another, `width` px wide. */
export interface LinkMark extends Drawn {
  shape: 'link'
  from: Point
  to: Point
  width: number
}

/** Any outline, as SVG path data in px from the chart's top left; `middle` is what it grows about. */
export interface PathMark extends Drawn {
  shape: 'path'
  d: string
  middle: Point
  /** The share of its width that is seen, from its left; absent is all. */
  share?: number
}

/** An outline on the plane of a map, as SVG path data; a camera draws it at `x + scale · it`, px. `middle` is a place on the plane. */
export interface RegionMark extends Drawn {
  shape: 'region'
  d: string
  /** The name of the plane: marks on another one cannot be moved to. */
  plane: string
  view: { scale: number; x: number; y: number }
  middle: Point
}

/** What a chart is drawn of. */
export type ChartMark = BarMark | LineMark | AreaMark | PointMark | ArcMark | CellMark | TextMark | LinkMark | PathMark | RegionMark
export type MarkShapeName = ChartMark['shape']

/** How a mark is drawn in SVG: an element with attributes, and which of them its colour goes to. */
export interface MarkNode {
  tag: 'rect' | 'path' | 'circle' | 'text' | 'g'
  attributes: Readonly<Record<string, string | number>>
  paint: 'fill' | 'stroke'
  /** Words in it, in the font of headlines or of text. */
  text?: string
  display?: true
  /** CSS `clip-path`. */
  clip?: string
  /** Of a group: what stands in it, and has its colours. */
  within?: { tag: 'path'; attributes: Readonly<Record<string, string | number>> }
}

/** What is known of a shape of marks, one file a shape. */
export interface MarkShape<M extends ChartMark> {
  /** Whether it lies beneath the marks of all parts that do not, such as the line beneath its dots. */
  beneath?: true
  node(mark: M): MarkNode
  /** What scaling it is done about: CSS `transform-origin`, in its own box or in the chart's. */
  origin(mark: M): { box: 'fill-box' | 'view-box'; at: string }
  /** Along which way it grows, where that is not upwards: to the side, or both. */
  grows?(mark: M): 'x' | 'both' | undefined
  /** From its foot to its end, px: labels at its end ride along as it grows. */
  reach(mark: M): Point
  /** The place that its labels hang on. */
  anchor(mark: M): Point
  /** As it stands before it has come or once it has gone, in its place. */
  collapsed(mark: M): M
  /** Between two of the same thing, `progress` 0 to 1. */
  between(a: M, b: M, progress: number): M
  /** What a hand draws of it, SVG path data. */
  outline(mark: M): string
}

export const mix = (a: number, b: number, progress: number) => a + (b - a) * progress
export const mixPoint = (a: Point, b: Point, progress: number): Point => ({ x: mix(a.x, b.x, progress), y: mix(a.y, b.y, progress) })

/** Points between two lines; where they have not as many, those of the longer one come out of the other's last. */
export function mixPoints(a: readonly Point[], b: readonly Point[], progress: number): Point[] {
  const last = (list: readonly Point[]) => list.at(-1) ?? { x: 0, y: 0 }
  return Array.from({ length: Math.max(a.length, b.length) }, (_, index) => mixPoint(a[index] ?? last(a), b[index] ?? last(b), progress))
}

export const throughPoints = (points: readonly Point[]) => points.map(({ x, y }, index) => `${index ? 'L' : 'M'}${x} ${y}`).join('')
