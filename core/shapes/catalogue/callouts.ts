import { ellipse, roundedRectangle, short, type Amount, type Amounts, type Shape, type Size } from '../shape'

/** Where the tail of a callout points, as fractions of the box; it may stand well outside. */
const tail = (x: number, y: number): readonly Amount[] => [
  {
    name: 'tailX',
    label: 'Tail across',
    initial: x,
    min: -2,
    max: 3,
    at: (value, _, amounts) => ({ x: value, y: amounts.tailY ?? y }),
    read: spot => spot.x,
  },
  {
    name: 'tailY',
    label: 'Tail down',
    initial: y,
    min: -2,
    max: 3,
    at: (value, _, amounts) => ({ x: amounts.tailX ?? x, y: value }),
    read: spot => spot.y,
  },
]

/** The side that a point beside a box lies off, and where along it the tail is rooted, px. */
function root({ width, height }: Size, x: number, y: number) {
  const [dx, dy] = [(x - width / 2) / width, (y - height / 2) / height]
  const half = Math.min(width, height) * 0.12
  const along = (at: number, extent: number) => Math.max(half * 1.8, Math.min(extent - half * 1.8, at))
  if (Math.abs(dx) > Math.abs(dy)) {
    const at = along(y * 0.4 + height * 0.3, height)
    return dx > 0 ? { a: [width, at - half], b: [width, at + half] } : { a: [0, at + half], b: [0, at - half] }
  }
  const at = along(x * 0.6 + width * 0.2, width)
  return dy > 0 ? { a: [at + half, height], b: [at - half, height] } : { a: [at - half, 0], b: [at + half, 0] }
}

const tailOf = (size: Size, { tailX = 0.2, tailY = 1.3 }: Amounts) => {
  const [x, y] = [tailX * size.width, tailY * size.height]
  const { a, b } = root(size, x, y)
  return { x, y, a: a as [number, number], b: b as [number, number] }
}
const inBox = (amounts: Amounts) => {
  const { tailX = 0.2, tailY = 1.3 } = amounts
  return tailX > 0 && tailX < 1 && tailY > 0 && tailY < 1
}

/** A box with its tail, drawn in one line so that a border runs around both. */
function speechPath(size: Size, amounts: Amounts, radius: number): string {
  if (inBox(amounts)) return roundedRectangle(size, [radius, radius, radius, radius])
  const { width, height } = size
  const r = Math.min(radius, width / 2, height / 2)
  const { x, y, a, b } = tailOf(size, amounts)
  const spike = `L${short(a[0])} ${short(a[1])}L${short(x)} ${short(y)}L${short(b[0])} ${short(b[1])}`
  const arc = (toX: number, toY: number) => (r > 0 ? `A${short(r)} ${short(r)} 0 0 1 ${short(toX)} ${short(toY)}` : '')
  const on = (side: 'top' | 'right' | 'bottom' | 'left') =>
    side ===
    (a[1] === 0 && b[1] === 0 ? 'top' : a[0] === width && b[0] === width ? 'right' : a[1] === height && b[1] === height ? 'bottom' : 'left')
      ? spike
      : ''
  return (
    `M${short(r)} 0${on('top')}L${short(width - r)} 0${arc(width, r)}${on('right')}L${short(width)} ` +
    `${short(height - r)}${arc(width - r, height)}${on('bottom')}L${short(r)} ` +
    `${short(height)}${arc(0, height - r)}${on('left')}L0 ${short(r)}${arc(r, 0)}Z`
  )
}

/** Shapes that speak or point at something. */
export const calloutShapes: readonly Shape[] = [
  {
    name: 'speech',
    label: 'Speech',
    keywords: 'bubble says quote balloon',
    group: 'callouts',
    covers: true,
    amounts: tail(0.2, 1.3),
    path: (size, amounts) => speechPath(size, amounts, Math.min(size.width, size.height) * 0.16),
  },
  {
    name: 'note-tail',
    label: 'Note with a tail',
    keywords: 'callout label remark',
    group: 'callouts',
    covers: true,
    amounts: tail(0.2, 1.3),
    path: (size, amounts) => speechPath(size, amounts, 0),
  },
  {
    name: 'thought',
    label: 'Thought',
    keywords: 'bubble cloud thinks',
    group: 'callouts',
    amounts: tail(0.1, 1.3),
    path: ({ width, height }, { tailX = 0.1, tailY = 1.3 }) => {
      const dots = [0.35, 0.7, 1].map((share, index) => {
        const r = Math.min(width, height) * (0.09 - index * 0.025)
        return ellipse(width * (0.5 + (tailX - 0.5) * share) - r, height * (0.5 + (tailY - 0.5) * (0.55 + share * 0.45)) - r, r * 2, r * 2)
      })
      return cloudPath({ width, height }) + dots.slice(tailY > 1 || tailY < 0 || tailX < 0 || tailX > 1 ? 0 : 3).join('')
    },
  },
  { name: 'cloud', label: 'Cloud', keywords: 'weather internet service', group: 'callouts', path: size => cloudPath(size) },
  {
    name: 'pin',
    label: 'Place pin',
    keywords: 'map location here',
    group: 'callouts',
    path: ({ width, height }) => {
      const r = width / 2
      const top = Math.min(r, height / 2)
      const hole = Math.min(r, top) * 0.4
      return (
        `M${short(r)} ${short(height)}C${short(r * 0.85)} ${short(height * 0.8)} 0 ${short(top * 1.55)} 0 ` +
        `${short(top)}A${short(r)} ${short(top)} 0 1 1 ${short(width)} ${short(top)}C${short(width)} ${short(top * 1.55)} ` +
        `${short(r * 1.15)} ${short(height * 0.8)} ${short(r)} ` +
        `${short(height)}Z${ellipse(r - hole, top - hole, hole * 2, hole * 2)}`
      )
    },
  },
]

function cloudPath({ width, height }: Size): string {
  const bumps: readonly (readonly [number, number])[] = [
    [0.13, 0.78],
    [0.08, 0.5],
    [0.26, 0.28],
    [0.52, 0.14],
    [0.78, 0.3],
    [0.93, 0.54],
    [0.86, 0.8],
  ]
  let d = `M${short(bumps[0]![0] * width)} ${short(bumps[0]![1] * height)}`
  bumps.forEach((from, index) => {
    const to = bumps[(index + 1) % bumps.length]!
    const last = index === bumps.length - 1
    const reach = Math.hypot((to[0] - from[0]) * width, (to[1] - from[1]) * height)
    d += last
      ? `L${short(to[0] * width)} ${short(to[1] * height)}`
      : `A${short(reach * 0.56)} ${short(reach * 0.56)} 0 0 1 ${short(to[0] * width)} ${short(to[1] * height)}`
  })
  return `${d}Z`
}
