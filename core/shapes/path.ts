import svgpath from 'svgpath'
import { pointsAlong } from './shape'

/** A path in deck space: its length, px, and where it is after a share of that, with its direction, degrees clockwise from rightwards. */
export interface PathMeasure {
  length: number
  at(share: number): { x: number; y: number; angle: number }
}

const known = new Map<string, PathMeasure>()
const remembered = 500
/** A curve is told into so many straight pieces: off by under a thousandth of its length. */
const pieces = 32

/** Measures SVG path data; what cannot be read is a path of no length at its origin. Shares outside 0 to 1 run on straight at its ends. */
export function measurePath(data: string): PathMeasure {
  let made = known.get(data)
  if (made) return made
  const points = pointsAlong(data, pieces)
  const lengths = [0]
  for (let index = 1; index < points.length; index++)
    lengths.push(lengths[index - 1]! + Math.hypot(points[index]![0] - points[index - 1]![0], points[index]![1] - points[index - 1]![1]))
  const length = lengths.at(-1) ?? 0
  made = {
    length,
    at(share) {
      if (length === 0) return { x: points[0]?.[0] ?? 0, y: points[0]?.[1] ?? 0, angle: 0 }
      const wanted = share * length
      let low = 1
      let high = points.length - 1
      while (low < high) {
        const middle = (low + high) >> 1
        if (lengths[middle]! < wanted) low = middle + 1
        else high = middle
      }
      while (lengths[low]! === lengths[low - 1]! && low > 1) low--
      const [from, to] = [points[low - 1]!, points[low]!]
      const piece = lengths[low]! - lengths[low - 1]! || 1
      const along = (wanted - lengths[low - 1]!) / piece
      return {
        x: from[0] + (to[0] - from[0]) * along,
        y: from[1] + (to[1] - from[1]) * along,
        angle: (Math.atan2(to[1] - from[1], to[0] - from[0]) * 180) / Math.PI,
      }
    },
  }
  if (known.size >= remembered) known.clear()
  known.set(data, made)
  return made
}

/** SVG path data as its stretches without a gap; what cannot be read has none. */
export function stretchesOf(d: string): string[] {
  const path = svgpath(d).abs()
  const made: string[] = []
  let open = ''
  path.iterate((segment, index, x, y) => {
    const words = segment.join(' ')
    if (segment[0] === 'M') {
      if (open) made.push(open)
      open = words
    } else {
      open += `${open ? '' : `M${x} ${y}`}${words}`
      if (segment[0] === 'Z') {
        made.push(open)
        open = ''
      }
    }
  })
  if (open) made.push(open)
  return made.filter(one => /[^M\d\s.-]/.test(one))
}
