import { alongTop, polygon, polygonIn, short, type Shape } from '../shape'

const p = (x: number, y: number) => `${short(x)} ${short(y)}`

/** Shapes that stand for something. */
export const signShapes: readonly Shape[] = [
  {
    name: 'house',
    label: 'House',
    keywords: 'home building roof',
    group: 'signs',
    covers: true,
    amounts: [{ name: 'roof', label: 'Roof', initial: 0.4, min: 0, max: 0.9, at: value => ({ x: 0, y: value }), read: spot => spot.y }],
    path: (size, { roof = 0.4 }) =>
      polygonIn(size, [
        [0.5, 0],
        [1, roof],
        [1, 1],
        [0, 1],
        [0, roof],
      ]),
  },
  {
    name: 'shield',
    label: 'Shield',
    keywords: 'safe protect security',
    group: 'signs',
    covers: true,
    path: ({ width: w, height: h }) =>
      `M${p(w / 2, 0)}C${p(w * 0.65, h * 0.1)} ${p(w * 0.82, h * 0.14)} ${p(w, h * 0.14)}L${p(w, h * 0.5)}C${p(w, h * 0.76)} ` +
      `${p(w * 0.78, h * 0.92)} ${p(w / 2, h)}C${p(w * 0.22, h * 0.92)} ${p(0, h * 0.76)} ` +
      `${p(0, h * 0.5)}L${p(0, h * 0.14)}C${p(w * 0.18, h * 0.14)} ${p(w * 0.35, h * 0.1)} ${p(w / 2, 0)}Z`,
  },
  {
    name: 'bolt',
    label: 'Bolt',
    keywords: 'lightning power electric energy',
    group: 'signs',
    path: size =>
      polygonIn(size, [
        [0.62, 0],
        [0.1, 0.56],
        [0.44, 0.56],
        [0.3, 1],
        [0.9, 0.38],
        [0.54, 0.38],
        [0.78, 0],
      ]),
  },
  {
    name: 'flag',
    label: 'Waving flag',
    keywords: 'banner pennant wave',
    group: 'signs',
    covers: true,
    amounts: [{ name: 'wave', label: 'Wave', initial: 0.14, min: 0, max: 0.3, at: value => ({ x: 0, y: value }), read: spot => spot.y }],
    path: ({ width: w, height: h }, { wave = 0.14 }) => {
      const a = wave * h
      return (
        `M0 ${short(a)}C${p(w * 0.3, -a)} ${p(w * 0.65, a * 3)} ${p(w, a)}L${p(w, h - a)}C${p(w * 0.65, h + a)} ` +
        `${p(w * 0.3, h - a * 3)} ${p(0, h - a)}Z`
      )
    },
  },
  {
    name: 'ribbon',
    label: 'Ribbon',
    keywords: 'banner award title',
    group: 'signs',
    covers: true,
    amounts: [alongTop('tail', 'Tail', 0.12, 0.35)],
    path: ({ width: w, height: h }, { tail = 0.12 }) => {
      const t = tail * w
      return polygon([
        [0, 0],
        [w, 0],
        [w - t, h / 2],
        [w, h],
        [0, h],
        [t, h / 2],
      ])
    },
  },
  {
    name: 'bookmark',
    label: 'Bookmark',
    keywords: 'ribbon mark save',
    group: 'signs',
    covers: true,
    amounts: [
      {
        name: 'notch',
        label: 'Notch',
        initial: 0.2,
        min: 0,
        max: 0.6,
        at: value => ({ x: 0.5, y: 1 - value }),
        read: spot => 1 - spot.y,
      },
    ],
    path: (size, { notch = 0.2 }) =>
      polygonIn(size, [
        [0, 0],
        [1, 0],
        [1, 1],
        [0.5, 1 - notch],
        [0, 1],
      ]),
  },
  {
    name: 'tag',
    label: 'Price tag',
    keywords: 'label offer price',
    group: 'signs',
    amounts: [alongTop('point', 'Point', 0.25, 0.6)],
    path: ({ width: w, height: h }, { point = 0.25 }) => {
      const r = short(Math.min(w, h) * 0.08)
      const x = point * w * 0.62
      return `${polygon([
        [point * w, 0],
        [w, 0],
        [w, h],
        [point * w, h],
        [0, h / 2],
      ])}M${p(x - r, h / 2)}A${r} ${r} 0 1 0 ${p(x + r, h / 2)}A${r} ${r} 0 1 0 ${p(x - r, h / 2)}Z`
    },
  },
  {
    name: 'ticket',
    label: 'Ticket',
    keywords: 'boarding pass entry',
    group: 'signs',
    covers: true,
    amounts: [
      {
        name: 'bite',
        label: 'Bite',
        initial: 0.16,
        min: 0.04,
        max: 0.4,
        at: value => ({ x: 0, y: 0.5 - value / 2 }),
        read: spot => (0.5 - spot.y) * 2,
      },
    ],
    path: ({ width: w, height: h }, { bite = 0.16 }) => {
      const r = (bite * h) / 2
      const a = short(r)
      return (
        `M0 0L${p(w, 0)}L${p(w, h / 2 - r)}A${a} ${a} 0 0 0 ${p(w, h / 2 + r)}L${p(w, h)}L0 ${short(h)}L0 ` +
        `${short(h / 2 + r)}A${a} ${a} 0 0 0 ${p(0, h / 2 - r)}Z`
      )
    },
  },
  {
    name: 'page',
    label: 'Page with a fold',
    keywords: 'document paper note file',
    group: 'signs',
    covers: true,
    amounts: [
      {
        name: 'fold',
        label: 'Fold',
        initial: 0.22,
        min: 0.02,
        max: 0.6,
        at: (value, size) => ({ x: 1 - (value * Math.min(size.width, size.height)) / size.width, y: 0 }),
        read: (spot, size) => ((1 - spot.x) * size.width) / Math.min(size.width, size.height),
      },
    ],
    path: ({ width: w, height: h }, { fold = 0.22 }) => {
      const f = fold * Math.min(w, h)
      return `M0 0L${p(w - f, 0)}L${p(w - f, f)}L${p(w, f)}L${p(w, h)}L0 ${short(h)}Z${polygon([
        [w - f + f * 0.12, 0],
        [w, f - f * 0.12],
        [w - f + f * 0.12, f - f * 0.12],
      ])}`
    },
  },
  {
    name: 'tick',
    label: 'Tick',
    keywords: 'check done yes right',
    group: 'signs',
    path: size =>
      polygonIn(size, [
        [0, 0.56],
        [0.15, 0.4],
        [0.37, 0.64],
        [0.85, 0.1],
        [1, 0.25],
        [0.38, 0.94],
      ]),
  },
  {
    name: 'no',
    label: 'Times',
    keywords: 'wrong delete close x',
    group: 'signs',
    path: size =>
      polygonIn(size, [
        [0.16, 0],
        [0.5, 0.34],
        [0.84, 0],
        [1, 0.16],
        [0.66, 0.5],
        [1, 0.84],
        [0.84, 1],
        [0.5, 0.66],
        [0.16, 1],
        [0, 0.84],
        [0.34, 0.5],
        [0, 0.16],
      ]),
  },
  {
    name: 'boat',
    label: 'Boat',
    keywords: 'ship ferry harbour sail',
    group: 'signs',
    path: size =>
      `${polygonIn(size, [
        [0, 0.68],
        [1, 0.68],
        [0.84, 1],
        [0.16, 1],
      ])}${polygonIn(size, [
        [0.46, 0],
        [0.46, 0.6],
        [0.06, 0.6],
      ])}${polygonIn(size, [
        [0.54, 0.12],
        [0.92, 0.6],
        [0.54, 0.6],
      ])}`,
  },
]
