import type { Box } from '../deck'

/** An upright rectangle, px of deck space. */
export interface Bounds {
  left: number
  top: number
  right: number
  bottom: number
}

export interface Point {
  x: number
  y: number
}

export const centerOf = (box: Box): Point => ({ x: box.x + box.width / 2, y: box.y + box.height / 2 })

/** Turns a point about a centre by degrees clockwise (y points down). */
export function turn(point: Point, center: Point, angle: number): Point {
  const radians = (angle * Math.PI) / 180
  const cos = Math.cos(radians)
  const sin = Math.sin(radians)
  const x = point.x - center.x
  const y = point.y - center.y
  return { x: center.x + x * cos - y * sin, y: center.y + x * sin + y * cos }
}

/** The four corners of a turned box, clockwise from its own top left. */
export function cornersOf(box: Box): Point[] {
  const center = centerOf(box)
  const right = box.x + box.width
  const bottom = box.y + box.height
  return [{ x: box.x, y: box.y }, { x: right, y: box.y }, { x: right, y: bottom }, { x: box.x, y: bottom }].map(corner => turn(corner, center, box.angle))
}

/** The least upright rectangle around boxes. */
export function boundsOf(...boxes: readonly Box[]): Bounds {
  const corners = boxes.flatMap(cornersOf)
  const xs = corners.map(corner => corner.x)
  const ys = corners.map(corner => corner.y)
  return { left: Math.min(...xs), top: Math.min(...ys), right: Math.max(...xs), bottom: Math.max(...ys) }
}

export const overlap = (a: Bounds, b: Bounds) => a.left < b.right && b.left < a.right && a.top < b.bottom && b.top < a.bottom
export const inside = (inner: Bounds, outer: Bounds, slack = 0) =>
  inner.left >= outer.left - slack && inner.top >= outer.top - slack && inner.right <= outer.right + slack && inner.bottom <= outer.bottom + slack
