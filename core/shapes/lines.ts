import type { LineEnd, ShapeElement } from '../model'
import { ellipse, polygon, short, type Size } from './shape'

type Way = NonNullable<ShapeElement['line']>['way']
type Pair = readonly [number, number]

/** The points of a line in its box, px; a line that says nothing runs level across the middle. */
export function pointsOfLine(element: Pick<ShapeElement, 'line'>, size: Size): Pair[] {
  const points = element.line?.points
  return points
    ? points.map(([x, y]) => [x * size.width, y * size.height] as const)
    : [
        [0, size.height / 2],
        [size.width, size.height / 2],
      ]
}

const at = (point: Pair) => `${short(point[0])} ${short(point[1])}`
const between = (a: Pair, b: Pair, share: number): Pair => [a[0] + (b[0] - a[0]) * share, a[1] + (b[1] - a[1]) * share]
const length = (a: Pair, b: Pair) => Math.hypot(b[0] - a[0], b[1] - a[1])

/** An open path through points: straight from one to the next, smooth, with rounded corners, or as a hand drew it. */
export function linePath(way: Way, points: readonly Pair[], radius = 18): string {
  const [first, ...rest] = points
  if (!first) return ''
  if (way === 'straight' || points.length < 3) return `M${at(first)}${rest.map(point => `L${at(point)}`).join('')}`
  if (way === 'curve') {
    // Catmull-Rom through all points, as cubic curves.
    const point = (index: number) => points[Math.max(0, Math.min(points.length - 1, index))]!
    return `M${at(first)}${rest
      .map((to, index) => {
        const [before, from, after] = [point(index - 1), point(index), point(index + 2)]
        return (
          `C${at([from[0] + (to[0] - before[0]) / 6, from[1] + (to[1] - before[1]) / 6])} ` +
          `${at([to[0] - (after[0] - from[0]) / 6, to[1] - (after[1] - from[1]) / 6])} ${at(to)}`
        )
      })
      .join('')}`
  }
  if (way === 'freehand')
    return `M${at(first)}${rest
      .slice(0, -1)
      .map((point, index) => `Q${at(point)} ${at(between(point, rest[index + 1]!, 0.5))}`)
      .join('')}L${at(rest.at(-1)!)}`
  return `M${at(first)}${rest
    .map((corner, index) => {
      const [before, next] = [points[index]!, rest[index + 1]]
      if (!next) return `L${at(corner)}`
      const r = Math.min(radius, length(before, corner) / 2, length(corner, next) / 2)
      return r < 0.5
        ? `L${at(corner)}`
        : `L${at(between(corner, before, r / length(before, corner)))}Q${at(corner)} ${at(between(corner, next, r / length(corner, next)))}`
    })
    .join('')}`
}

/** What stands at an end of a line: its outline, whether it is filled, and how far the line stops short of its point, px. */
export interface EndMark {
  path: string
  filled: boolean
  back: number
}

/** How long an end is for a line of a width, px. */
const reachOf = (width: number) => Math.max(10, width * 3.2)

/** The mark at an end that stands at `tip` and comes from `from`; null for none. */
export function endMark(end: LineEnd, from: Pair, tip: Pair, width: number): EndMark | null {
  if (end === 'none') return null
  const reach = reachOf(width)
  const angle = Math.atan2(tip[1] - from[1], tip[0] - from[0])
  const spot = (along: number, aside: number): [number, number] => [
    tip[0] - Math.cos(angle) * along - Math.sin(angle) * aside,
    tip[1] - Math.sin(angle) * along + Math.cos(angle) * aside,
  ]
  const open = (points: readonly Pair[]) => `M${points.map(at).join('L')}`
  if (end === 'arrow')
    return { path: open([spot(reach, reach * 0.6), spot(width * 0.5, 0), spot(reach, -reach * 0.6)]), filled: false, back: width * 0.6 }
  if (end === 'solid')
    return { path: polygon([spot(0, 0), spot(reach, reach * 0.52), spot(reach, -reach * 0.52)]), filled: true, back: reach * 0.8 }
  if (end === 'diamond')
    return {
      path: polygon([spot(0, 0), spot(reach * 0.6, reach * 0.42), spot(reach * 1.2, 0), spot(reach * 0.6, -reach * 0.42)]),
      filled: true,
      back: reach,
    }
  if (end === 'bar')
    return { path: open([spot(width * 0.5, reach * 0.6), spot(width * 0.5, -reach * 0.6)]), filled: false, back: width * 0.5 }
  const r = reach * 0.42
  const center = spot(r, 0)
  return { path: ellipse(center[0] - r, center[1] - r, 2 * r, 2 * r), filled: end === 'dot', back: end === 'dot' ? r : 2 * r }
}

/** Points with the last stretch made shorter by `by` px. */
function shortened(points: readonly Pair[], by: number): Pair[] {
  const made = [...points]
  let left = by
  while (made.length > 1 && left > 0) {
    const [before, last] = [made.at(-2)!, made.at(-1)!]
    const stretch = length(before, last)
    if (stretch > left || made.length === 2) {
      made[made.length - 1] = stretch > 0 ? between(last, before, Math.min(0.98, left / stretch)) : last
      break
    }
    made.pop()
    left -= stretch
  }
  return made
}

/** A point that lies some way back from the end, so that an end on a curve looks the way the curve comes. */
function comesFrom(points: readonly Pair[], reach: number): Pair {
  const tip = points.at(-1)!
  for (let index = points.length - 2; index >= 0; index--)
    if (length(points[index]!, tip) >= Math.min(reach, 2) && (index === 0 || length(points[index]!, tip) >= reach * 0.5))
      return points[index]!
  return points[0]!
}

/** A line as it is drawn: its path, stopped short of its ends, and the marks at them. */
export function drawnLine(element: Pick<ShapeElement, 'line' | 'ends' | 'stroke'>, size: Size): { path: string; marks: EndMark[] } {
  const points = pointsOfLine(element, size)
  const width = element.stroke?.width ?? 4
  const { start = 'none', end = 'none' } = element.ends ?? {}
  const last = endMark(end, comesFrom(points, reachOf(width)), points.at(-1)!, width)
  const backwards = [...points].reverse()
  const first = endMark(start, comesFrom(backwards, reachOf(width)), points[0]!, width)
  let cut = shortened(points, last?.back ?? 0)
  cut = shortened(cut.reverse(), first?.back ?? 0).reverse()
  return { path: linePath(element.line?.way ?? 'straight', cut), marks: [first, last].filter(mark => mark !== null) }
}

/** Points in px of deck space as a line's own: the box around them, and the points as fractions of it. */
export function lineThrough(points: readonly { x: number; y: number }[]): {
  box: { x: number; y: number; width: number; height: number; angle: number }
  points: [number, number][]
} {
  const [xs, ys] = [points.map(point => point.x), points.map(point => point.y)]
  const [x, y] = [Math.min(...xs), Math.min(...ys)]
  const [width, height] = [Math.max(1, Math.max(...xs) - x), Math.max(1, Math.max(...ys) - y)]
  return {
    box: { x, y, width, height, angle: 0 },
    points: points.map(point => [short(((point.x - x) / width) * 1000) / 1000, short(((point.y - y) / height) * 1000) / 1000]),
  }
}
