/** A cut of a rectangle, as shares of its width and height taken away from each side. */
export interface Cut {
  top: number
  right: number
  bottom: number
  left: number
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
  cut: Cut | null
  /** px of deck space. */
  blur: number
  /** Share of the letters that are typed; 1 when all stand. */
  typed: number
  /** Share of its value that a number shows; 1 at rest. */
  counted: number
}

export const restingPart = (): PartFrame => ({
  visible: true, opacity: 1, x: 0, y: 0, scaleX: 1, scaleY: 1, originX: 0.5, originY: 0.5, rotate: 0, cut: null, blur: 0, typed: 1, counted: 1,
})

export const hiddenPart = (): PartFrame => ({ ...restingPart(), visible: false })

/** Whether a part stands just as composed. */
export const isAtRest = (part: PartFrame) =>
  part.visible && part.opacity === 1 && part.x === 0 && part.y === 0 && part.scaleX === 1 && part.scaleY === 1 && part.rotate === 0
  && part.cut === null && part.blur === 0 && part.typed === 1 && part.counted === 1
