import {
  around,
  arrowHead,
  at,
  circle,
  gapOf,
  polygon,
  rectangle,
  stacked,
  type DiagramDrawing,
  type DiagramFamily,
  type ItemDrawing,
  type Place,
  type Size,
  type Spot,
} from '../drawing'
import { rooted, type DiagramItem } from '../items'

const turnOf = (index: number, count: number) => (index / count) * 2 * Math.PI - Math.PI / 2

/**
 * Places around an ellipse that fills a box, the first at the top, clockwise; equal steps along its length, so that neighbours stand
 * equally far apart.
 */
function aroundEllipse(count: number, center: Spot, rx: number, ry: number): Spot[] {
  const steps = 720
  const point = (turn: number) => ({ x: center.x + Math.cos(turn) * rx, y: center.y + Math.sin(turn) * ry })
  const lengths = [0]
  for (let step = 1; step <= steps; step++) {
    const [a, b] = [point(turnOf(step - 1, steps)), point(turnOf(step, steps))]
    lengths.push(lengths[step - 1]! + Math.hypot(b.x - a.x, b.y - a.y))
  }
  const whole = lengths[steps]!
  let step = 0
  return Array.from({ length: count }, (_, index) => {
    const wanted = (index / count) * whole
    while (step < steps && lengths[step + 1]! < wanted) step++
    const rest = lengths[step + 1]! > lengths[step]! ? (wanted - lengths[step]!) / (lengths[step + 1]! - lengths[step]!) : 0
    return point(turnOf(step + rest, steps))
  })
}

/** The largest circles that stand clear of each other around a box; `clear` is the distance of neighbours as a multiple of their width. */
function circlesAround(count: number, size: Size, clear: number): { centers: Spot[]; r: number } {
  const center = { x: size.width / 2, y: size.height / 2 }
  const place = (d: number) => aroundEllipse(count, center, (size.width - d) / 2, (size.height - d) / 2)
  let [low, high] = [1, Math.min(size.width, size.height)]
  if (count === 1) return { centers: [center], r: high * 0.45 }
  for (let round = 0; round < 24; round++) {
    const d = (low + high) / 2
    const centers = place(d)
    const holds = centers.every((a, index) => centers.every((b, other) => other <= index || Math.hypot(a.x - b.x, a.y - b.y) >= d * clear))
    if (holds) low = d
    else high = d
  }
  return { centers: place(low), r: low / 2 }
}

/** The square that fits in a circle, a little less wide than high room allows. */
const within = (center: Spot, r: number) => around(center, r * 1.5, r * 1.3)

/** A round that returns to its first. */
export const ring: DiagramFamily = {
  name: 'ring',
  label: 'Ring',
  description: 'Round and round again',
  keywords: 'cycle circle loop repeat return',
  depth: 1,
  draw(items, size) {
    const { centers, r } = circlesAround(items.length, size, 1.3)
    const head = r * 0.22
    return {
      back: [],
      items: items.map((item, index): ItemDrawing => {
        const center = centers[index]!
        const before = centers[(index + items.length - 1) % items.length]!
        const links: ItemDrawing['links'] = []
        if (items.length > 1) {
          const middle = { x: size.width / 2, y: size.height / 2 }
          const away = Math.hypot(center.x - before.x, center.y - before.y)
          // Out along the ring: a curve through a point pushed away from the middle.
          const mean = { x: (center.x + before.x) / 2, y: (center.y + before.y) / 2 }
          const outwards = Math.atan2(mean.y - middle.y, mean.x - middle.x)
          const bend = { x: mean.x + Math.cos(outwards) * away * 0.1, y: mean.y + Math.sin(outwards) * away * 0.1 }
          const edge = (from: Spot, towards: Spot, gap: number) => {
            const turn = Math.atan2(towards.y - from.y, towards.x - from.x)
            return { x: from.x + Math.cos(turn) * (r + gap), y: from.y + Math.sin(turn) * (r + gap) }
          }
          const [start, tip] = [edge(before, bend, away * 0.02), edge(center, bend, away * 0.03)]
          if (items.length > 2 || index === 1)
            links.push({
              d: `M${at(start)}Q${at(bend)} ${at(tip)}`,
              head: arrowHead(tip, Math.atan2(tip.y - bend.y, tip.x - bend.x), head),
            })
        }
        return {
          item,
          place: around(center, 2 * r, 2 * r),
          shapes: [{ d: circle(center, r), look: 'solid' }],
          links,
          ...stacked(item, within(center, r), 'solid', { share: 0.46 }),
        }
      }),
    }
  },
}

/** One in the middle with the others around it. */
export const hub: DiagramFamily = {
  name: 'hub',
  label: 'Hub',
  description: 'All belong to one in the middle',
  keywords: 'centre star network spokes around',
  depth: 2,
  root: true,
  draw(items, size) {
    const root = rooted(items)
    if (!root) return { back: [], items: [] }
    const center = { x: size.width / 2, y: size.height / 2 }
    const count = root.children.length
    if (!count)
      return {
        back: [],
        items: [
          {
            item: root,
            place: around(center, Math.min(size.width, size.height) * 0.8, Math.min(size.width, size.height) * 0.8),
            shapes: [{ d: circle(center, Math.min(size.width, size.height) * 0.4), look: 'solid' }],
            texts: [
              {
                what: 'head',
                place: within(center, Math.min(size.width, size.height) * 0.4),
                align: 'center',
                vertical: 'middle',
                on: 'solid',
              },
            ],
            links: [],
          },
        ],
      }
    let { centers, r } = circlesAround(count, size, 1.12)
    // The middle keeps room for its own circle.
    const reach = () => Math.min(...centers.map(spot => Math.hypot(spot.x - center.x, spot.y - center.y)))
    const shrunk = Math.min(r, Math.min(size.width, size.height) * 0.19)
    if (shrunk < r) {
      r = shrunk
      centers = aroundEllipse(count, center, size.width / 2 - r, size.height / 2 - r)
    }
    const own = Math.max(4, Math.min(reach() - r * 1.25, Math.min(size.width, size.height) * 0.24))
    const core: ItemDrawing = {
      item: root,
      place: around(center, 2 * own, 2 * own),
      shapes: [{ d: circle(center, own), look: 'solid' }],
      links: [],
      ...stacked({ ...root, children: [] }, within(center, own), 'solid'),
    }
    return {
      back: [],
      items: [
        core,
        ...root.children.map((item, index): ItemDrawing => {
          const spot = centers[index]!
          const turn = Math.atan2(spot.y - center.y, spot.x - center.x)
          const link = `M${at({ x: center.x + Math.cos(turn) * own, y: center.y + Math.sin(turn) * own })}L${at({ x: spot.x - Math.cos(turn) * r, y: spot.y - Math.sin(turn) * r })}`
          return {
            item,
            place: around(spot, 2 * r, 2 * r),
            shapes: [{ d: circle(spot, r), look: 'soft' }],
            links: [{ d: link }],
            ...stacked(item, within(spot, r), 'soft', { share: 0.46 }),
          }
        }),
      ],
    }
  },
}

/** Circles that share a part. */
export const overlap: DiagramFamily = {
  name: 'overlap',
  label: 'Overlap',
  description: 'What they have in common',
  keywords: 'venn circles intersection shared common',
  depth: 1,
  overlaps: true,
  draw(items, size) {
    const { centers, r } = circlesAround(items.length, size, items.length === 2 ? 0.72 : 0.7)
    const center = { x: size.width / 2, y: size.height / 2 }
    return {
      back: [],
      items: items.map((item, index): ItemDrawing => {
        const spot = centers[index]!
        const turn = Math.atan2(spot.y - center.y, spot.x - center.x)
        const alone = items.length === 1
        // Words stand in the part that a circle has to itself.
        const shift = alone ? 0 : r * 0.36
        const words = { x: spot.x + Math.cos(turn) * shift, y: spot.y + Math.sin(turn) * shift }
        const step =
          items.length > 2
            ? Math.min(1, (2 * Math.hypot(words.x - center.x, words.y - center.y) * Math.sin(Math.PI / items.length)) / r)
            : 1
        return {
          item,
          place: around(spot, 2 * r, 2 * r),
          shapes: [{ d: circle(spot, r), look: 'glass' }],
          links: [],
          ...stacked(item, around(words, r * (alone ? 1.4 : 0.98 * step), r * (alone ? 1.2 : 0.72 * step)), 'glass', { share: 0.46 }),
        }
      }),
    }
  },
}

/** Circles within circles, the first innermost, with their words beside. */
export const rings: DiagramFamily = {
  name: 'within',
  label: 'One within another',
  description: 'Each is a part of the next',
  keywords: 'target nested concentric circles scope onion',
  depth: 1,
  overlaps: true,
  draw(items, size) {
    const count = items.length
    const R = Math.min(size.height, size.width * 0.52) / 2
    const center = { x: R, y: size.height / 2 }
    const gap = gapOf(size)
    const side = 2 * R + gap * 1.5
    const height = size.height / Math.max(1, count)
    const outerFirst = [...items].reverse()
    const drawn = outerFirst.map((item, order): ItemDrawing => {
      const index = count - 1 - order
      const r = (R * (index + 1)) / count
      const band = R / count
      const level = height * (index + 0.5)
      // From the top of the circle's own band to its words.
      const y = center.y - r + band / 2
      const from = { x: center.x + Math.sqrt(Math.max(0, (r - band / 4) ** 2 - (y - center.y) ** 2)) * 0.4, y }
      return {
        item,
        place: around(center, 2 * r, 2 * r),
        shapes: [{ d: circle(center, r), look: index % 2 ? 'soft' : 'solid' }],
        links: [{ d: `M${at(from)}L${at({ x: 2 * R + gap * 0.4, y: level })}L${at({ x: side - gap * 0.3, y: level })}` }],
        ...stacked(item, { x: side, y: level - height * 0.46, width: size.width - side, height: height * 0.92 }, 'ground', {
          align: 'left',
          vertical: item.children.length ? 'bottom' : 'middle',
        }),
      }
    })
    return { back: [], items: drawn }
  },
}

/** A side of a balance: its name, where it has one, and what weighs on it. */
interface Side {
  name: DiagramItem | null
  weights: readonly DiagramItem[]
}

/** The first two lines name the sides where something is weighed under them; further lines weigh on the second. */
function sidesOf(items: readonly DiagramItem[]): { sides: [Side, Side]; named: boolean } {
  const [first, second, ...more] = items
  if (first && second && (first.children.length || second.children.length))
    return {
      named: true,
      sides: [
        { name: first, weights: first.children },
        { name: second, weights: [...second.children, ...more] },
      ],
    }
  const half = Math.ceil(items.length / 2)
  return {
    named: false,
    sides: [
      { name: null, weights: items.slice(0, half) },
      { name: null, weights: items.slice(half) },
    ],
  }
}

/** The name over a side, in its place. */
const sideName = (name: DiagramItem, place: Place): ItemDrawing => ({
  item: name,
  place,
  shapes: [],
  links: [],
  ...stacked({ ...name, children: [] }, place, 'ground'),
})

/** What weighs on a side, heaped upon `floor`: `x`, `width` and `height` px of the room for each, `gap` px between. */
const heaped = (weights: readonly DiagramItem[], floor: number, { x, width, height }: Omit<Place, 'y'>, gap: number) =>
  weights.map((item, index): ItemDrawing => {
    const y = floor - (weights.length - index) * (height + gap)
    const place = { x: x + width * 0.04, y, width: width * 0.92, height: Math.max(2, height) }
    const room = { x: place.x + width * 0.03, y: y + place.height * 0.06, width: place.width - width * 0.06, height: place.height * 0.88 }
    return { item, place, shapes: [{ d: rectangle(place, 6), look: 'solid' }], links: [], ...stacked(item, room, 'solid', { share: 0.5 }) }
  })

/** The beam, its ends `tilt` px above and below `y`, and the foot that it lies on. */
function beam(size: Size, y: number, tilt: number): DiagramDrawing['back'] {
  const thick = Math.max(4, size.height * 0.02)
  const foot = size.height * 0.07
  return [
    polygon([
      { x: 0, y: y - tilt },
      { x: size.width, y: y + tilt },
      { x: size.width, y: y + tilt + thick },
      { x: 0, y: y - tilt + thick },
    ]),
    polygon([
      { x: size.width / 2, y: y + thick },
      { x: size.width / 2 + foot, y: size.height },
      { x: size.width / 2 - foot, y: size.height },
    ]),
  ].map(d => ({ d, look: 'solid' as const }))
}

/** A beam with two sides: what weighs more hangs lower. */
export const balance: DiagramFamily = {
  name: 'balance',
  label: 'Balance',
  description: 'For and against, weighed',
  keywords: 'scales pros cons weigh compare against',
  depth: 2,
  draw(items, size) {
    const { sides, named } = sidesOf(items)
    const difference = sides[1].weights.length - sides[0].weights.length
    const tilt = (Math.max(-2, Math.min(2, difference)) / 2) * size.height * 0.06
    const gap = gapOf(size) * 0.4
    const width = size.width * 0.42
    const beamY = size.height * 0.86
    const nameHeight = named ? size.height * 0.13 : 0
    return {
      back: beam(size, beamY, tilt),
      items: sides.flatMap(({ name, weights }, side): ItemDrawing[] => {
        const x = side ? size.width - width : 0
        const floor = beamY + (side ? tilt : -tilt) - size.height * 0.02
        const top = size.height * 0.07 + Math.max(0, side ? tilt : -tilt)
        const height = Math.min((floor - top - nameHeight) / Math.max(1, weights.length) - gap, size.height * 0.2)
        return [
          ...(name ? [sideName(name, { x, y: top, width, height: nameHeight - gap })] : []),
          ...heaped(weights, floor, { x, width, height }, gap),
        ]
      }),
    }
  },
}
