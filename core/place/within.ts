/** Whether a place lies within closed outlines, by the even-odd rule. */
export function isWithin(points: readonly (readonly [number, number])[], x: number, y: number): boolean {
  let inside = false
  for (let index = 0, last = points.length - 1; index < points.length; last = index++) {
    const [ax, ay] = points[index]!
    const [bx, by] = points[last]!
    if (ay > y !== by > y && x < ((bx - ax) * (y - ay)) / (by - ay) + ax) inside = !inside
  }
  return inside
}
