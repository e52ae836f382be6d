import { bestPorts, boundsOf, curveBetween, routeAround, type Port, type Side } from '../place'
import { lineThrough, pointsOfLine } from '../shapes'
import type { Box } from '../values'
import type { Element, ShapeElement } from '../model'

type Boxed = Element & { readonly box: Box }

const isHeld = (element: Element): element is ShapeElement & Boxed =>
  element.kind === 'shape' && element.shape === 'line' && !!(element.from || element.to)

const routes = new WeakMap<Element, { key: string; made: Boxed }>()
const keyOf = (box: Box) => `${box.x},${box.y},${box.width},${box.height},${box.angle}`

/** Where an end that holds on to nothing stands, as a port without a direction. */
function freePort(element: ShapeElement & Boxed, end: 'from' | 'to'): Port {
  const points = pointsOfLine(element, element.box)
  const [x, y] = points.at(end === 'from' ? 0 : -1)!
  return { point: { x: element.box.x + x, y: element.box.y + y }, out: null }
}

const pointBox = (port: Port): Box => ({ x: port.point.x, y: port.point.y, width: 0, height: 0, angle: 0 })

/** The line between what its ends hold on to: around what stands in between where it has corners, straight or curved otherwise. */
function routed<E extends Boxed>(line: E & ShapeElement & Boxed, byId: ReadonlyMap<string, E>, others: readonly E[]): E {
  const [from, to] = [line.from && byId.get(line.from.element), line.to && byId.get(line.to.element)]
  if (!from && !to) return line
  const way = line.line?.way ?? 'straight'
  const obstacles =
    way === 'elbow'
      ? others.filter(
          other =>
            other.id !== from?.id &&
            other.id !== to?.id &&
            other.id !== line.id &&
            !(other.kind === 'shape' && other.shape === 'line') &&
            other.kind !== 'group',
        )
      : []
  const key = [from ? keyOf(from.box) : '', to ? keyOf(to.box) : '', ...obstacles.map(other => keyOf(other.box))].join(';')
  const known = routes.get(line)
  if (known?.key === key) return known.made as E
  const [free, end] = [from ? null : freePort(line, 'from'), to ? null : freePort(line, 'to')]
  const side = (hold: { side: string } | null | undefined) => (hold && hold.side !== 'auto' ? (hold.side as Side) : undefined)
  const ports = bestPorts(from?.box ?? pointBox(free!), to?.box ?? pointBox(end!), { from: side(line.from), to: side(line.to) })
  const pair = { from: free ?? ports.from, to: end ?? ports.to }
  const walls = obstacles.map(other => boundsOf(other.box))
  // What it holds on to is in the way too: the route leaves from its edge and does not run back through it.
  const held = [from, to].filter(end => end !== undefined && end !== null).map(end => boundsOf(end.box))
  const points =
    way === 'elbow'
      ? routeAround(pair.from, pair.to, [...walls, ...held])
      : way === 'curve'
        ? curveBetween(pair.from, pair.to)
        : [pair.from.point, pair.to.point]
  const through = lineThrough(points)
  const made = {
    ...line,
    box: through.box,
    line: { way: way === 'elbow' ? 'elbow' : way === 'curve' ? 'curve' : 'straight', points: through.points },
  } as E
  routes.set(line, { key, made })
  return made
}

/** Elements with every line that holds on to others drawn where those stand now. */
export function withConnectors<E extends Boxed>(elements: readonly E[]): readonly E[] {
  if (!elements.some(isHeld)) return elements
  const byId = new Map(elements.map(element => [element.id, element]))
  return elements.map(element => (isHeld(element) ? routed(element as E & ShapeElement & Boxed, byId, elements) : element))
}
