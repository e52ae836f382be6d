import { onCurve } from './curve'
import type { Box } from '../values'
import { centerOf, cornersOf, type Bounds, type Point } from './bounds'

export type Side = 'left' | 'right' | 'top' | 'bottom'
export const sides: readonly Side[] = ['left', 'right', 'top', 'bottom']

/** Where a line leaves an element: a point, and the direction (a unit vector) it leaves in; without one it may leave anywhere. */
export interface Port {
  point: Point
  out: Point | null
}

const outward: Readonly<Record<Side, Point>> = {
  left: { x: -1, y: 0 },
  right: { x: 1, y: 0 },
  top: { x: 0, y: -1 },
  bottom: { x: 0, y: 1 },
}

/** The middle of a side of a (turned) box. A turned box's line leaves in the straight direction nearest to that side's own. */
export function portOf(box: Box, side: Side): Port {
  const [a, b, c, d] = cornersOf(box) as [Point, Point, Point, Point]
  const [from, to] = side === 'top' ? [a, b] : side === 'right' ? [b, c] : side === 'bottom' ? [c, d] : [d, a]
  const point = { x: (from.x + to.x) / 2, y: (from.y + to.y) / 2 }
  if (box.angle % 360 === 0) return { point, out: outward[side] }
  const center = centerOf(box)
  const away = { x: point.x - center.x, y: point.y - center.y }
  const out = Math.abs(away.x) >= Math.abs(away.y) ? { x: Math.sign(away.x) || 1, y: 0 } : { x: 0, y: Math.sign(away.y) || 1 }
  return { point, out }
}

const distance = (a: Point, b: Point) => Math.hypot(a.x - b.x, a.y - b.y)
/** How far a port looks away from a point: 0 straight at it, 1 at a right angle, 2 away. */
const averted = (port: Port, to: Point) => {
  const length = distance(port.point, to)
  if (!port.out || length === 0) return 0
  return 1 - (port.out.x * (to.x - port.point.x) + port.out.y * (to.y - port.point.y)) / length
}

/** The pair of sides between which a line from one box to another is shortest and looks the right way. */
export function bestPorts(from: Box, to: Box, fixed: { from?: Side; to?: Side } = {}): { from: Port; to: Port } {
  let best: { from: Port; to: Port } | null = null
  let least = Infinity
  for (const a of fixed.from ? [fixed.from] : sides) {
    for (const b of fixed.to ? [fixed.to] : sides) {
      const pair = { from: portOf(from, a), to: portOf(to, b) }
      const length = distance(pair.from.point, pair.to.point)
      const cost = length + (averted(pair.from, pair.to.point) + averted(pair.to, pair.from.point)) * 0.6 * (length + 40)
      if (cost < least) {
        least = cost
        best = pair
      }
    }
  }
  return best!
}

const inflate = (bounds: Bounds, by: number): Bounds => ({
  left: bounds.left - by,
  top: bounds.top - by,
  right: bounds.right + by,
  bottom: bounds.bottom + by,
})
const within = (bounds: Bounds, point: Point) =>
  point.x > bounds.left && point.x < bounds.right && point.y > bounds.top && point.y < bounds.bottom

/** Whether a level or upright stretch runs through the inside of a rectangle. */
export function crosses(a: Point, b: Point, bounds: Bounds): boolean {
  const [left, right] = [Math.min(a.x, b.x), Math.max(a.x, b.x)]
  const [top, bottom] = [Math.min(a.y, b.y), Math.max(a.y, b.y)]
  return left < bounds.right && right > bounds.left && top < bounds.bottom && bottom > bounds.top
}

/** Obstacles looked at in one route: those nearest to it. */
const mostObstacles = 24

const unique = (values: readonly number[]) => [...new Set(values.map(value => Math.round(value * 100) / 100))].sort((a, b) => a - b)

/** Takes away points that lie on a straight stretch. */
function straightened(points: readonly Point[]): Point[] {
  const made: Point[] = []
  for (const point of points) {
    const [before, last] = [made.at(-2), made.at(-1)]
    if (last && Math.abs(last.x - point.x) < 0.01 && Math.abs(last.y - point.y) < 0.01) continue
    if (
      before &&
      last &&
      ((Math.abs(before.x - last.x) < 0.01 && Math.abs(last.x - point.x) < 0.01) ||
        (Math.abs(before.y - last.y) < 0.01 && Math.abs(last.y - point.y) < 0.01))
    )
      made.pop()
    made.push(point)
  }
  return made
}

interface Step {
  x: number
  y: number
  direction: 0 | 1
  cost: number
  guess: number
  before: Step | null
}

/** A heap of steps, least guess first. */
function makeHeap() {
  const items: Step[] = []
  const swap = (a: number, b: number) => {
    const kept = items[a]!
    items[a] = items[b]!
    items[b] = kept
  }
  return {
    push(step: Step) {
      items.push(step)
      for (let at = items.length - 1; at > 0;) {
        const up = (at - 1) >> 1
        if (items[up]!.guess <= items[at]!.guess) break
        swap(up, at)
        at = up
      }
    },
    pop(): Step | undefined {
      const top = items[0]
      const last = items.pop()
      if (items.length && last) {
        items[0] = last
        for (let at = 0; ;) {
          const left = 2 * at + 1
          const right = left + 1
          let least = at
          if (left < items.length && items[left]!.guess < items[least]!.guess) least = left
          if (right < items.length && items[right]!.guess < items[least]!.guess) least = right
          if (least === at) break
          swap(at, least)
          at = least
        }
      }
      return top
    },
  }
}

/** What a bend costs, in px of way: a route goes so far around for one bend less. */
const bendCost = 60
/** What it costs more for each px that the stretch after it lies off the middle: of ways that are as long, the even one is taken. */
const offMiddle = 0.0001
const directionOf = (out: Point | null): 0 | 1 | null => (out ? (out.x !== 0 ? 0 : 1) : null)
const neighbours = [
  [1, 0],
  [-1, 0],
  [0, 1],
  [0, -1],
] as const

/** The lines that a route may run along, and what it may not cross. */
interface Grid {
  xs: readonly number[]
  ys: readonly number[]
  walls: readonly Bounds[]
}

function gridAround(from: Port, to: Port, start: Point, end: Point, obstacles: readonly Bounds[], clearance: number): Grid {
  const middle = { x: (start.x + end.x) / 2, y: (start.y + end.y) / 2 }
  const away = (bounds: Bounds) =>
    Math.hypot(Math.max(bounds.left - middle.x, 0, middle.x - bounds.right), Math.max(bounds.top - middle.y, 0, middle.y - bounds.bottom))
  // What a port stands in cannot be gone around.
  const standing = obstacles.filter(bounds => !within(bounds, from.point) && !within(bounds, to.point))
  const near = standing.length > mostObstacles ? [...standing].sort((a, b) => away(a) - away(b)).slice(0, mostObstacles) : standing
  return {
    xs: unique([start.x, end.x, middle.x, ...near.flatMap(bounds => [bounds.left - clearance, bounds.right + clearance])]),
    ys: unique([start.y, end.y, middle.y, ...near.flatMap(bounds => [bounds.top - clearance, bounds.bottom + clearance])]),
    walls: near.map(bounds => {
      const wall = inflate(bounds, Math.max(0, clearance - 0.5))
      return within(wall, start) || within(wall, end) ? bounds : wall
    }),
  }
}

/** The last step of the cheapest way over a grid, by A*; null where there is none. `out`: how it leaves; `last`: how it is to arrive. */
function cheapest({ xs, ys, walls }: Grid, start: Point, end: Point, out: Point | null, last: 0 | 1 | null): Step | null {
  const indexOf = (values: readonly number[], value: number) => values.indexOf(Math.round(value * 100) / 100)
  const [startX, startY, endX, endY] = [indexOf(xs, start.x), indexOf(ys, start.y), indexOf(xs, end.x), indexOf(ys, end.y)]
  const at = (x: number, y: number): Point => ({ x: xs[x]!, y: ys[y]! })
  const guess = (x: number, y: number) => Math.abs(at(x, y).x - end.x) + Math.abs(at(x, y).y - end.y)
  const heap = makeHeap()
  const first = directionOf(out)
  const middle = { x: (start.x + end.x) / 2, y: (start.y + end.y) / 2 }
  const bendAt = (place: Point, direction: 0 | 1) =>
    bendCost + offMiddle * Math.abs(direction === 1 ? place.x - middle.x : place.y - middle.y)
  for (const direction of first === null ? ([0, 1] as const) : [first])
    heap.push({ x: startX, y: startY, direction, cost: 0, guess: guess(startX, startY), before: null })
  const settled = new Set<number>()
  for (let step = heap.pop(); step; step = heap.pop()) {
    const key = (step.y * xs.length + step.x) * 2 + step.direction
    if (settled.has(key)) continue
    settled.add(key)
    if (step.x === endX && step.y === endY) return step
    for (const [dx, dy] of neighbours) {
      const [x, y] = [step.x + dx, step.y + dy]
      if (x < 0 || y < 0 || x >= xs.length || y >= ys.length) continue
      // It does not turn back into the port that it came out of.
      if (!step.before && out && dx === -out.x && dy === -out.y) continue
      const [a, b] = [at(step.x, step.y), at(x, y)]
      if (walls.some(wall => crosses(a, b, wall))) continue
      const direction = dx !== 0 ? 0 : 1
      const arriving = x === endX && y === endY && last !== null && direction !== last ? bendCost : 0
      const cost =
        step.cost + Math.abs(b.x - a.x) + Math.abs(b.y - a.y) + (direction === step.direction ? 0 : bendAt(a, direction)) + arriving
      heap.push({ x, y, direction, cost, guess: cost + guess(x, y), before: step })
    }
  }
  return null
}

/**
 * A route of level and upright stretches from one port to another that stays `clearance` px clear of obstacles where it can,
 * as short and with as few bends as possible: A* over the lines that the ports and obstacles offer. Always answers; where
 * there is no free way, it goes straight through.
 */
export function routeAround(from: Port, to: Port, obstacles: readonly Bounds[], clearance = 24): Point[] {
  const stub = ({ point, out }: Port) => (out ? { x: point.x + out.x * clearance, y: point.y + out.y * clearance } : point)
  const [start, end] = [stub(from), stub(to)]
  const grid = gridAround(from, to, start, end, obstacles, clearance)
  const found = cheapest(grid, start, end, from.out, directionOf(to.out))
  const inner: Point[] = found ? [] : [start, { x: end.x, y: start.y }, end]
  for (let step = found; step; step = step.before) inner.unshift({ x: grid.xs[step.x]!, y: grid.ys[step.y]! })
  return straightened([from.point, start, ...inner, end, to.point])
}

/** A curve from one port to another that leaves and arrives straight out of them, as points along it. */
export function curveBetween(from: Port, to: Port, count = 16): Point[] {
  const reach = Math.max(40, distance(from.point, to.point) * 0.45)
  const control = (port: Port, other: Point) => {
    if (port.out) return { x: port.point.x + port.out.x * reach, y: port.point.y + port.out.y * reach }
    return { x: port.point.x + (other.x - port.point.x) / 3, y: port.point.y + (other.y - port.point.y) / 3 }
  }
  const [b, c] = [control(from, to.point), control(to, from.point)]
  return Array.from({ length: count + 1 }, (_, index) => onCurve(from.point, b, c, to.point, index / count))
}
