import svgpath from 'svgpath'

/** Something that varies in a shape and is dragged by a handle of its own. */
export interface Amount {
  name: string
  label: string
  initial: number
  min: number
  max: number
  /** Whole numbers only, such as how many points a star has. */
  whole?: boolean
  /** Where its handle stands, as fractions of the box; absent, it has only its number. */
  at?(value: number, size: Size, amounts: Amounts): Spot
  /** The value that puts the handle there. */
  read?(spot: Spot, size: Size, amounts: Amounts): number
}

export interface Size {
  width: number
  height: number
}
/** A place as fractions of a box. */
export interface Spot {
  x: number
  y: number
}
export type Amounts = Readonly<Record<string, number>>

/** A shape of the catalogue. */
export interface Shape {
  name: string
  label: string
  /** Other words that it is found by. */
  keywords?: string
  group: 'plain' | 'many-sided' | 'arrows' | 'callouts' | 'round' | 'signs' | 'marks' | 'ornaments'
  amounts?: readonly Amount[]
  /** Its outline as an SVG path (even-odd) in a box of that size, px. */
  path(size: Size, amounts: Amounts): string
  /** Whether it covers nearly all of its box, so that words in the box stand on it. */
  covers?: boolean
}

export const short = (value: number) => Math.round(value * 100) / 100 + 0
const pair = ([x, y]: readonly [number, number]) => `${short(x)} ${short(y)}`

/** A closed path through points given in px. */
export const polygon = (points: readonly (readonly [number, number])[]) => `M${points.map(pair).join('L')}Z`

/** A closed path through points given as fractions of a box. */
export const polygonIn = ({ width, height }: Size, points: readonly (readonly [number, number])[]) =>
  polygon(points.map(([x, y]) => [x * width, y * height]))

/** Points around the middle of a box, as fractions; `turn` in degrees clockwise from the top. */
export const around = (count: number, radius = 0.5, turn = 0): [number, number][] =>
  Array.from({ length: count }, (_, index) => {
    const angle = ((index / count) * 360 + turn) * (Math.PI / 180)
    return [0.5 + Math.sin(angle) * radius, 0.5 - Math.cos(angle) * radius]
  })

/** Points stretched so that they fill the box from edge to edge. */
export function stretched(points: readonly (readonly [number, number])[]): [number, number][] {
  const [xs, ys] = [points.map(([x]) => x), points.map(([, y]) => y)]
  const [left, top] = [Math.min(...xs), Math.min(...ys)]
  const [wide, high] = [Math.max(...xs) - left || 1, Math.max(...ys) - top || 1]
  return points.map(([x, y]) => [(x - left) / wide, (y - top) / high])
}

/** An ellipse that fills a rectangle, as a closed path. */
export const ellipse = (x: number, y: number, width: number, height: number) => {
  const [rx, ry] = [short(width / 2), short(height / 2)]
  return (
    `M${pair([x, y + height / 2])}A${rx} ${ry} 0 1 1 ${pair([x + width, y + height / 2])}A${rx} ${ry} 0 1 1 ` +
    `${pair([x, y + height / 2])}Z`
  )
}

/** A rectangle whose corners (from the top left, clockwise) are rounded by radii in px. */
export function roundedRectangle({ width, height }: Size, radii: readonly [number, number, number, number], x = 0, y = 0): string {
  const most = Math.min(width, height) / 2
  const [a, b, c, d] = radii.map(radius => Math.max(0, Math.min(radius, most))) as [number, number, number, number]
  const arc = (radius: number, to: readonly [number, number]) => (radius > 0 ? `A${short(radius)} ${short(radius)} 0 0 1 ${pair(to)}` : '')
  return `M${pair([x + a, y])}L${pair([x + width - b, y])}${arc(b, [x + width, y + b])}L${pair([x + width, y + height - c])}${arc(c, [x + width - c, y + height])}L${pair([x + d, y + height])}${arc(d, [x, y + height - d])}L${pair([x, y + a])}${arc(a, [x + a, y])}Z`
}

/** A smooth closed path through points in px (Catmull-Rom, as cubic curves). */
export function smoothClosed(points: readonly (readonly [number, number])[]): string {
  const at = (index: number) => points[(index + points.length) % points.length]!
  let d = `M${pair(at(0))}`
  for (let i = 0; i < points.length; i++) {
    const [before, from, to, after] = [at(i - 1), at(i), at(i + 1), at(i + 2)]
    d +=
      `C${pair([from[0] + (to[0] - before[0]) / 6, from[1] + (to[1] - before[1]) / 6])} ` +
      `${pair([to[0] - (after[0] - from[0]) / 6, to[1] - (after[1] - from[1]) / 6])} ${pair(to)}`
  }
  return `${d}Z`
}

/** An amount that is a share along the top edge from the left, with its handle there. */
export const alongTop = (name: string, label: string, initial: number, most = 1, least = 0): Amount => ({
  name,
  label,
  initial,
  min: least,
  max: most,
  at: value => ({ x: value, y: 0 }),
  read: spot => spot.x,
})
/** An amount that is a share down the left edge from the top, with its handle there. */
export const downLeft = (name: string, label: string, initial: number, most = 1, least = 0): Amount => ({
  name,
  label,
  initial,
  min: least,
  max: most,
  at: value => ({ x: 0, y: value }),
  read: spot => spot.y,
})
/** An amount measured from the right edge, as a share of the width, with its handle on the top edge. */
export const fromRight = (name: string, label: string, initial: number, most = 1): Amount => ({
  name,
  label,
  initial,
  min: 0,
  max: most,
  at: value => ({ x: 1 - value, y: 0 }),
  read: spot => 1 - spot.x,
})
/** An amount that is a share of the shorter side, with its handle on the top edge. */
export const corner = (name = 'corner', label = 'Corner', initial = 0.2, most = 0.5): Amount => ({
  name,
  label,
  initial,
  min: 0,
  max: most,
  at: (value, size) => ({ x: (value * Math.min(size.width, size.height)) / size.width, y: 0 }),
  read: (spot, size) => (spot.x * size.width) / Math.min(size.width, size.height),
})

/** Points along a path as it is drawn, px: corners, and curves at so many steps each; a closed one returns to its first. */
export function pointsAlong(d: string, steps = 8): [number, number][] {
  const made: [number, number][] = []
  svgpath(d)
    .abs()
    .unshort()
    .unarc()
    .iterate((segment, _, x, y) => {
      const [kind, ...values] = segment as [string, ...number[]]
      if (kind === 'H') made.push([values[0]!, y])
      else if (kind === 'V') made.push([x, values[0]!])
      else if (kind === 'C' || kind === 'Q') {
        const controls = [
          [x, y],
          ...Array.from({ length: values.length / 2 }, (_, index) => [values[index * 2]!, values[index * 2 + 1]!]),
        ] as [number, number][]
        for (let step = 1; step <= steps; step++) {
          // De Casteljau: the point of a curve by halving between its controls.
          let points = controls
          while (points.length > 1)
            points = points
              .slice(1)
              .map((to, index) => [
                points[index]![0] + ((to[0] - points[index]![0]) * step) / steps,
                points[index]![1] + ((to[1] - points[index]![1]) * step) / steps,
              ])
          made.push(points[0]!)
        }
      } else if (kind === 'Z') {
        if (made.length) made.push(made[0]!)
      } else for (let at = 0; at + 1 < values.length; at += 2) made.push([values[at]!, values[at + 1]!])
    })
  return made
}

/** A path drawn smaller where it would leave its box, so that it fills it at most. */
export function heldIn(size: Size, d: string): string {
  const points = pointsAlong(d)
  let [left, top, right, bottom] = [0, 0, size.width, size.height]
  for (const [x, y] of points) {
    left = Math.min(left, x)
    top = Math.min(top, y)
    right = Math.max(right, x)
    bottom = Math.max(bottom, y)
  }
  if (left > -0.01 && top > -0.01 && right < size.width + 0.01 && bottom < size.height + 0.01) return d
  return svgpath(d)
    .translate(-left, -top)
    .scale(size.width / (right - left), size.height / (bottom - top))
    .round(2)
    .toString()
}
