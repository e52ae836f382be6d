import type { Box } from '../values'
import { centerOf, centeredAt, turn, turned, type Point } from './bounds'

/**
 * The angle, in degrees, of the line through two points, from −90 (excluded) to 90: the one at which words along it stay
 * upright. 0 where both points are the same.
 */
export function angleAlong(a: Point, b: Point): number {
  const angle = (Math.atan2(b.y - a.y, b.x - a.x) * 180) / Math.PI
  return angle > 90 ? angle - 180 : angle <= -90 ? angle + 180 : angle + 0
}

/** The least turn from one angle to another, degrees, −180 to 180. */
export const turnBetween = (from: number, to: number) => turned(to - from + 180) - 180

/** What an angle was drawn to. */
export type AngleSnap = 'step' | 'neighbour' | null

/**
 * Draws an angle to a neighbour's angle (and those square to it) within `reach` degrees, else to the next multiple of
 * `step`. The answer is 0 to 360.
 */
export function snapAngle(
  angle: number,
  neighbours: readonly number[],
  options: { step?: number; reach?: number } = {},
): { angle: number; to: AngleSnap } {
  const { step = 15, reach = 4 } = options
  let best: { angle: number; away: number } | null = null
  for (const neighbour of neighbours) {
    for (const square of [0, 90, 180, 270]) {
      const away = Math.abs(turnBetween(angle, neighbour + square))
      if (away <= reach && (!best || away < best.away)) best = { angle: turned(neighbour + square), away }
    }
  }
  const stepped = turned(Math.round(angle / step) * step)
  if (best && best.away < Math.abs(turnBetween(angle, stepped))) return { angle: best.angle, to: 'neighbour' }
  return { angle: stepped, to: 'step' }
}

/** Turns boxes together by degrees clockwise about a centre. */
export const turnTogether = (boxes: readonly Box[], center: Point, by: number): Box[] =>
  boxes.map(box => ({ ...centeredAt(box, turn(centerOf(box), center, by)), angle: turned(box.angle + by) }))
