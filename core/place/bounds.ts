import type { Box } from '../values'

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

/** The box of the same size and angle about another centre. */
export const centeredAt = (box: Box, center: Point): Box => ({ ...box, x: center.x - box.width / 2, y: center.y - box.height / 2 })

export const movedBy = (box: Box, by: Point): Box => ({ ...box, x: box.x + by.x, y: box.y + by.y })

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
  return [
    { x: box.x, y: box.y },
    { x: right, y: box.y },
    { x: right, y: bottom },
    { x: box.x, y: bottom },
  ].map(corner => turn(corner, center, box.angle))
}

/** The least upright rectangle around boxes. */
export function boundsOf(...boxes: readonly Box[]): Bounds {
  const bounds = { left: Infinity, top: Infinity, right: -Infinity, bottom: -Infinity }
  const take = (x: number, y: number) => {
    if (x < bounds.left) bounds.left = x
    if (x > bounds.right) bounds.right = x
    if (y < bounds.top) bounds.top = y
    if (y > bounds.bottom) bounds.bottom = y
  }
  for (const box of boxes) {
    if (box.angle % 180 === 0) {
      take(box.x, box.y)
      take(box.x + box.width, box.y + box.height)
    } else for (const corner of cornersOf(box)) take(corner.x, corner.y)
  }
  return bounds
}

/** An upright rectangle as a box. */
export const boxOf = (bounds: Bounds): Box => ({
  x: bounds.left,
  y: bounds.top,
  width: bounds.right - bounds.left,
  height: bounds.bottom - bounds.top,
  angle: 0,
})

/** Whether a point lies in a (turned) box, its edges included. */
export function contains(box: Box, point: Point): boolean {
  const local = box.angle ? turn(point, centerOf(box), -box.angle) : point
  return local.x >= box.x && local.x <= box.x + box.width && local.y >= box.y && local.y <= box.y + box.height
}

export const overlap = (a: Bounds, b: Bounds) => a.left < b.right && b.left < a.right && a.top < b.bottom && b.top < a.bottom
export const inside = (inner: Bounds, outer: Bounds, slack = 0) =>
  inner.left >= outer.left - slack &&
  inner.top >= outer.top - slack &&
  inner.right <= outer.right + slack &&
  inner.bottom <= outer.bottom + slack

const round = (value: number) => Math.round(value * 100) / 100 + 0

/** A box to a hundredth of a px and of a degree, at least 1 px across and down: what is kept in a deck. */
export const tidyBox = (box: Box): Box => ({
  x: round(box.x),
  y: round(box.y),
  width: Math.max(1, round(box.width)),
  height: Math.max(1, round(box.height)),
  angle: round(turned(box.angle)),
})

/** An angle in degrees brought to 0 up to 360. */
export const turned = (angle: number) => ((angle % 360) + 360) % 360
