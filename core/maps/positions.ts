import type { Position } from 'geojson'
import type { Outline } from './wkt'

/** The least and the greatest of positions: left, top (least), right, bottom (greatest). */
export interface Bounds {
  left: number
  top: number
  right: number
  bottom: number
}

type Nested = Position | Nested[]

/** Every position of an outline. */
export function* positionsOf(outline: Outline): Generator<Position> {
  const walk = function* (nested: Nested): Generator<Position> {
    if (typeof nested[0] === 'number') yield nested as Position
    else for (const inner of nested as Nested[]) yield* walk(inner)
  }
  if (outline.coordinates.length) yield* walk(outline.coordinates as Nested)
}

/** The bounds of positions; undefined where there are none. */
export function boundsOf(positions: Iterable<readonly number[]>): Bounds | undefined {
  const bounds = { left: Infinity, top: Infinity, right: -Infinity, bottom: -Infinity }
  for (const [x, y] of positions) {
    bounds.left = Math.min(bounds.left, x!)
    bounds.right = Math.max(bounds.right, x!)
    bounds.top = Math.min(bounds.top, y!)
    bounds.bottom = Math.max(bounds.bottom, y!)
  }
  return bounds.left <= bounds.right ? bounds : undefined
}

/** What holds several bounds; undefined of none. */
export const boundsAround = (list: readonly Bounds[]): Bounds | undefined =>
  boundsOf(
    list.flatMap(({ left, top, right, bottom }) => [
      [left, top],
      [right, bottom],
    ]),
  )

/** Whether positions are no degrees: metres of a plan, or of a grid that a land survey uses. */
export const isPlan = ({ left, top, right, bottom }: Bounds) => left < -180.5 || right > 360.5 || top < -90.5 || bottom > 90.5

/** The area of a ring, without its sign (the shoelace formula). */
export function ringArea(ring: readonly (readonly number[])[]): number {
  let sum = 0
  for (let at = 0; at < ring.length; at++) {
    const [a, b] = [ring[at]!, ring[(at + 1) % ring.length]!]
    sum += a[0]! * b[1]! - b[0]! * a[1]!
  }
  return Math.abs(sum) / 2
}

/** How large a part of a place has to be beside its largest to count as where it lies, and how far off it may be, in sizes of that. */
const countsFrom = 0.05
const nearWithin = 0.35

/** The rings that tell where a place of many parts lies: small ones and those far off, as lands overseas are, do not. */
export function largerRings<R extends readonly (readonly number[])[]>(rings: readonly R[]): R[] {
  const areas = rings.map(ringArea)
  const largest = areas.reduce((best, area, at) => (area > areas[best]! ? at : best), 0)
  const main = rings[largest] && boundsOf(rings[largest])
  if (!main) return [...rings]
  const far = Math.max(main.right - main.left, main.bottom - main.top) * nearWithin
  return rings.filter((ring, at) => {
    if (at === largest) return true
    const own = boundsOf(ring)
    if (!own || areas[at]! < areas[largest]! * countsFrom) return false
    const [x, y] = [(own.left + own.right) / 2, (own.top + own.bottom) / 2]
    return x > main.left - far && x < main.right + far && y > main.top - far && y < main.bottom + far
  })
}
