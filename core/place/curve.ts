import type { Point } from './bounds'

/** A point of a cubic Bézier curve from `a` to `d` with the controls `b` and `c`; `t` 0 to 1 (de Casteljau's polynomial). */
export function onCurve(a: Point, b: Point, c: Point, d: Point, t: number): Point {
  const u = 1 - t
  const [ka, kb, kc, kd] = [u * u * u, 3 * u * u * t, 3 * u * t * t, t * t * t]
  return { x: ka * a.x + kb * b.x + kc * c.x + kd * d.x, y: ka * a.y + kb * b.y + kc * c.y + kd * d.y }
}
