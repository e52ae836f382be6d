import { seeded } from '../../core/values'
import { between, box, disc, fade, filled, n, path, pick, stroke, svg, times, W, type DrawnPicture, type Random } from './strokes'

const lights = {
  morning: {
    sky: ['#f6cfa2', '#dfe7e4'],
    wall: ['#c9876a', '#d9b48f', '#8fa3a0', '#b9a58c'],
    roof: '#5c4a4c',
    glass: '#46606c',
    street: '#b6aca0',
  },
  noon: {
    sky: ['#8cc4dc', '#e6f0ee'],
    wall: ['#d8c7a2', '#c97f5a', '#9db7b2', '#e6dcc8'],
    roof: '#6a5750',
    glass: '#4e7080',
    street: '#c8c4b8',
  },
  evening: {
    sky: ['#4a4a78', '#ee9a66'],
    wall: ['#6a5468', '#82625e', '#54566c', '#7a5a52'],
    roof: '#2e2838',
    glass: '#ffd98a',
    street: '#4a4350',
  },
  night: {
    sky: ['#0c1730', '#2c4468'],
    wall: ['#22304a', '#2c3a52', '#1c2840', '#33405a'],
    roof: '#101a2e',
    glass: '#ffd98a',
    street: '#141e30',
  },
} as const
type Light = keyof typeof lights
interface Town {
  name: string
  light: Light
  tags: string[]
  has?: 'tower' | 'trees' | 'tram' | 'chimneys' | 'stalls' | 'bridge'
}
const towns: readonly Town[] = [
  { name: 'Market square', light: 'noon', has: 'stalls', tags: ['market', 'square', 'shops', 'trade'] },
  { name: 'Bridge street', light: 'morning', has: 'bridge', tags: ['bridge', 'street', 'connection'] },
  { name: 'Station at night', light: 'night', has: 'tower', tags: ['station', 'night', 'train'] },
  { name: 'School street', light: 'noon', has: 'trees', tags: ['school', 'street', 'children'] },
  { name: 'Works by the water', light: 'morning', has: 'chimneys', tags: ['works', 'factory', 'industry', 'jobs'] },
  { name: 'Tram stop', light: 'evening', has: 'tram', tags: ['tram', 'stop', 'bus', 'public transport'] },
  { name: 'Town hall', light: 'noon', has: 'tower', tags: ['town hall', 'council', 'city'] },
  { name: 'Park in the evening', light: 'evening', has: 'trees', tags: ['park', 'trees', 'green'] },
]
function facade(random: Random, x: number, width: number, base: number, { wall, roof, glass }: (typeof lights)[Light]): string {
  const height = between(random, 260, 520)
  const [columns, rows] = [Math.max(2, Math.round(width / 64)), Math.max(2, Math.round(height / 110))]
  const [cell, line] = [width / columns, (height - 60) / rows]
  const isGable = random() < 0.6
  return (
    box(x, base - height, width, height, pick(random, wall)) +
    path(
      isGable
        ? `M${n(x - 8)} ${n(base - height)}L${n(x + width / 2)} ${n(base - height - 90)}L${n(x + width + 8)} ${n(base - height)}Z`
        : `M${n(x - 8)} ${n(base - height)}h${n(width + 16)}v-26h${n(-width - 16)}Z`,
      roof,
    ) +
    times(columns * rows, at => {
      const [cx, cy] = [x + (at % columns) * cell + cell * 0.24, base - height + 36 + Math.floor(at / columns) * line]
      return box(cx, cy, cell * 0.52, line * 0.5, glass, 3, `fill-opacity="${n(between(random, 0.35, 1))}"`)
    })
  )
}
const beside: Readonly<Record<NonNullable<Town['has']>, (random: Random, light: (typeof lights)[Light]) => string>> = {
  tower: (_, { wall, roof, glass }) =>
    box(700, 180, 190, 640, wall[1]) +
    path('M690 180L795 20L900 180Z', roof) +
    disc(795, 280, 62, '#fbfcfa') +
    stroke('M795 280V238M795 280L826 296', '#26313a', 8) +
    box(756, 660, 78, 160, glass, 39),
  trees: random =>
    times(
      7,
      at =>
        box(130 + at * 215, 640, 22, 220, '#5a4434') +
        disc(141 + at * 215, 600, between(random, 90, 130), pick(random, ['#5f8a5a', '#6f9a62', '#4f7a58'])) +
        disc(190 + at * 215, 650, 70, '#5f8a5a'),
    ),
  tram: () =>
    box(420, 610, 760, 230, '#c34d3b', 36) +
    box(420, 740, 760, 24, '#f4efe2') +
    times(6, at => box(456 + at * 118, 644, 92, 78, '#ffe9b0', 8)) +
    stroke('M0 560H1600M800 560L760 610', '#26313a', 5) +
    disc(560, 846, 34, '#26313a') +
    disc(1040, 846, 34, '#26313a'),
  chimneys: random =>
    times(
      3,
      at =>
        box(300 + at * 420, 150, 76, 680, '#8a5a48') +
        box(292 + at * 420, 150, 92, 26, '#5f3a30') +
        times(5, puff => disc(350 + at * 420 + puff * 46, 120 - puff * 22, between(random, 34, 60), '#f4f1ea99')),
    ),
  stalls: random =>
    times(6, at => {
      const x = 70 + at * 250
      const color = pick(random, ['#c34d3b', '#e6a037', '#2f7f9a', '#12615c'])
      return (
        box(x, 640, 14, 210, '#5a4434') +
        box(x + 190, 640, 14, 210, '#5a4434') +
        box(x, 760, 204, 90, '#8a6a4a') +
        times(5, stripe => path(`M${x - 12 + stripe * 46} 590h46v62q-23 22 -46 0Z`, stripe % 2 ? '#fbf8f0' : color)) +
        times(7, fruit => disc(x + 20 + fruit * 28, 752, 15, pick(random, ['#c34d3b', '#e6a037', '#6f9a62'])))
      )
    }),
  bridge: (_, { wall, roof }) =>
    path('M-20 760Q800 430 1620 760V820Q1400 640 1200 820H1000Q800 600 600 820H400Q200 640 -20 820Z', wall[3]) +
    stroke('M-20 744Q800 414 1620 744', roof, 16) +
    times(16, at => stroke(`M${at * 106} ${n(740 - 320 * Math.sin((Math.PI * (at * 106 + 20)) / 1640) * 0.515)}v-44`, roof, 7)),
}
function town({ light, has }: Town, seed: number): string {
  const random = seeded(seed)
  const look = lights[light]
  let x = -30
  let rows = ''
  while (x < W) {
    const width = between(random, 130, 240)
    rows += facade(random, x, width, 830, look)
    x += width + between(random, -4, 10)
  }
  const sun = light === 'night' ? disc(1290, 170, 56, '#f4edc8') : light === 'noon' ? '' : disc(1240, 300, 76, '#fff1cf')
  return svg(
    `<defs>${fade('s', look.sky[0], look.sky[1])}</defs>` +
      filled('url(#s)') +
      sun +
      rows +
      box(0, 820, W, 180, look.street) +
      (has ? beside[has](random, look) : '') +
      stroke(`M0 900H${W}`, '#fff', 6, 'stroke-opacity="0.2"'),
  )
}
/** The town at every hour. */
export const townViews = (): DrawnPicture[] =>
  towns.map((one, at) => ({ name: one.name, folder: 'Town', tags: one.tags, text: town(one, 900 + at * 13) }))
