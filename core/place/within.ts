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

type Points = readonly (readonly [number, number])[]
/** The edges of outlines lie in so many bands, so that a level meets few of them. */
const bands = 64
const known = new WeakMap<Points, (x: number, y: number) => boolean>()

/**
 * The same as `isWithin` for many places of the same outlines: fast where they are asked for level by level, as what a level crosses
 * is kept until another one comes.
 */
export function withinOf(points: Points): (x: number, y: number) => boolean {
  const found = known.get(points) ?? levelled(points)
  known.set(points, found)
  return found
}

function levelled(points: Points): (x: number, y: number) => boolean {
  const levels = points.map(([, y]) => y)
  const [top, bottom] = [Math.min(...levels), Math.max(...levels)]
  const high = (bottom - top) / bands || 1
  const bandOf = (y: number) => Math.max(0, Math.min(bands - 1, Math.floor((y - top) / high)))
  const edges: (readonly [ax: number, ay: number, bx: number, by: number])[][] = Array.from({ length: bands }, () => [])
  points.forEach(([ax, ay], index) => {
    const [bx, by] = points[(index || points.length) - 1]!
    for (let band = bandOf(Math.min(ay, by)); band <= bandOf(Math.max(ay, by)); band++) edges[band]!.push([ax, ay, bx, by])
  })
  let level = Number.NaN
  let crossings: number[] = []
  return (x, y) => {
    if (y !== level) {
      level = y
      crossings = []
      if (y >= top && y <= bottom)
        for (const [ax, ay, bx, by] of edges[bandOf(y)]!) if (ay > y !== by > y) crossings.push(((bx - ax) * (y - ay)) / (by - ay) + ax)
    }
    let inside = false
    for (const crossing of crossings) if (x < crossing) inside = !inside
    return inside
  }
}
