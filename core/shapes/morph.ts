import { measurePath, stretchesOf } from './path'

type Point = readonly [number, number]

/** So many points an outline is told by on its way; what is between them is straight. */
const corners = 144

const sampled = (d: string): Point[] => {
  const measure = measurePath(stretchesOf(d)[0] ?? d)
  return Array.from({ length: corners }, (_, index) => {
    const { x, y } = measure.at(index / corners)
    return [x, y] as const
  })
}
/** Twice the area that points enclose; below 0 where they run the other way round. */
const area = (points: readonly Point[]) =>
  points.reduce((sum, [x, y], index) => {
    const [nx, ny] = points[(index + 1) % points.length]!
    return sum + x * ny - nx * y
  }, 0)

/** The points of an outline turned and begun so that they lie nearest to those of another. */
function aligned(points: readonly Point[], to: readonly Point[]): readonly Point[] {
  const way = area(points) * area(to) < 0 ? [...points].reverse() : points
  let [best, least] = [0, Infinity]
  for (let shift = 0; shift < corners; shift += 2) {
    let sum = 0
    for (let index = 0; index < corners && sum < least; index += 3) {
      const [[ax, ay], [bx, by]] = [way[(index + shift) % corners]!, to[index]!]
      sum += (ax - bx) ** 2 + (ay - by) ** 2
    }
    if (sum < least) [best, least] = [shift, sum]
  }
  return [...way.slice(best), ...way.slice(0, best)]
}

const known = new Map<string, { from: readonly Point[]; to: readonly Point[] }>()
const remembered = 60

/** The outline at `share` (0 to 1) of the way from one closed outline to another, SVG path data; their first stretches count. */
export function outlineBetween(from: string, to: string, share: number): string {
  if (share <= 0) return from
  if (share >= 1) return to
  const key = `${from}|${to}`
  let pair = known.get(key)
  if (!pair) {
    const ends = sampled(to)
    pair = { from: aligned(sampled(from), ends), to: ends }
    if (known.size >= remembered) known.clear()
    known.set(key, pair)
  }
  const { from: a, to: b } = pair
  const between = (one: number, other: number) => Math.round((one + (other - one) * share) * 100) / 100
  return `M${a.map(([x, y], index) => `${between(x, b[index]![0])} ${between(y, b[index]![1])}`).join('L')}Z`
}
