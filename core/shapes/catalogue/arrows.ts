import { fromRight, polygon, polygonIn, short, type Amount, type Shape } from '../shape'

const head = (initial = 0.4): Amount => fromRight('head', 'Head', initial)
const shaft = (initial = 0.5): Amount => ({
  name: 'shaft',
  label: 'Shaft',
  initial,
  min: 0.05,
  max: 1,
  at: value => ({ x: 0, y: 0.5 - value / 2 }),
  read: spot => (0.5 - spot.y) * 2,
})

/** Broad arrows, and bands that point. */
export const arrowShapes: readonly Shape[] = [
  {
    name: 'arrow',
    label: 'Arrow',
    keywords: 'right forward next',
    group: 'arrows',
    amounts: [head(), shaft()],
    path: (size, { head: h = 0.4, shaft: s = 0.5 }) =>
      polygonIn(size, [
        [0, 0.5 - s / 2],
        [1 - h, 0.5 - s / 2],
        [1 - h, 0],
        [1, 0.5],
        [1 - h, 1],
        [1 - h, 0.5 + s / 2],
        [0, 0.5 + s / 2],
      ]),
  },
  {
    name: 'arrow-both',
    label: 'Arrow both ways',
    keywords: 'exchange between',
    group: 'arrows',
    amounts: [
      { ...head(0.3), max: 0.5 },
      { ...shaft(), at: value => ({ x: 0.5, y: 0.5 - value / 2 }) },
    ],
    path: (size, { head: h = 0.3, shaft: s = 0.5 }) =>
      polygonIn(size, [
        [0, 0.5],
        [h, 0],
        [h, 0.5 - s / 2],
        [1 - h, 0.5 - s / 2],
        [1 - h, 0],
        [1, 0.5],
        [1 - h, 1],
        [1 - h, 0.5 + s / 2],
        [h, 0.5 + s / 2],
        [h, 1],
      ]),
  },
  {
    name: 'arrow-notched',
    label: 'Notched arrow',
    keywords: 'flight feather',
    group: 'arrows',
    amounts: [head(), shaft()],
    path: (size, { head: h = 0.4, shaft: s = 0.5 }) =>
      polygonIn(size, [
        [0, 0.5 - s / 2],
        [1 - h, 0.5 - s / 2],
        [1 - h, 0],
        [1, 0.5],
        [1 - h, 1],
        [1 - h, 0.5 + s / 2],
        [0, 0.5 + s / 2],
        [Math.min(0.3, h * s), 0.5],
      ]),
  },
  {
    name: 'arrow-rising',
    label: 'Rising arrow',
    keywords: 'up growth increase',
    group: 'arrows',
    amounts: [{ name: 'shaft', label: 'Shaft', initial: 0.18, min: 0.04, max: 0.5 }],
    path: ({ width, height }, { shaft: s = 0.18 }) => {
      const t = s * Math.min(width, height)
      return polygon([
        [0, height - t * 0.7],
        [width * 0.36, height * 0.52],
        [width * 0.55, height * 0.68],
        [width - t * 1.4, t * 1.1],
        [width - t * 2.3, t * 0.2],
        [width, 0],
        [width, t * 2.3],
        [width - t * 0.8, t * 1.6],
        [width * 0.56, height * 0.68 + t * 0.95],
        [width * 0.37, height * 0.52 + t * 0.85],
        [t * 0.5, height],
      ])
    },
  },
  {
    name: 'arrow-bent',
    label: 'Bent arrow',
    keywords: 'turn corner detour',
    group: 'arrows',
    amounts: [head(0.35), { ...shaft(0.3), max: 0.6, at: value => ({ x: value, y: 1 }), read: spot => spot.x }],
    path: ({ width, height }, { head: h = 0.35, shaft: s = 0.3 }) => {
      const t = s * Math.min(width, height)
      const wing = Math.max(t, Math.min(height * 0.6, t * 2))
      const top = (wing - t) / 2
      const r = t
      return (
        `M0 ${short(height)}L0 ${short(top + r)}A${short(r)} ${short(r)} 0 0 1 ${short(r)} ` +
        `${short(top)}L${short(width * (1 - h))} ${short(top)}L${short(width * (1 - h))} 0L${short(width)} ` +
        `${short(wing / 2)}L${short(width * (1 - h))} ${short(wing)}L${short(width * (1 - h))} ${short(top + t)}L${short(t)} ` +
        `${short(top + t)}L${short(t)} ${short(height)}Z`
      )
    },
  },
  {
    name: 'arrow-return',
    label: 'Return arrow',
    keywords: 'back u-turn again',
    group: 'arrows',
    amounts: [{ name: 'shaft', label: 'Shaft', initial: 0.22, min: 0.05, max: 0.4 }],
    path: ({ width, height }, { shaft: s = 0.22 }) => {
      const t = s * Math.min(width, height)
      const right = width - t * 0.5
      const outer = right / 2
      const inner = Math.max(1, outer - t)
      const foot = height - t * 2
      return (
        `M0 ${short(height)}L0 ${short(outer)}A${short(outer)} ${short(outer)} 0 0 1 ${short(right)} ` +
        `${short(outer)}L${short(right)} ${short(foot)}L${short(width)} ${short(foot)}L${short(right - t / 2)} ` +
        `${short(height)}L${short(right - t * 1.5)} ${short(foot)}L${short(right - t)} ${short(foot)}L${short(right - t)} ` +
        `${short(outer)}A${short(inner)} ${short(inner)} 0 0 0 ${short(t)} ${short(outer)}L${short(t)} ${short(height)}Z`
      )
    },
  },
  {
    name: 'arrow-round',
    label: 'Round arrow',
    keywords: 'circular again cycle refresh',
    group: 'arrows',
    amounts: [
      { name: 'sweep', label: 'Sweep', initial: 0.75, min: 0.1, max: 0.92 },
      { name: 'thick', label: 'Thickness', initial: 0.18, min: 0.04, max: 0.4 },
    ],
    path: ({ width, height }, { sweep = 0.75, thick = 0.18 }) => {
      const at = (turn: number, radius: number): string => {
        const angle = turn * 2 * Math.PI
        return `${short(width * (0.5 + Math.sin(angle) * radius))} ${short(height * (0.5 - Math.cos(angle) * radius))}`
      }
      const [outer, inner] = [0.42, 0.42 - thick]
      const middle = (outer + inner) / 2
      const point = sweep + Math.min(0.08, thick * 0.6)
      const large = sweep > 0.5 ? 1 : 0
      return (
        `M${at(0, outer)}A${short(width * outer)} ${short(height * outer)} 0 ${large} 1 ` +
        `${at(sweep, outer)}L${at(sweep, outer + 0.08)}L${at(point, middle)}L${at(sweep, Math.max(0, inner - 0.08))}` +
        `L${at(sweep, inner)}A${short(width * inner)} ` +
        `${short(height * inner)} 0 ${large} 0 ${at(0, inner)}Z`
      )
    },
  },
  {
    name: 'chevron',
    label: 'Pointing band',
    keywords: 'chevron step process',
    group: 'arrows',
    covers: true,
    amounts: [
      {
        name: 'point',
        label: 'Point',
        initial: 0.16,
        min: 0,
        max: 0.6,
        at: value => ({ x: 1 - value, y: 0 }),
        read: spot => 1 - spot.x,
      },
    ],
    // Unless it was chosen, the point takes a third of the height, a sixth of the width at most.
    path: ({ width, height }, { point }) => {
      const p = point === undefined ? Math.min(height * 0.32, width * 0.16) : point * width
      return polygon([
        [0, 0],
        [width - p, 0],
        [width, height / 2],
        [width - p, height],
        [0, height],
        [p, height / 2],
      ])
    },
  },
  {
    name: 'signpost',
    label: 'Signpost',
    keywords: 'pointing label direction pentagon',
    group: 'arrows',
    covers: true,
    amounts: [
      { name: 'point', label: 'Point', initial: 0.2, min: 0, max: 0.6, at: value => ({ x: 1 - value, y: 0 }), read: spot => 1 - spot.x },
    ],
    path: ({ width, height }, { point = 0.2 }) =>
      polygon([
        [0, 0],
        [width * (1 - point), 0],
        [width, height / 2],
        [width * (1 - point), height],
        [0, height],
      ]),
  },
]
