import { alongTop, corner, downLeft, ellipse, polygon, polygonIn, roundedRectangle, short, smoothClosed, type Shape } from '../shape'

/** Shapes with few corners. */
export const plainShapes: readonly Shape[] = [
  {
    name: 'rectangle',
    label: 'Rectangle',
    keywords: 'box square panel',
    group: 'plain',
    covers: true,
    path: size =>
      polygonIn(size, [
        [0, 0],
        [1, 0],
        [1, 1],
        [0, 1],
      ]),
  },
  {
    name: 'rounded',
    label: 'Rounded',
    keywords: 'box panel soft corners button',
    group: 'plain',
    covers: true,
    amounts: [corner()],
    path: (size, { corner: share = 0.2 }) => {
      const r = share * Math.min(size.width, size.height)
      return roundedRectangle(size, [r, r, r, r])
    },
  },
  {
    name: 'one-round',
    label: 'One round corner',
    keywords: 'leaf panel',
    group: 'plain',
    covers: true,
    amounts: [corner('corner', 'Corner', 0.35)],
    path: (size, { corner: share = 0.35 }) => roundedRectangle(size, [0, share * Math.min(size.width, size.height), 0, 0]),
  },
  {
    name: 'two-round',
    label: 'Two round corners',
    keywords: 'leaf opposite',
    group: 'plain',
    covers: true,
    amounts: [corner('corner', 'Corner', 0.35)],
    path: (size, { corner: share = 0.35 }) => {
      const r = share * Math.min(size.width, size.height)
      return roundedRectangle(size, [r, 0, r, 0])
    },
  },
  {
    name: 'cut-corner',
    label: 'Cut corner',
    keywords: 'snipped ticket label',
    group: 'plain',
    covers: true,
    amounts: [corner('corner', 'Corner', 0.25)],
    path: ({ width, height }, { corner: share = 0.25 }) => {
      const c = share * Math.min(width, height)
      return polygon([
        [0, 0],
        [width - c, 0],
        [width, c],
        [width, height],
        [0, height],
      ])
    },
  },
  {
    name: 'cut-corners',
    label: 'Cut corners',
    keywords: 'octagon plaque snipped',
    group: 'plain',
    covers: true,
    amounts: [corner()],
    path: ({ width, height }, { corner: share = 0.2 }) => {
      const c = share * Math.min(width, height)
      return polygon([
        [c, 0],
        [width - c, 0],
        [width, c],
        [width, height - c],
        [width - c, height],
        [c, height],
        [0, height - c],
        [0, c],
      ])
    },
  },
  {
    name: 'hollow-corners',
    label: 'Plaque',
    keywords: 'label museum ticket',
    group: 'plain',
    covers: true,
    amounts: [corner()],
    path: ({ width, height }, { corner: share = 0.2 }) => {
      const c = short(share * Math.min(width, height))
      const a = (x: number, y: number) => `A${c} ${c} 0 0 0 ${short(x)} ${short(y)}`
      return (
        `M${c} 0L${short(width - c)} 0${a(width, c)}L${short(width)} ${short(height - c)}${a(width - c, height)}L${c} ` +
        `${short(height)}${a(0, height - c)}L0 ${c}${a(c, 0)}Z`
      )
    },
  },
  {
    name: 'triangle',
    label: 'Triangle',
    keywords: 'pyramid delta',
    group: 'plain',
    amounts: [alongTop('tip', 'Tip', 0.5)],
    path: (size, { tip = 0.5 }) =>
      polygonIn(size, [
        [tip, 0],
        [1, 1],
        [0, 1],
      ]),
  },
  {
    name: 'right-triangle',
    label: 'Right triangle',
    keywords: 'slope ramp corner',
    group: 'plain',
    path: size =>
      polygonIn(size, [
        [0, 0],
        [1, 1],
        [0, 1],
      ]),
  },
  {
    name: 'diamond',
    label: 'Diamond',
    keywords: 'rhombus decision',
    group: 'plain',
    path: size =>
      polygonIn(size, [
        [0.5, 0],
        [1, 0.5],
        [0.5, 1],
        [0, 0.5],
      ]),
  },
  {
    name: 'slanted',
    label: 'Slanted',
    keywords: 'parallelogram leaning',
    group: 'plain',
    amounts: [alongTop('lean', 'Lean', 0.25, 0.9)],
    path: (size, { lean = 0.25 }) =>
      polygonIn(size, [
        [lean, 0],
        [1, 0],
        [1 - lean, 1],
        [0, 1],
      ]),
  },
  {
    name: 'trapezoid',
    label: 'Trapezoid',
    keywords: 'funnel bucket plinth',
    group: 'plain',
    amounts: [alongTop('narrow', 'Narrowing', 0.2, 0.5)],
    path: (size, { narrow = 0.2 }) =>
      polygonIn(size, [
        [narrow, 0],
        [1 - narrow, 0],
        [1, 1],
        [0, 1],
      ]),
  },
  {
    name: 'frame',
    label: 'Frame',
    keywords: 'hollow border window',
    group: 'plain',
    amounts: [corner('thick', 'Thickness', 0.12, 0.48)],
    path: ({ width, height }, { thick = 0.12 }) => {
      const t = thick * Math.min(width, height)
      return `${polygon([
        [0, 0],
        [width, 0],
        [width, height],
        [0, height],
      ])}${polygon([
        [t, t],
        [t, height - t],
        [width - t, height - t],
        [width - t, t],
      ])}`
    },
  },
  {
    name: 'corner',
    label: 'Corner piece',
    keywords: 'angle L bracket',
    group: 'plain',
    amounts: [alongTop('across', 'Upright', 0.3), { ...downLeft('down', 'Foot', 0.7), at: value => ({ x: 1, y: value }) }],
    path: (size, { across = 0.3, down = 0.7 }) =>
      polygonIn(size, [
        [0, 0],
        [across, 0],
        [across, down],
        [1, down],
        [1, 1],
        [0, 1],
      ]),
  },
  {
    name: 'stairs',
    label: 'Stairs',
    keywords: 'steps growth',
    group: 'plain',
    amounts: [{ name: 'count', label: 'Steps', initial: 4, min: 2, max: 20, whole: true }],
    path: (size, { count = 4 }) =>
      polygonIn(size, [
        [0, 1],
        ...Array.from({ length: count }, (_, step): [number, number][] => [
          [step / count, 1 - (step + 1) / count],
          [(step + 1) / count, 1 - (step + 1) / count],
        ]).flat(),
        [1, 1],
      ]),
  },
  {
    name: 'arch',
    label: 'Arch',
    keywords: 'door window gate',
    group: 'plain',
    covers: true,
    amounts: [downLeft('spring', 'Spring', 0.5)],
    path: ({ width, height }, { spring = 0.5 }) =>
      `M0 ${short(height)}L0 ${short(height * spring)}A${short(width / 2)} ${short(height * spring)} 0 0 1 ${short(width)} ` +
      `${short(height * spring)}L${short(width)} ${short(height)}Z`,
  },
  {
    name: 'capsule',
    label: 'Capsule',
    keywords: 'pill button stadium',
    group: 'plain',
    covers: true,
    path: size => {
      const r = Math.min(size.width, size.height) / 2
      return roundedRectangle(size, [r, r, r, r])
    },
  },
  {
    name: 'torn',
    label: 'Torn edge',
    keywords: 'paper ragged',
    group: 'plain',
    covers: true,
    amounts: [{ name: 'depth', label: 'Raggedness', initial: 0.05, min: 0.01, max: 0.2 }],
    path: ({ width, height }, { depth = 0.05 }) => {
      const jag = (index: number) => (((Math.sin(index * 12.9898) * 43758.5453) % 1) + 1) % 1
      const steps = Math.max(8, Math.round(width / 24))
      const edge = (row: number, y: (share: number) => number) =>
        Array.from({ length: steps + 1 }, (_, index): [number, number] => [(index / steps) * width, y(jag(index + row * 97)) * height])
      return polygon([...edge(1, share => share * depth), ...edge(2, share => 1 - share * depth).reverse()])
    },
  },
  {
    name: 'blob',
    label: 'Blob',
    keywords: 'organic soft drop stain',
    group: 'plain',
    amounts: [{ name: 'form', label: 'Form', initial: 1, min: 1, max: 40, whole: true }],
    path: ({ width, height }, { form = 1 }) => {
      const noise = (index: number) => (((Math.sin(form * 78.233 + index * 37.719) * 43758.5453) % 1) + 1) % 1
      return smoothClosed(
        Array.from({ length: 7 }, (_, index): [number, number] => {
          const angle = (index / 7) * 2 * Math.PI
          const radius = 0.36 + 0.13 * noise(index)
          return [(0.5 + Math.cos(angle) * radius) * width, (0.5 + Math.sin(angle) * radius) * height]
        }),
      )
    },
  },
  {
    name: 'ellipse',
    label: 'Ellipse',
    keywords: 'circle oval round dot',
    group: 'round',
    path: ({ width, height }) => ellipse(0, 0, width, height),
  },
]
