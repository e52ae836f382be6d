import type { FigureLook } from '../model'
import { aboutHead, disc, polygon, smooth, type FigurePart, type Sitter } from './outlines'

/** Points about the head: shares of its radius, x the way it faces, y down. */
type Points = readonly (readonly [number, number])[]

interface Drawn {
  behind: FigurePart[]
  over: FigurePart[]
}

/** What draws hair: a closed curve through points, discs of a radius (a share of the head's) about them, a polygon. */
interface Brush {
  curve(points: Points): string
  discs(points: Points, radius: number): string
  corners(points: Points): string
}

const crown: Points = [
  [-1.06, 0.1],
  [-1.05, -0.55],
  [-0.5, -1.12],
  [0.3, -1.14],
  [0.95, -0.62],
  [0.86, -0.3],
  [0.2, -0.62],
  [-0.45, -0.5],
  [-0.66, 0.02],
]
const parting: Points = [
  [-1.06, 0.2],
  [-1.06, -0.6],
  [-0.4, -1.2],
  [0.6, -1.22],
  [1.12, -0.5],
  [0.9, -0.16],
  [0.62, -0.62],
  [-0.3, -0.66],
  [-0.7, -0.1],
]
const peak: Points = [
  [-1.06, -0.22],
  [1.06, -0.22],
  [1.72, -0.1],
  [1.68, -0.36],
  [1.02, -0.46],
]
const capCrown: Points = [
  [-1.08, -0.22],
  [-0.98, -0.82],
  [-0.1, -1.2],
  [0.8, -0.9],
  [1.06, -0.24],
]
const curlsBehind: Points = [
  [-0.9, -0.1],
  [-0.95, 0.4],
  [0.85, 0.1],
]
const curlsOver: Points = [
  [-0.86, -0.55],
  [-0.42, -0.98],
  [0.14, -1.08],
  [0.66, -0.82],
  [0.94, -0.4],
  [-1, -0.1],
]
const scarfBehind: Points = [
  [-1.16, -0.2],
  [-0.7, -1.08],
  [0.2, -1.2],
  [0.98, -0.8],
  [1.06, 0.2],
  [0.8, 1.16],
  [0.3, 1.5],
  [-0.9, 1.5],
  [-1.24, 0.7],
]
const scarfOver: Points = [
  [-1.1, 0.3],
  [-1.1, -0.6],
  [-0.4, -1.16],
  [0.4, -1.16],
  [1, -0.66],
  [0.92, -0.4],
  [0.2, -0.72],
  [-0.44, -0.5],
  [-0.6, 0.4],
  [-0.3, 0.96],
  [0.3, 1.02],
  [0.3, 1.4],
  [-0.7, 1.36],
]
const longBehind: Points = [
  [-1.1, -0.2],
  [-0.5, -1.1],
  [0.4, -1.1],
  [1, -0.3],
  [0.7, 0.5],
  [-0.1, 1.9],
  [-1.3, 2],
  [-1.32, 0.8],
]
const bobBehind: Points = [
  [-1.12, -0.1],
  [-0.5, -1.1],
  [0.4, -1.12],
  [1.04, -0.3],
  [0.92, 0.6],
  [0.4, 0.94],
  [-0.9, 0.98],
  [-1.2, 0.6],
]

type Style = FigureLook['hair']['style']
type Layer = readonly [name: string, d: (brush: Brush) => string]
/** What each style draws behind the head and over it. */
const styles: Readonly<Record<Style, { behind?: Layer; over?: Layer }>> = {
  none: {},
  short: { over: ['hair', brush => brush.curve(crown)] },
  side: { over: ['hair', brush => brush.curve(parting)] },
  cap: { over: ['cap', brush => `${brush.corners(peak)}${brush.curve(capCrown)}`] },
  curls: { behind: ['curls', brush => brush.discs(curlsBehind, 0.44)], over: ['curls', brush => brush.discs(curlsOver, 0.4)] },
  scarf: { behind: ['scarf', brush => brush.curve(scarfBehind)], over: ['scarf', brush => brush.curve(scarfOver)] },
  long: { behind: ['hair behind', brush => brush.curve(longBehind)], over: ['hair', brush => brush.curve(crown)] },
  bob: { behind: ['hair behind', brush => brush.curve(bobBehind)], over: ['hair', brush => brush.curve(crown)] },
  bun: { behind: ['bun', brush => brush.discs([[-0.78, -0.98]], 0.48)], over: ['hair', brush => brush.curve(crown)] },
}

export function hairParts({ look, joints, body }: Sitter, color: string): Drawn {
  const place = aboutHead(joints)
  const r = body.head
  const placed = (points: Points) => points.map(([x, y]) => place(x * r, y * r))
  const brush: Brush = {
    curve: points => smooth(placed(points)),
    corners: points => polygon(placed(points)),
    discs: (points, radius) =>
      placed(points)
        .map(center => disc(center, r * radius))
        .join(''),
  }
  const drawn = (layer?: Layer): FigurePart[] => (layer ? [{ name: layer[0], d: layer[1](brush), fill: color }] : [])
  const { behind, over } = styles[look.hair.style]
  return { behind: drawn(behind), over: drawn(over) }
}
