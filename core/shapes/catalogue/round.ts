import { ellipse, short, type Shape } from '../shape'

const p = (x: number, y: number) => `${short(x)} ${short(y)}`

/** Round shapes and parts of them. */
export const roundShapes: readonly Shape[] = [
  {
    name: 'ring',
    label: 'Ring',
    keywords: 'donut circle hollow',
    group: 'round',
    amounts: [
      {
        name: 'hole',
        label: 'Hole',
        initial: 0.6,
        min: 0,
        max: 0.98,
        at: value => ({ x: 0.5 - value / 2, y: 0.5 }),
        read: spot => (0.5 - spot.x) * 2,
      },
    ],
    path: ({ width, height }, { hole = 0.6 }) =>
      ellipse(0, 0, width, height) +
      (hole > 0 ? ellipse((width * (1 - hole)) / 2, (height * (1 - hole)) / 2, width * hole, height * hole) : ''),
  },
  {
    name: 'half',
    label: 'Half circle',
    keywords: 'dome semicircle',
    group: 'round',
    path: ({ width, height }) => `M0 ${short(height)}A${short(width / 2)} ${short(height)} 0 0 1 ${p(width, height)}Z`,
  },
  {
    name: 'quarter',
    label: 'Quarter circle',
    keywords: 'fan corner',
    group: 'round',
    path: ({ width, height }) => `M0 0A${short(width)} ${short(height)} 0 0 1 ${p(width, height)}L0 ${short(height)}Z`,
  },
  {
    name: 'drop',
    label: 'Drop',
    keywords: 'water rain tear',
    group: 'round',
    path: ({ width: w, height: h }) =>
      `M${p(w / 2, 0)}C${p(w * 0.62, h * 0.22)} ${p(w, h * 0.4)} ${p(w, h * 0.64)}A${short(w / 2)} ${short(h * 0.36)} 0 1 1 0 ` +
      `${short(h * 0.64)}C${p(0, h * 0.4)} ${p(w * 0.38, h * 0.22)} ${p(w / 2, 0)}Z`,
  },
  {
    name: 'moon',
    label: 'Moon',
    keywords: 'night crescent',
    group: 'round',
    amounts: [
      { name: 'full', label: 'Fullness', initial: 0.4, min: 0.02, max: 0.9, at: value => ({ x: value, y: 0.5 }), read: spot => spot.x },
    ],
    path: ({ width: w, height: h }, { full = 0.4 }) =>
      `M${p(w, 0)}A${short(w)} ${short(h / 2)} 0 0 0 ${p(w, h)}A${short(w * (1 - full))} ${short(h / 2)} 0 0 1 ${p(w, 0)}Z`,
  },
  {
    name: 'leaf',
    label: 'Leaf',
    keywords: 'plant green nature',
    group: 'round',
    path: ({ width: w, height: h }) =>
      `M${p(0, h)}C${p(-w * 0.05, h * 0.35)} ${p(w * 0.35, 0)} ${p(w, 0)}C${p(w, h * 0.65)} ${p(w * 0.65, h * 1.05)} ${p(0, h)}Z`,
  },
  {
    name: 'heart',
    label: 'Heart',
    keywords: 'love like health',
    group: 'round',
    path: ({ width: w, height: h }) =>
      `M${p(w / 2, h)}C${p(w * 0.12, h * 0.68)} ${p(0, h * 0.48)} ${p(0, h * 0.3)}C${p(0, h * 0.1)} ${p(w * 0.14, 0)} ` +
      `${p(w * 0.27, 0)}C${p(w * 0.38, 0)} ${p(w * 0.46, h * 0.07)} ${p(w / 2, h * 0.18)}C${p(w * 0.54, h * 0.07)} ` +
      `${p(w * 0.62, 0)} ${p(w * 0.73, 0)}C${p(w * 0.86, 0)} ${p(w, h * 0.1)} ${p(w, h * 0.3)}C${p(w, h * 0.48)} ` +
      `${p(w * 0.88, h * 0.68)} ${p(w / 2, h)}Z`,
  },
  {
    name: 'lens',
    label: 'Lens',
    keywords: 'eye overlap almond',
    group: 'round',
    path: ({ width: w, height: h }) => {
      const r = short(((w * w) / 4 + (h * h) / 4) / h)
      return `M0 ${short(h / 2)}A${r} ${r} 0 0 1 ${p(w, h / 2)}A${r} ${r} 0 0 1 ${p(0, h / 2)}Z`
    },
  },
  {
    name: 'cylinder',
    label: 'Cylinder',
    keywords: 'database store tin barrel',
    group: 'round',
    covers: true,
    amounts: [{ name: 'lid', label: 'Lid', initial: 0.12, min: 0.02, max: 0.4, at: value => ({ x: 0, y: value }), read: spot => spot.y }],
    path: ({ width: w, height: h }, { lid = 0.12 }) => {
      const [rx, ry] = [short(w / 2), short(h * lid)]
      return `M0 ${ry}A${rx} ${ry} 0 0 1 ${p(w, h * lid)}L${p(w, h - h * lid)}A${rx} ${ry} 0 0 1 ${p(0, h - h * lid)}Z`
    },
  },
]
