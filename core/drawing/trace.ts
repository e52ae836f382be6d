import type { Traced } from './ink'

/** A picture as pixels: red, green, blue and opacity, 0 to 255 each, row by row. */
export interface Pixels {
  width: number
  height: number
  data: ArrayLike<number>
}

/** The share of a picture's pixels that are taken for edges, at most; and what an edge is at least, of a difference of 255. */
const edges = { share: 0.1, least: 26, weak: 0.45 }
/** Lines that are shorter than this share of the picture's longer side are grain. */
const grain = 0.018
/** How far a line may be off from where it was found, px. */
const tolerance = 0.7
/** More lines than these nobody would draw; the longest stay. */
const most = 700

type Point = [number, number]

/** Grey of each pixel, smoothed over its neighbours; what can be seen through lies on white. */
function smoothGrey({ width, height, data }: Pixels): Float32Array {
  const grey = Float32Array.from({ length: width * height }, (_, index) => {
    const alpha = data[index * 4 + 3]! / 255
    // Rec. 709 luma.
    return 255 + (0.2126 * data[index * 4]! + 0.7152 * data[index * 4 + 1]! + 0.0722 * data[index * 4 + 2]! - 255) * alpha
  })
  const blurred = (from: Float32Array, step: number, at: (index: number) => boolean) =>
    from.map((value, index) => (at(index) ? (from[index - step]! + 2 * value + from[index + step]!) / 4 : value))
  const across = blurred(grey, 1, index => index % width > 0 && index % width < width - 1)
  return blurred(across, width, index => index >= width && index < width * (height - 1))
}

/** Pixels that lie on edges: strong ones, and weak ones beside them (Sobel's operator, with two thresholds as Canny has them). */
function edgePixels(pixels: Pixels): Uint8Array {
  const { width, height } = pixels
  const grey = smoothGrey(pixels)
  const strength = new Float32Array(width * height)
  for (let y = 1; y < height - 1; y++) {
    for (let x = 1; x < width - 1; x++) {
      const at = (dx: number, dy: number) => grey[(y + dy) * width + x + dx]!
      const gx = at(1, -1) + 2 * at(1, 0) + at(1, 1) - at(-1, -1) - 2 * at(-1, 0) - at(-1, 1)
      const gy = at(-1, 1) + 2 * at(0, 1) + at(1, 1) - at(-1, -1) - 2 * at(0, -1) - at(1, -1)
      strength[y * width + x] = Math.hypot(gx, gy) / 4
    }
  }
  const sorted = Float32Array.from(strength).sort()
  const strong = Math.max(edges.least, sorted[Math.floor(sorted.length * (1 - edges.share))]!)
  const made = new Uint8Array(width * height)
  const open = [...strength.keys()].filter(index => strength[index]! >= strong)
  for (const index of open) made[index] = 1
  while (open.length) {
    const index = open.pop()!
    for (const step of [-1, 1, -width, width]) {
      const next = index + step
      if (!made[next] && strength[next]! >= strong * edges.weak) {
        made[next] = 1
        open.push(next)
      }
    }
  }
  return made
}

/** Thins what is set to lines one pixel wide (Zhang and Suen, 1984). */
export function thinned(set: Uint8Array, width: number, height: number): Uint8Array {
  const made = Uint8Array.from(set)
  for (let x = 0; x < width; x++) made[x] = made[(height - 1) * width + x] = 0
  for (let y = 0; y < height; y++) made[y * width] = made[y * width + width - 1] = 0
  for (let changed = true; changed;) {
    changed = false
    for (const odd of [true, false]) {
      const gone: number[] = []
      for (let index = width + 1; index < made.length - width - 1; index++) {
        if (!made[index]) continue
        const [n, ne, e, se, s, sw, w, nw] = [
          made[index - width]!,
          made[index - width + 1]!,
          made[index + 1]!,
          made[index + width + 1]!,
          made[index + width]!,
          made[index + width - 1]!,
          made[index - 1]!,
          made[index - width - 1]!,
        ]
        const ring = [n, ne, e, se, s, sw, w, nw]
        const count = ring.reduce((sum, one) => sum + one, 0)
        if (count < 2 || count > 6) continue
        if (ring.filter((one, at) => !one && ring[(at + 1) % 8]).length !== 1) continue
        if (odd ? (n && e && s) || (e && s && w) : (n && e && w) || (n && s && w)) continue
        gone.push(index)
      }
      for (const index of gone) made[index] = 0
      changed ||= gone.length > 0
    }
  }
  return made
}

/** Lines through what is set, one pixel after the other; at a crossing one goes on, and the others begin there. */
function linesThrough(set: Uint8Array, width: number): Point[][] {
  const left = Uint8Array.from(set)
  const around = [-1, 1, -width, width, -width - 1, -width + 1, width - 1, width + 1]
  const next = (index: number) => around.map(step => index + step).find(other => left[other])
  const point = (index: number): Point => [index % width, Math.floor(index / width)]
  const walk = (from: number): Point[] => {
    const made: Point[] = []
    for (let at: number | undefined = from; at !== undefined; at = next(at)) {
      left[at] = 0
      made.push(point(at))
    }
    return made
  }
  const lines: Point[][] = []
  for (let index = 0; index < left.length; index++) {
    if (!left[index]) continue
    const there = walk(index)
    const on = next(index)
    lines.push(on === undefined ? there : [...walk(on).reverse(), ...there])
  }
  return lines
}

/** Fewer points that are off by no more than `by` px (Ramer, Douglas and Peucker). */
function simplified(points: readonly Point[], by: number): Point[] {
  if (points.length < 3) return [...points]
  const [[ax, ay], [bx, by2]] = [points[0]!, points.at(-1)!]
  const base = Math.hypot(bx - ax, by2 - ay)
  let [far, where] = [0, 0]
  points.forEach(([x, y], index) => {
    const off = base ? Math.abs((bx - ax) * (ay - y) - (ax - x) * (by2 - ay)) / base : Math.hypot(x - ax, y - ay)
    if (off > far) [far, where] = [off, index]
  })
  if (far <= by) return [points[0]!, points.at(-1)!]
  return [...simplified(points.slice(0, where + 1), by).slice(0, -1), ...simplified(points.slice(where), by)]
}

const lengthOf = (points: readonly Point[]) =>
  points.slice(1).reduce((sum, [x, y], index) => sum + Math.hypot(x - points[index]![0], y - points[index]![1]), 0)

/** Lines in the order of a hand: it begins at the top left, then takes the nearest end each time. */
export function inHandOrder(lines: readonly (readonly Point[])[]): Point[][] {
  const left = [...lines]
  const made: Point[][] = []
  let hand: Point = [0, 0]
  while (left.length) {
    let [best, at, turned] = [Infinity, 0, false]
    left.forEach((line, index) => {
      for (const back of [false, true]) {
        const [x, y] = back ? line.at(-1)! : line[0]!
        const far = (x - hand[0]) ** 2 + (y - hand[1]) ** 2
        if (far < best) [best, at, turned] = [far, index, back]
      }
    })
    const [line] = left.splice(at, 1)
    made.push(turned ? [...line!].reverse() : [...line!])
    hand = made.at(-1)!.at(-1)!
  }
  return made
}

/** The lines of a picture in the order of a hand. Pictures of up to about 500 px a side keep it under a second. */
export function tracePicture(pixels: Pixels): Traced {
  const { width, height } = pixels
  const lines = linesThrough(thinned(edgePixels(pixels), width, height), width)
    .map(line => ({ line, length: lengthOf(line) }))
    .filter(({ length }) => length >= Math.max(width, height) * grain)
    .sort((a, b) => b.length - a.length)
    .slice(0, most)
    .map(({ line }) => simplified(line, tolerance))
  return { width, height, paths: inHandOrder(lines).map(line => `M${line.map(([x, y]) => `${x} ${y}`).join('L')}`) }
}
