import type { Element, ShapeElement } from '../model'
import type { Box } from '../values'
import { centerOf, contains, turn, type Point } from '../place'
import { lineThrough, pointsOfLine } from './lines'

const isLine = (element: Pick<Element, 'kind'>): element is ShapeElement =>
  element.kind === 'shape' && (element as ShapeElement).shape === 'line'

/** The points of a line on the slide, px of deck space. */
export function placedPoints(element: Pick<ShapeElement, 'line'>, box: Box): Point[] {
  const center = centerOf(box)
  return pointsOfLine(element, box).map(([x, y]) => turn({ x: box.x + x, y: box.y + y }, center, box.angle))
}

/** A line through points of the slide, px of deck space: the box around them, and what it is in it. */
export function placeLine(
  element: Pick<ShapeElement, 'line'>,
  points: readonly Point[],
): { box: Box; line: NonNullable<ShapeElement['line']> } {
  const through = lineThrough(points)
  return { box: through.box, line: { way: element.line?.way ?? 'straight', points: through.points } }
}

function distanceToStretch(point: Point, a: Point, b: Point): number {
  const [dx, dy] = [b.x - a.x, b.y - a.y]
  const length = dx * dx + dy * dy
  const at = length ? Math.min(1, Math.max(0, ((point.x - a.x) * dx + (point.y - a.y) * dy) / length)) : 0
  return Math.hypot(point.x - a.x - at * dx, point.y - a.y - at * dy)
}

/** Whether a point of the slide touches an element: lies in its box, or within `reach` px of a line. */
export function touches(element: Element & { readonly box: Box }, point: Point, reach = 0): boolean {
  if (!isLine(element)) return contains(element.box, point)
  const points = placedPoints(element, element.box)
  const near = reach + (element.stroke?.width ?? 4) / 2
  return points.slice(1).some((to, index) => distanceToStretch(point, points[index]!, to) <= near)
}

/**
 * A stroke of the hand with the points that do not matter taken away: what remains is nowhere farther than `slack` px from
 * what was drawn (Ramer, 1972; Douglas and Peucker, 1973), and no more than `most` points.
 */
export function thinned(points: readonly Point[], slack = 1.5, most = 1500): Point[] {
  const keep = new Set([0, points.length - 1])
  const open: [number, number][] = [[0, points.length - 1]]
  for (let range = open.pop(); range; range = open.pop()) {
    const [from, to] = range
    let [far, at] = [0, -1]
    for (let index = from + 1; index < to; index++) {
      const away = distanceToStretch(points[index]!, points[from]!, points[to]!)
      if (away > far) [far, at] = [away, index]
    }
    if (far > slack && at > 0) {
      keep.add(at)
      open.push([from, at], [at, to])
    }
  }
  const kept = [...keep]
    .filter(index => index >= 0)
    .sort((a, b) => a - b)
    .map(index => points[index]!)
  return kept.length > most ? thinned(points, slack * 1.6, most) : kept
}
