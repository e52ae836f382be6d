import { createNoise2D } from 'simplex-noise'
import { seeded } from '../../values'
import { linePath } from '../lines'
import { ellipse, polygon, short, smoothClosed, type Amount, type Amounts, type Shape, type Size } from '../shape'

/** Chance that follows from the amounts of a shape: the same for the same seed. */
const chanceOf = (amounts: Amounts) => seeded(Math.round((amounts.seed ?? seed.initial) * 7919))

const seed: Amount = { name: 'seed', label: 'Turn of chance', initial: 7, min: 0, max: 100 }
const amount = (name: string, label: string, initial: number, min: number, max: number, whole?: true): Amount => ({
  name,
  label,
  initial,
  min,
  max,
  ...(whole ? { whole } : {}),
})
type Point = readonly [number, number]
const at = ([x, y]: Point) => `${short(x)} ${short(y)}`
const within = (value: number, most: number) => Math.min(most, Math.max(0, value))

/** Samples across a box, so many that waves are smooth. */
const samples = 49
/** Layers stay so much apart, as a share of the box's height, however they pinch. */
const leastApart = 0.0065

/** What varies in layers that are cut from one field of noise; lengths are shares of the box. */
const layered: readonly Amount[] = [
  seed,
  amount('layer', 'Which layer', 0, 0, 30, true),
  amount('top', 'Where the first begins', 0.5, -1, 2),
  amount('gap', 'First gap', 0.05, 0.005, 0.6),
  amount('growth', 'Growth of gaps', 1.06, 0.8, 1.6),
  amount('swell', 'Swell', 0.1, 0, 0.5),
  amount('wave', 'Length of waves', 0.5, 0.1, 3),
  amount('tilt', 'Tilt', 0, -1, 1),
]

/**
 * The edges of layers down to one, each a list of heights across (shares): noise of two lengths, whose second coordinate moves slowly from
 * layer to layer so that neighbours resemble each other; none crosses the one above it.
 */
export function strataEdge(amounts: Amounts): number[] {
  const a = (name: string) => amounts[name] ?? layered.find(one => one.name === name)!.initial
  const noise = createNoise2D(chanceOf(amounts))
  let above: number[] = []
  let top = a('top')
  let gap = a('gap')
  for (let layer = 0; layer <= a('layer'); layer++) {
    const edge = Array.from({ length: samples }, (_, index) => {
      const x = index / (samples - 1)
      const long = noise(x / a('wave') + 0.05 * layer, 0.15 * layer)
      const fine = noise((1.9 * x) / a('wave'), 0.22 * layer + 9)
      return top + a('swell') * (long + 0.22 * fine) + a('tilt') * (x - 0.5)
    })
    above = edge.map((y, index) => (above.length ? Math.max(y, above[index]! + leastApart) : y))
    top += gap
    gap *= a('growth')
  }
  return above
}

const held = ({ width, height }: Size, points: readonly Point[]): Point[] =>
  points.map(([x, y]) => [within(x, width), within(y, height)] as const)

function strata(size: Size, amounts: Amounts, standing: boolean): string {
  const edge = held(
    size,
    strataEdge(amounts).map((y, index) =>
      standing ? [y * size.width, (index / (samples - 1)) * size.height] : [(index / (samples - 1)) * size.width, y * size.height],
    ),
  )
  const [far, near]: [Point, Point] = standing
    ? [
        [size.width, size.height],
        [size.width, 0],
      ]
    : [
        [size.width, size.height],
        [0, size.height],
      ]
  return `${heldPath(size, linePath('curve', edge))}L${at(far)}L${at(near)}Z`
}
/** A path whose curves run along the edge of a box where they would swing over it. */
const heldPath = (size: Size, d: string) =>
  d.replace(/(-?[\d.]+) (-?[\d.]+)/g, (_, x: string, y: string) => at([within(Number(x), size.width), within(Number(y), size.height)]))

/** A ring of anchors on a superellipse, each moved a little, joined as scissors do: long curves with a straight cut here and there. */
function pebble({ width, height }: Size, amounts: Amounts): string {
  const random = chanceOf(amounts)
  const count = 10 + Math.floor(random() * 6)
  const power = 2 / 2.6
  const anchors = Array.from({ length: count }, (_, index): Point => {
    const angle = (index / count) * 2 * Math.PI + (random() - 0.5) * 0.18
    const far = 0.93 + (random() - 0.5) * 0.1
    const [c, s] = [Math.cos(angle), Math.sin(angle)]
    const [x, y] = [Math.sign(c) * Math.abs(c) ** power, Math.sign(s) * Math.abs(s) ** power]
    return [(width / 2) * (1 + x * far), (height / 2) * (1 + y * far)]
  })
  return cut(held({ width, height }, anchors), random, 0.26)
}
/** Joins the middles of the sides of a polygon: by a curve about each anchor, or by two straight cuts through it. */
function cut(anchors: readonly Point[], random: () => number, straight: number): string {
  const middle = (index: number): Point => {
    const [a, b] = [anchors[index]!, anchors[(index + 1) % anchors.length]!]
    return [(a[0] + b[0]) / 2, (a[1] + b[1]) / 2]
  }
  let d = `M${at(middle(anchors.length - 1))}`
  anchors.forEach((anchor, index) => {
    d += random() < straight ? `L${at(anchor)}L${at(middle(index))}` : `Q${at(anchor)} ${at(middle(index))}`
  })
  return `${d}Z`
}

/** A cut sheet: corners off by a little, and one anchor more on each long side. `off` is a share of the shorter side. */
function sheet(size: Size, amounts: Amounts): string {
  const random = chanceOf(amounts)
  const off = (amounts.off ?? 0.03) * Math.min(size.width, size.height)
  const near = (x: number, y: number): Point => [x + (random() - 0.5) * 2 * off, y + (random() - 0.5) * 2 * off]
  const { width: w, height: h } = size
  const inner = (value: number, most: number) => off + (value / most) * (most - 2 * off)
  const [left, right, top, bottom] = [inner(0, w), inner(w, w), inner(0, h), inner(h, h)]
  const long = 0.3 + random() * 0.4
  return polygon(
    held(size, [
      near(left, top),
      near(left + (right - left) * long, top),
      near(right, top),
      near(right, bottom),
      near(left + (right - left) * (1 - long), bottom),
      near(left, bottom),
    ]),
  )
}

/** An engraved band: threads that are sums of two waves, so that they cross in lobes and meet in a waist at both ends. */
function band({ width, height }: Size, amounts: Amounts): string {
  const random = chanceOf(amounts)
  const threads = Math.round(amounts.threads ?? 39)
  const [p, share] = [2 + Math.floor(random() * 2), 0.5 + random() * 0.14]
  const q = p + 3 + Math.floor(random() * 3)
  const steps = 120
  return Array.from({ length: threads }, (_, thread) => {
    const u = (thread / threads) * 2 * Math.PI
    const points = Array.from({ length: steps + 1 }, (__, step): Point => {
      const v = step / steps
      const waist = Math.sin(Math.PI * v) ** 0.35
      const y = share * Math.sin(2 * Math.PI * q * v + u) + (1 - share) * Math.sin(2 * Math.PI * p * v - u)
      return [v * width, (height / 2) * (1 + y * waist)]
    })
    return `M${points.map(at).join('L')}`
  }).join('')
}

/** Stars of a few sizes, strewn by chance, thinner to the foot. */
function stars({ width, height }: Size, amounts: Amounts): string {
  const random = chanceOf(amounts)
  const unit = Math.min(width, height)
  return Array.from({ length: Math.round(amounts.count ?? 60) }, () => {
    const r = unit * (random() ** 3 * 0.006 + 0.0016)
    const x = r + random() * (width - 2 * r)
    const y = r + random() ** 1.3 * (height - 2 * r)
    return ellipse(x - r, y - r, 2 * r, 2 * r)
  }).join('')
}

const mostDots = 1500

/** Dots on a grid whose size falls from one side to the other, with a soft turn by noise: a screen of printing. */
function halftone({ width, height }: Size, amounts: Amounts): string {
  const noise = createNoise2D(chanceOf(amounts))
  // However fine the step, so many dots are enough.
  const step = Math.max((amounts.step ?? 0.04) * Math.min(width, height), Math.sqrt((width * height) / mostDots))
  const [across, down] = [Math.max(1, Math.floor(width / step)), Math.max(1, Math.floor(height / step))]
  const turn = ((amounts.turn ?? 0) * Math.PI) / 180
  const made: string[] = []
  for (let row = 0; row < down; row++)
    for (let column = 0; column < across; column++) {
      const [x, y] = [(column + 0.5) / across, (row + 0.5) / down]
      const along = 0.5 + (x - 0.5) * Math.cos(turn) + (y - 0.5) * Math.sin(turn)
      const share = within(along + noise(x * 1.6, y * 1.6) * (amounts.swell ?? 0.25), 1)
      const r = share * 0.49 * step
      if (r < step * 0.06) continue
      const [cx, cy] = [(column + 0.5) * (width / across), (row + 0.5) * (height / down)]
      const held = Math.min(r, cx, cy, width - cx, height - cy)
      made.push(ellipse(cx - held, cy - held, 2 * held, 2 * held))
    }
  return (
    made.join('') ||
    polygon([
      [0, 0],
      [1, 0],
      [1, 1],
    ])
  )
}

/** Cells of a sign on a grid of two by two: what it is made of, each in a box from 0 to 1. */
const signParts: readonly ((turn: number) => readonly Point[])[] = [
  () => [
    [0, 0],
    [1, 0],
    [1, 1],
    [0, 1],
  ],
  turn =>
    turnedBy(
      [
        [0, 0],
        [1, 1],
        [0, 1],
      ],
      turn,
    ),
  turn =>
    turnedBy(
      Array.from({ length: 13 }, (_, i): Point => [Math.sin((i / 12) * (Math.PI / 2)), 1 - Math.cos((i / 12) * (Math.PI / 2))])
        .concat([[0, 1]])
        .map(([x, y]): Point => [x, y]),
      turn,
    ),
  turn =>
    turnedBy(
      [
        [0, 0.3],
        [1, 0.3],
        [1, 0.7],
        [0, 0.7],
      ],
      turn,
    ),
]
function turnedBy(points: readonly Point[], turn: number): Point[] {
  return points.map(([x, y]) => {
    let [a, b] = [x, y]
    for (let count = 0; count < turn; count++) [a, b] = [1 - b, a]
    return [a, b] as const
  })
}
/** A sign of two by two cells, the same on both sides or turned about its middle. */
function sign({ width, height }: Size, amounts: Amounts): string {
  const random = chanceOf(amounts)
  const side = Math.min(width, height)
  const [left, top] = [(width - side) / 2, (height - side) / 2]
  const isMirrored = random() < 0.6
  const pick = () => ({ part: signParts[Math.floor(random() * signParts.length)]!, turn: Math.floor(random() * 4) })
  const [upper, drawn] = [pick(), pick()]
  // Four full cells would be no sign, only a square.
  const lower = upper.part === signParts[0] && drawn.part === signParts[0] ? { ...drawn, part: signParts[1]! } : drawn
  const cells = [upper, lower].flatMap(({ part, turn }, row) => {
    const own = part(turn)
    const other = isMirrored ? own.map(([x, y]): Point => [1 - x, y]) : turnedBy(own, 2)
    return [
      { points: own, column: 0, row },
      { points: other, column: 1, row: isMirrored ? row : 1 - row },
    ]
  })
  return cells
    .map(({ points, column, row }) => polygon(points.map(([x, y]) => [left + ((column + x) * side) / 2, top + ((row + y) * side) / 2])))
    .join('')
}

/** One of the lines of equal height of a hilly field: a closed curve about its top, further out for each level. */
function contour({ width, height }: Size, amounts: Amounts): string {
  const noise = createNoise2D(chanceOf(amounts))
  const level = (amounts.level ?? 0.5) * 0.98
  const points = Array.from({ length: 48 }, (_, index): Point => {
    const angle = (index / 48) * 2 * Math.PI
    const far = level * (0.78 + 0.2 * noise(Math.cos(angle) * 0.9 + level * 0.6, Math.sin(angle) * 0.9 + 3))
    return [(width / 2) * (1 + Math.cos(angle) * far), (height / 2) * (1 + Math.sin(angle) * far)]
  })
  return smoothClosed(points)
}

/** Ornaments that are reckoned from a seed: the same one for the same amounts. */
export const ornamentShapes: readonly Shape[] = [
  {
    name: 'strata',
    label: 'Layer of water',
    keywords: 'wave sea hills strata land',
    group: 'ornaments',
    amounts: layered,
    path: (size, amounts) => strata(size, amounts, false),
  },
  {
    name: 'strata-standing',
    label: 'Layer of a shore',
    keywords: 'wave standing strata coast side',
    group: 'ornaments',
    amounts: layered,
    path: (size, amounts) => strata(size, amounts, true),
  },
  { name: 'pebble', label: 'Pebble', keywords: 'cut paper stone blob', group: 'ornaments', amounts: [seed], covers: true, path: pebble },
  {
    name: 'sheet',
    label: 'Cut sheet',
    keywords: 'paper card cut note',
    group: 'ornaments',
    amounts: [seed, amount('off', 'How far off', 0.03, 0, 0.2)],
    covers: true,
    path: sheet,
  },
  {
    name: 'band',
    label: 'Engraved band',
    keywords: 'guilloche threads banknote',
    group: 'ornaments',
    amounts: [seed, amount('threads', 'Threads', 39, 3, 60, true)],
    path: band,
  },
  {
    name: 'stars',
    label: 'Stars',
    keywords: 'sky night dots',
    group: 'ornaments',
    amounts: [seed, amount('count', 'How many', 60, 1, 100, true)],
    path: stars,
  },
  {
    name: 'halftone',
    label: 'Printed dots',
    keywords: 'halftone screen raster dots',
    group: 'ornaments',
    amounts: [seed, amount('step', 'Step', 0.04, 0.02, 0.3), amount('turn', 'Turn', 0, 0, 100), amount('swell', 'Swell', 0.25, 0, 1)],
    path: halftone,
  },
  { name: 'sign', label: 'Sign of parts', keywords: 'mark blocks geometric', group: 'ornaments', amounts: [seed], path: sign },
  {
    name: 'contour',
    label: 'Line of a height',
    keywords: 'map contour hill ring',
    group: 'ornaments',
    amounts: [seed, amount('level', 'Level', 0.5, 0.05, 1)],
    path: contour,
  },
]
