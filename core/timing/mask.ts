/** Corners in turn, as shares of a box's width and height; they may lie outside the box. */
export type Polygon = readonly (readonly [number, number])[]

/** How far the corners of a box are from its middle, as a share of the half of its width and height. */
const corner = Math.SQRT2

const around = (count: number, radius: (index: number) => number, turn = 0): Polygon =>
  Array.from({ length: count }, (_, index) => {
    const angle = (index / count) * 2 * Math.PI - Math.PI / 2 + turn
    return [0.5 + Math.cos(angle) * radius(index) * 0.5, 0.5 + Math.sin(angle) * radius(index) * 0.5] as const
  })

/** Shapes that open from the middle of a box; each covers the whole box at 1. */
export const apertures = {
  /** Forty-eight corners: off from a true ellipse by 0.2 % of its radius. */
  circle: (share: number) => around(48, () => share * corner * 1.01),
  diamond: (share: number) => around(4, () => share * 2),
  hexagon: (share: number) => around(6, () => share * corner * 1.16),
  star: (share: number) => around(10, index => share * (index % 2 ? corner * 1.25 : corner * 2.6)),
} as const satisfies Record<string, (share: number) => Polygon>

export type Aperture = keyof typeof apertures

/** A box uncovered by an edge that leans, from the left to the right; `lean` as a share of its width. */
export function slanted(share: number, lean: number): Polygon {
  const edge = share * (1 + Math.abs(lean))
  const [top, bottom] = lean >= 0 ? [edge, edge - lean] : [edge + lean, edge]
  return [
    [0, 0],
    [top, 0],
    [bottom, 1],
    [0, 1],
  ]
}

/** A box uncovered by a hand that goes round its middle from the top; `way` 1 clockwise, −1 the other way. */
export function swept(share: number, way: 1 | -1): Polygon {
  const angle = share * 2 * Math.PI
  const steps = Math.max(1, Math.ceil(share * 24))
  const rim = Array.from({ length: steps + 1 }, (_, index) => {
    const at = way * (index / steps) * angle - Math.PI / 2
    return [0.5 + Math.cos(at) * corner, 0.5 + Math.sin(at) * corner] as const
  })
  return [[0.5, 0.5], ...rim]
}

/** A box seen through slats that open, all at once: one outline that returns along its edge between them. */
export function slats(share: number, count: number, way: 'across' | 'down'): Polygon {
  const made: [number, number][] = []
  for (let index = 0; index < count; index++) {
    const from = index / count
    const to = (index + share) / count
    made.push([0, from], [1, from], [1, to], [0, to])
  }
  return way === 'across' ? made : made.map(([x, y]) => [y, x] as const)
}

/** Mirrors or turns a mask made from left to right, so that it comes from another side. */
export function fromSide(polygon: Polygon, side: string): Polygon {
  if (side === 'right') return polygon.map(([x, y]) => [1 - x, y] as const)
  if (side === 'top') return polygon.map(([x, y]) => [y, x] as const)
  if (side === 'bottom') return polygon.map(([x, y]) => [y, 1 - x] as const)
  return polygon
}
