import type { Color } from '../values'
import type { HandDrawing } from '../drawing'
import type { Polygon } from './mask'

/** A cut of a rectangle, as shares of its width and height taken away from each side. */
export interface Cut {
  top: number
  right: number
  bottom: number
  left: number
}

/** A line drawn over an element or beneath it for as long as it draws the eye. */
export interface Stroke {
  /** SVG path data, px of deck space from the element's top left corner. */
  path: string
  color: Color
  /** px of deck space. */
  width: number
  /** Share of its length that is drawn, from its beginning. */
  drawn: number
  opacity: number
  /** Whether it lies beneath what the element shows. */
  beneath: boolean
}

/** An element while a hand draws it. */
export interface Drawn {
  drawing: HandDrawing
  /** How far the hand has come, px of its way. */
  come: number
  /** Opacity of its lines. */
  lines: number
  /** Multiple of the width of its lines. */
  thick: number
  /** Colour of its lines in place of their own. */
  color: Color | null
  /** How much of what the element shows is seen beneath: its opacity, or the share that is swept over from the left. */
  filled: number
  sweeps: boolean
  /** What draws, by name, and where it is; null while nothing is seen of it. */
  nib: { name: string; x: number; y: number } | null
}

/** How an element or one of its parts differs from rest. */
export interface PartFrame {
  visible: boolean
  opacity: number
  /** px of deck space. */
  x: number
  y: number
  scaleX: number
  scaleY: number
  /** What scaling and turning happen about, as shares of the box. */
  originX: number
  originY: number
  /** Degrees clockwise. */
  rotate: number
  /** Degrees about the level and the upright axis, towards the viewer; seen from 1,600 px of deck space away. */
  turnX: number
  turnY: number
  cut: Cut | null
  /** What is seen of it, as shares of its box; takes the place of `cut`. */
  mask: Polygon | null
  /** px of deck space. */
  blur: number
  /** A colour laid over what is seen of it, by an amount 0 to 1. */
  tint: { color: Color; amount: number } | null
  /** Share of the letters that are typed; 1 when all stand. */
  typed: number
  /** Share of its value that a number shows; 1 at rest. */
  counted: number
  strokes: readonly Stroke[] | null
  drawn: Drawn | null
  /**
   * Of a figure that walks: strides counted from its place (below 0 on the way to it), and how much of its walking shows, 0 to 1; null
   * while it does not.
   */
  strides: { count: number; share: number } | null
}

export const restingPart = (): PartFrame => ({
  visible: true,
  opacity: 1,
  x: 0,
  y: 0,
  scaleX: 1,
  scaleY: 1,
  originX: 0.5,
  originY: 0.5,
  rotate: 0,
  turnX: 0,
  turnY: 0,
  cut: null,
  mask: null,
  blur: 0,
  tint: null,
  typed: 1,
  counted: 1,
  strokes: null,
  drawn: null,
  strides: null,
})

export const hiddenPart = (): PartFrame => ({ ...restingPart(), visible: false })

/** Whether a part stands just as composed. */
export const isAtRest = (part: PartFrame) =>
  part.visible &&
  part.opacity === 1 &&
  part.x === 0 &&
  part.y === 0 &&
  part.scaleX === 1 &&
  part.scaleY === 1 &&
  part.rotate === 0 &&
  part.turnX === 0 &&
  part.turnY === 0 &&
  part.cut === null &&
  part.mask === null &&
  part.blur === 0 &&
  part.tint === null &&
  part.typed === 1 &&
  part.counted === 1 &&
  part.strokes === null &&
  part.drawn === null &&
  part.strides === null
