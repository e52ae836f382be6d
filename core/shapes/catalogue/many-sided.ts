import { around, ellipse, polygonIn, short, stretched, type Amount, type Shape } from '../shape'

const count = (label: string, initial: number, least = 3): Amount => ({ name: 'count', label, initial, min: least, max: 60, whole: true })
/** How deep a star is cut: the radius of its inner corners, with a handle below the top point. */
const depth = (initial: number): Amount => ({
  name: 'depth',
  label: 'Inner radius',
  initial,
  min: 0.05,
  max: 0.98,
  at: value => ({ x: 0.5, y: 0.5 - value / 2 }),
  read: spot => (0.5 - spot.y) * 2,
})
const star = (points: number, inner: number) => {
  const outer = around(points)
  const within = around(points, inner / 2, 180 / points)
  return outer.flatMap((point, index) => [point, within[index]!])
}

/** Shapes with many equal sides. */
export const manySidedShapes: readonly Shape[] = [
  { name: 'pentagon', label: 'Pentagon', keywords: 'five sides', group: 'many-sided', path: size => polygonIn(size, stretched(around(5))) },
  {
    name: 'hexagon',
    label: 'Hexagon',
    keywords: 'six sides honeycomb',
    group: 'many-sided',
    amounts: [{ name: 'point', label: 'Point', initial: 0.25, min: 0, max: 0.5, at: value => ({ x: value, y: 0 }), read: spot => spot.x }],
    path: (size, { point = 0.25 }) =>
      polygonIn(size, [
        [point, 0],
        [1 - point, 0],
        [1, 0.5],
        [1 - point, 1],
        [point, 1],
        [0, 0.5],
      ]),
  },
  {
    name: 'polygon',
    label: 'Polygon',
    keywords: 'sides heptagon octagon',
    group: 'many-sided',
    amounts: [count('Sides', 8)],
    path: (size, { count: sides = 8 }) => polygonIn(size, stretched(around(Math.round(sides), 0.5, sides % 2 ? 0 : 180 / sides))),
  },
  {
    name: 'star',
    label: 'Star',
    keywords: 'favourite rating best',
    group: 'many-sided',
    amounts: [depth(0.45), count('Points', 5)],
    path: (size, { depth: inner = 0.45, count: points = 5 }) => polygonIn(size, stretched(star(Math.round(points), inner))),
  },
  {
    name: 'burst',
    label: 'Burst',
    keywords: 'bang offer new explosion',
    group: 'many-sided',
    amounts: [depth(0.75), count('Points', 16)],
    path: (size, { depth: inner = 0.75, count: points = 16 }) => polygonIn(size, stretched(star(Math.round(points), inner))),
  },
  {
    name: 'seal',
    label: 'Seal',
    keywords: 'badge scalloped stamp',
    group: 'many-sided',
    amounts: [count('Waves', 14)],
    path: ({ width, height }, { count: waves = 14 }) => {
      const points = around(Math.round(waves), 0.45).map(([x, y]): [number, number] => [x * width, y * height])
      const arcs = points.map((from, index) => {
        const to = points[(index + 1) % points.length]!
        const r = short(Math.hypot(to[0] - from[0], to[1] - from[1]) * 0.54)
        return `A${r} ${r} 0 0 1 ${short(to[0])} ${short(to[1])}`
      })
      return `M${short(points[0]![0])} ${short(points[0]![1])}${arcs.join('')}Z`
    },
  },
  {
    name: 'gear',
    label: 'Gear',
    keywords: 'cog settings machine',
    group: 'many-sided',
    amounts: [count('Teeth', 9, 4), { name: 'hole', label: 'Hole', initial: 0.35, min: 0, max: 0.7 }],
    path: ({ width, height }, { count: teeth = 9, hole = 0.35 }) => {
      const n = Math.round(teeth)
      const points = Array.from({ length: n }, (_, tooth): [number, number][] => {
        const step = 360 / n
        const at = (share: number, radius: number): [number, number] => {
          const angle = ((tooth + share) * step * Math.PI) / 180
          return [0.5 + Math.sin(angle) * radius, 0.5 - Math.cos(angle) * radius]
        }
        return [at(-0.28, 0.4), at(-0.18, 0.5), at(0.18, 0.5), at(0.28, 0.4)]
      }).flat()
      return (
        polygonIn({ width, height }, points) +
        (hole > 0 ? ellipse(width * (0.5 - hole / 2), height * (0.5 - hole / 2), width * hole, height * hole) : '')
      )
    },
  },
  {
    name: 'cross',
    label: 'Cross',
    keywords: 'plus add aid',
    group: 'many-sided',
    amounts: [
      {
        name: 'arm',
        label: 'Arm',
        initial: 0.33,
        min: 0.05,
        max: 0.9,
        at: value => ({ x: 0.5 - value / 2, y: 0 }),
        read: spot => (0.5 - spot.x) * 2,
      },
    ],
    path: (size, { arm = 0.33 }) => {
      const [a, b] = [0.5 - arm / 2, 0.5 + arm / 2]
      return polygonIn(size, [
        [a, 0],
        [b, 0],
        [b, a],
        [1, a],
        [1, b],
        [b, b],
        [b, 1],
        [a, 1],
        [a, b],
        [0, b],
        [0, a],
        [a, a],
      ])
    },
  },
  {
    name: 'sun',
    label: 'Sun',
    keywords: 'day weather summer',
    group: 'many-sided',
    amounts: [count('Rays', 10, 4)],
    path: ({ width, height }, { count: rays = 10 }) => {
      const n = Math.round(rays)
      const ray = Array.from({ length: n }, (_, index) => {
        const at = (turn: number, radius: number): [number, number] => around(1, radius, (index / n) * 360 + turn)[0]!
        return polygonIn({ width, height }, [at(0, 0.5), at(120 / n, 0.34), at(-120 / n, 0.34)])
      })
      return ray.join('') + ellipse(width * 0.22, height * 0.22, width * 0.56, height * 0.56)
    },
  },
]
