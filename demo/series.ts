import { drawFigure, usualLook } from '../core/figures'
import { houseTheme } from '../core/layouts'
import type { FigureLook } from '../core/model'
import { seeded } from '../core/values'

/** Series of pictures that are fit to be grounds of slides, as SVG: still lifes, the town, people at work, abstract ones, textures. */
export interface DrawnPicture {
  name: string
  folder: string
  tags: string[]
  text: string
}

type Random = () => number
const [W, H] = [1600, 1000]
const n = (value: number) => Math.round(value * 10) / 10
const between = (random: Random, least: number, most: number) => least + random() * (most - least)
const pick = <T>(random: Random, list: readonly T[]): T => list[Math.floor(random() * list.length)]!
const times = (count: number, draw: (index: number) => string) => Array.from({ length: count }, (_, index) => draw(index)).join('')
const svg = (inner: string) => `<svg xmlns="http://www.w3.org/2000/svg" width="${W}" height="${H}" viewBox="0 0 ${W} ${H}">${inner}</svg>`
const fade = (id: string, from: string, to: string, upright = true) =>
  `<linearGradient id="${id}" ${upright ? 'x2="0" y2="1"' : 'x2="1" y2="0"'}><stop stop-color="${from}"/><stop offset="1" stop-color="${to}"/></linearGradient>`
const path = (d: string, fill: string, more = '') => `<path d="${d}" fill="${fill}" ${more}/>`
const stroke = (d: string, color: string, width: number, more = '') =>
  `<path d="${d}" stroke="${color}" stroke-width="${width}" fill="none" stroke-linecap="round" stroke-linejoin="round" ${more}/>`
const disc = (x: number, y: number, r: number, fill: string) => `<circle cx="${n(x)}" cy="${n(y)}" r="${n(r)}" fill="${fill}"/>`
const box = (x: number, y: number, width: number, height: number, fill: string, r = 0) =>
  `<rect x="${n(x)}" y="${n(y)}" width="${n(width)}" height="${n(height)}" rx="${r}" fill="${fill}"/>`

/** Things on a table in the light of a window, drawn about the middle of their foot: 0 0, y upwards negative, some 400 px high. */
const things: Readonly<Record<string, { tags: string[]; wall: string; table: string; draw: string }>> = {
  Lifebuoy: {
    tags: ['lifebuoy', 'safety', 'rescue', 'ring'],
    wall: '#cfe0de',
    table: '#8fb3ae',
    draw:
      '<circle cy="-230" r="180" fill="none" stroke="#f4f1e8" stroke-width="96"/>' +
      times(
        4,
        at =>
          `<circle cy="-230" r="180" fill="none" stroke="#c34d3b" stroke-width="96" stroke-dasharray="120 1011" transform="rotate(${at * 90 + 26} 0 -230)"/>`,
      ),
  },
  Lantern: {
    tags: ['lantern', 'light', 'night', 'lamp'],
    wall: '#2b3a4e',
    table: '#1c2736',
    draw:
      disc(0, -200, 330, '#ffd98a33') +
      path('M-110 0H110L90 -40H-90Z', '#3a2f28') +
      path('M-84 -40H84L70 -300H-70Z', '#ffe9b0') +
      stroke('M-84 -40L-70 -300M84 -40L70 -300M0 -40V-300', '#3a2f28', 14) +
      path('M-96 -300H96L40 -380H-40Z', '#3a2f28') +
      stroke('M-50 -380C-60 -470 60 -470 50 -380', '#3a2f28', 12) +
      path('M-22 -90C-50 -150 0 -170 0 -230C30 -180 44 -140 22 -90Z', '#f0913c'),
  },
  'Ship’s bell': {
    tags: ['bell', 'signal', 'alarm', 'start'],
    wall: '#e6dcc6',
    table: '#b99a66',
    draw:
      stroke('M-190 0V-430H190V0', '#5a4430', 28) +
      path('M-110 -90C-100 -180 -90 -300 0 -330C90 -300 100 -180 110 -90L140 -60H-140Z', '#d6a53c') +
      path('M-40 -300C-80 -240 -80 -160 -84 -96H-50C-52 -170 -50 -250 -16 -316Z', '#f2d48a') +
      disc(0, -44, 28, '#8a6a20') +
      stroke('M0 -330V-420', '#8a6a20', 14),
  },
  'Cup of coffee': {
    tags: ['coffee', 'cup', 'break', 'pause', 'breakfast'],
    wall: '#efe0d2',
    table: '#c79a78',
    draw:
      path('M-230 -10C-230 20 230 20 230 -10C200 -44 -200 -44 -230 -10Z', '#f7f3ea') +
      path('M-150 -260H150C150 -110 110 -30 60 -24H-60C-110 -30 -150 -110 -150 -260Z', '#fbf8f0') +
      stroke('M150 -220C240 -220 240 -100 116 -100', '#fbf8f0', 30) +
      '<ellipse cy="-260" rx="150" ry="30" fill="#5a3a26"/>' +
      stroke('M-50 -320C-80 -370 -20 -390 -50 -450M30 -320C0 -370 60 -390 30 -450', '#ffffff99', 12),
  },
  'Rope and knot': {
    tags: ['rope', 'knot', 'mooring', 'bond', 'together'],
    wall: '#d5dfe2',
    table: '#6f8c92',
    draw:
      times(
        4,
        at =>
          `<ellipse cy="${-40 - at * 52}" rx="${200 - at * 14}" ry="54" fill="none" stroke="#c8aa78" stroke-width="50"/><ellipse cy="${-40 - at * 52}" rx="${200 - at * 14}" ry="54" fill="none" stroke="#8f7044" stroke-width="42" stroke-dasharray="5 20"/>`,
      ) +
      stroke('M120 -230C220 -330 60 -400 -20 -330S60 -240 140 -300S330 -360 380 -240', '#c8aa78', 44) +
      stroke('M120 -230C220 -330 60 -400 -20 -330S60 -240 140 -300S330 -360 380 -240', '#8f7044', 36, 'stroke-dasharray="5 20"'),
  },
  Tickets: {
    tags: ['ticket', 'tickets', 'fare', 'price', 'season ticket'],
    wall: '#dfe7d8',
    table: '#9db08c',
    draw: [-16, -4, 9]
      .map(
        (turn, at) =>
          `<g transform="rotate(${turn} 0 -60) translate(${at * 34 - 40} ${-at * 70})">${box(-210, -190, 420, 180, ['#e6a037', '#f4efe2', '#2f7f9a'][at]!, 14)}${disc(-210, -100, 24, '#dfe7d8')}${disc(210, -100, 24, '#dfe7d8')}${stroke('M90 -180V-24', '#00000044', 4, 'stroke-dasharray="12 12"')}${box(-160, -150, 170, 22, '#00000055', 6)}${box(-160, -108, 210, 14, '#00000033', 6)}${box(-160, -76, 130, 14, '#00000033', 6)}</g>`,
      )
      .join(''),
  },
  Bicycle: {
    tags: ['bicycle', 'bicycles', 'bike', 'cycling', 'traffic'],
    wall: '#e9e4d6',
    table: '#a9a48f',
    draw:
      [-210, 210]
        .map(
          x =>
            `<circle cx="${x}" cy="-130" r="126" fill="none" stroke="#2a3236" stroke-width="16"/>${times(8, at => stroke(`M${x} -130l${n(118 * Math.cos((at * Math.PI) / 8))} ${n(118 * Math.sin((at * Math.PI) / 8))}`, '#2a323655', 3))}`,
        )
        .join('') +
      stroke('M-210 -130L-70 -330L150 -340L20 -140L-70 -330M20 -140H-210M210 -130L140 -390', '#c34d3b', 20) +
      stroke('M100 -400C140 -420 190 -400 200 -370M-110 -350H-30', '#2a3236', 20) +
      disc(20, -140, 34, '#2a3236'),
  },
  Compass: {
    tags: ['compass', 'direction', 'course', 'way', 'orientation'],
    wall: '#cdd8e0',
    table: '#5f7a8c',
    draw:
      disc(0, -220, 220, '#a9803a') +
      disc(0, -220, 190, '#f6f0de') +
      times(
        24,
        at =>
          `<path d="M0 -${at % 6 ? 398 : 404}V-${at % 6 ? 382 : 366}" stroke="#5a4a30" stroke-width="${at % 6 ? 5 : 10}" transform="rotate(${at * 15} 0 -220)"/>`,
      ) +
      path('M0 -370L34 -220H-34Z', '#c34d3b', 'transform="rotate(38 0 -220)"') +
      path('M0 -70L34 -220H-34Z', '#2f4a58', 'transform="rotate(38 0 -220)"') +
      disc(0, -220, 16, '#a9803a'),
  },
  Suitcase: {
    tags: ['suitcase', 'luggage', 'travel', 'holiday', 'guests'],
    wall: '#f0dfc9',
    table: '#c4996b',
    draw:
      stroke('M-80 -300V-380H80V-300', '#4a3222', 26) +
      box(-260, -310, 520, 300, '#8c4a32', 34) +
      box(-190, -310, 46, 300, '#5f2f20') +
      box(144, -310, 46, 300, '#5f2f20') +
      box(-200, -180, 66, 44, '#d6b25c', 8) +
      box(134, -180, 66, 44, '#d6b25c', 8) +
      disc(-30, -150, 54, '#2f7f9a') +
      box(10, -120, 100, 66, '#e6a037', 6),
  },
  Umbrella: {
    tags: ['umbrella', 'rain', 'weather', 'protection', 'shelter'],
    wall: '#b9c6cc',
    table: '#7c8d96',
    draw:
      stroke('M0 -420V-70C0 -10 90 -10 90 -70', '#3a2f28', 16) +
      path(
        'M-320 -210C-300 -380 -150 -440 0 -440S300 -380 320 -210C270 -250 210 -250 160 -210C110 -250 50 -250 0 -210C-50 -250 -110 -250 -160 -210C-210 -250 -270 -250 -320 -210Z',
        '#e6a037',
      ) +
      path(
        'M-160 -210C-140 -330 -80 -410 0 -440C80 -410 140 -330 160 -210C110 -250 50 -250 0 -210C-50 -250 -110 -250 -160 -210Z',
        '#c9822a',
      ),
  },
  'Clock of the quay': {
    tags: ['clock', 'time', 'hour', 'timetable', 'punctual'],
    wall: '#dce6e4',
    table: '#7fa09b',
    draw:
      box(-22, -200, 44, 200, '#26413f') +
      box(-90, -20, 180, 20, '#26413f') +
      disc(0, -330, 190, '#26413f') +
      disc(0, -330, 160, '#fbfcfa') +
      times(12, at => `<path d="M0 -476V-448" stroke="#26413f" stroke-width="${at % 3 ? 6 : 14}" transform="rotate(${at * 30} 0 -330)"/>`) +
      stroke('M0 -330L-70 -370M0 -330L10 -450', '#26413f', 16) +
      disc(0, -330, 14, '#c34d3b'),
  },
  'Books and papers': {
    tags: ['books', 'paper', 'reading', 'report', 'study', 'rules'],
    wall: '#e8e2ee',
    table: '#9a8aa6',
    draw:
      [
        [-250, 500, '#2f7f9a', 0],
        [-220, 440, '#c34d3b', 74],
        [-240, 470, '#e6a037', 142],
        [-190, 400, '#12615c', 218],
      ]
        .map(
          ([x, width, color, up]) =>
            box(x as number, -70 - (up as number), width as number, 66, color as string, 8) +
            box((x as number) + 24, -58 - (up as number), (width as number) - 40, 42, '#f6f1e4', 4),
        )
        .join('') + path('M-120 -288L150 -330L190 -296L-70 -252Z', '#fbfcfa'),
  },
}
/** A thing in front of a wall that light from a window falls on. */
function still({ wall, table, draw }: (typeof things)[string], at: number): string {
  const x = [0.36, 0.62, 0.5][at % 3]! * W
  return svg(
    `<defs>${fade('w', wall, wall)}<radialGradient id="l" cx="0.3" cy="0.2" r="0.9"><stop stop-color="#fff" stop-opacity="0.55"/><stop offset="1" stop-color="#000" stop-opacity="0.22"/></radialGradient></defs>` +
      `<rect width="${W}" height="${H}" fill="url(#w)"/><path d="M180 0H520L820 ${H}H420Z" fill="#fff" fill-opacity="0.16"/><path d="M600 0H760L1120 ${H}H920Z" fill="#fff" fill-opacity="0.12"/>` +
      `<rect y="720" width="${W}" height="280" fill="${table}"/><rect y="720" width="${W}" height="8" fill="#fff" fill-opacity="0.25"/>` +
      `<rect width="${W}" height="${H}" fill="url(#l)"/><ellipse cx="${x + 70}" cy="862" rx="300" ry="34" fill="#000" fill-opacity="0.22"/><g transform="translate(${x} 860) scale(1.25)">${draw}</g>`,
  )
}

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
      return box(cx, cy, cell * 0.52, line * 0.5, glass, 3).replace('/>', ` fill-opacity="${n(between(random, 0.35, 1))}"/>`)
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
    `<defs>${fade('s', look.sky[0], look.sky[1])}</defs><rect width="${W}" height="${H}" fill="url(#s)"/>${sun}${rows}<rect y="820" width="${W}" height="180" fill="${look.street}"/>${has ? beside[has](random, look) : ''}<path d="M0 900H${W}" stroke="#fff" stroke-opacity="0.2" stroke-width="6"/>`,
  )
}

type Dressed = Partial<FigureLook> & { pose: string; at: number; faces?: 'left' }
const crewTops = ['#26506b', '#c34d3b', '#12615c', '#e6a037', '#7d4a78', '#2b3a55']
const hairs = ['#1c1512', '#4a2c1c', '#a5622a', '#8a8f94', '#6e665c'] as const
const skins = ['#e3b58f', '#c98f68', '#8a5a3c', '#f0c9a8'] as const
const styles = ['short', 'bob', 'cap', 'bun', 'curls', 'side', 'long'] as const
const works: readonly {
  name: string
  tags: string[]
  poses: readonly string[]
  ground: readonly [string, string, string]
  room: string
}[] = [
  {
    name: 'Crew at the ramp',
    tags: ['crew', 'work', 'ramp', 'team'],
    poses: ['point', 'carry', 'stand'],
    ground: ['#cfe2ea', '#a9c6d2', '#6f8c96'],
    room: times(5, at => box(at * 340 - 60, 560, 300, 26, '#8aa6b0')),
  },
  {
    name: 'In the ticket hall',
    tags: ['tickets', 'hall', 'service', 'counter', 'riders'],
    poses: ['present', 'phone', 'walk'],
    ground: ['#f2e6d2', '#e2cda9', '#b99a6a'],
    room: box(980, 300, 520, 460, '#8c5a3c', 20) + box(1020, 340, 440, 190, '#fff6dc', 10),
  },
  {
    name: 'Meeting at the office',
    tags: ['meeting', 'office', 'discussion', 'plan', 'council'],
    poses: ['think', 'present', 'arms-folded'],
    ground: ['#e4e8ee', '#ccd4de', '#8c98a8'],
    room: box(180, 160, 700, 400, '#fbfcfa', 12) + stroke('M260 480L420 380L560 420L760 260', '#c34d3b', 14),
  },
  {
    name: 'Questions from the hall',
    tags: ['questions', 'audience', 'citizens', 'hall'],
    poses: ['point-up', 'wave', 'sit', 'stand'],
    ground: ['#e8dff0', '#cfc0dc', '#8c78a0'],
    room: '',
  },
  {
    name: 'Cheers on the quay',
    tags: ['celebration', 'success', 'thanks', 'opening', 'people'],
    poses: ['cheer', 'applaud', 'cheer', 'wave'],
    ground: ['#ffe3c2', '#f6c08a', '#c9834e'],
    room: times(9, at => path(`M${at * 190 - 20} 90l60 10l-34 60Z`, ['#c34d3b', '#2f7f9a', '#12615c'][at % 3]!)),
  },
  {
    name: 'Training aboard',
    tags: ['training', 'course', 'learning', 'safety'],
    poses: ['kneel', 'point', 'read'],
    ground: ['#d9e8e0', '#b4d0c2', '#6f9a88'],
    room: '<circle cx="1240" cy="300" r="120" fill="none" stroke="#c34d3b" stroke-width="60"/>',
  },
  {
    name: 'Loading freight',
    tags: ['freight', 'loading', 'goods', 'logistics'],
    poses: ['carry', 'lean', 'carry'],
    ground: ['#e9e2d6', '#d0c2ac', '#9a8a70'],
    room: times(6, at =>
      box(880 + (at % 3) * 210, 420 + Math.floor(at / 3) * 190, 196, 176, ['#c17a2c', '#2f7f9a', '#8c4a32'][at % 3]!, 6),
    ),
  },
  {
    name: 'Morning shift',
    tags: ['shift', 'early', 'workers', 'morning', 'commuters'],
    poses: ['walk', 'cup', 'walk', 'phone'],
    ground: ['#f6d9b4', '#e0b48c', '#8f7a6a'],
    room: disc(300, 320, 130, '#fff1cf'),
  },
]
function atWork({ poses, ground, room }: (typeof works)[number], seed: number): string {
  const random = seeded(seed)
  const people: Dressed[] = poses.map((pose, at) => ({
    pose,
    at: (W / (poses.length + 1)) * (at + 1),
    body: pick(random, ['slim', 'medium', 'broad'] as const),
    skin: { hex: pick(random, skins) },
    hair: { style: pick(random, styles), color: { hex: pick(random, hairs) } },
    top: { style: pick(random, ['shirt', 'jacket', 'vest', 'coat'] as const), color: { hex: pick(random, crewTops) } },
    bottom: { style: 'trousers', color: { hex: pick(random, ['#2f3a42', '#5a4a3c', '#3c4a66', '#6a6455']) } },
  }))
  const drawn = people.map(({ pose, at, ...look }) => {
    const { parts } = drawFigure({ look: { ...usualLook, ...look }, pose }, houseTheme.palette)
    const paths = parts.map(part =>
      path(
        part.d,
        part.fill,
        `stroke="${part.stroke?.color ?? 'none'}" stroke-width="${part.stroke?.width ?? 0}" stroke-linecap="round" stroke-linejoin="round"`,
      ),
    )
    return `<ellipse cx="${n(at)}" cy="886" rx="120" ry="18" fill="#000" fill-opacity="0.18"/><g transform="translate(${n(at)} 880) scale(8)">${paths.join('')}</g>`
  })
  return svg(
    `<defs>${fade('g', ground[0], ground[1])}</defs><rect width="${W}" height="${H}" fill="url(#g)"/>${room}<rect y="800" width="${W}" height="200" fill="${ground[2]}"/>${drawn.join('')}`,
  )
}

const inks = [
  ['#0b4643', '#12615c', '#2f7f9a', '#bfe3e0', '#e6a037'],
  ['#2b1b3d', '#5b2a86', '#a4508b', '#f5b0cb', '#ffd166'],
  ['#10233f', '#1f5f8b', '#5fa8d3', '#e0f2f1', '#f25f5c'],
  ['#3a1f0f', '#8c4a32', '#d98e5f', '#f6e0c8', '#12615c'],
] as const
const abstracts: readonly [name: string, tags: string[], draw: (random: Random, ink: (typeof inks)[number]) => string][] = [
  [
    'Waves',
    ['waves', 'flow', 'movement'],
    (random, ink) =>
      times(9, at => {
        const y = 120 + at * 100
        return path(
          `M0 ${y}C400 ${n(y - between(random, 40, 150))} 700 ${n(y + between(random, 40, 150))} 1000 ${y}S1400 ${n(y - 120)} 1600 ${n(y + 20)}V1000H0Z`,
          ink[at % 4]!,
          'fill-opacity="0.55"',
        )
      }),
  ],
  [
    'Arcs',
    ['arcs', 'growth', 'rise'],
    (_, ink) => times(9, at => `<circle cx="1600" cy="1000" r="${1500 - at * 160}" fill="${ink[(at * 2) % 5]}"/>`),
  ],
  [
    'Discs',
    ['circles', 'network', 'together'],
    (random, ink) =>
      times(46, () => disc(random() * W, random() * H, between(random, 30, 190), pick(random, ink)).replace('/>', ' fill-opacity="0.5"/>')),
  ],
  [
    'Strata',
    ['layers', 'depth', 'levels'],
    (random, ink) =>
      times(14, at => box(0, at * 74, W, 80, ink[at % 5]!).replace('/>', ` fill-opacity="${n(between(random, 0.4, 0.95))}"/>`)),
  ],
  [
    'Rays',
    ['rays', 'future', 'idea', 'light'],
    (random, ink) =>
      times(26, at =>
        path(
          `M360 1000L${n(Math.cos(-at * 0.124) * 2200 + 360)} ${n(Math.sin(-at * 0.124) * 2200 + 1000)}L${n(Math.cos(-at * 0.124 - 0.07) * 2200 + 360)} ${n(Math.sin(-at * 0.124 - 0.07) * 2200 + 1000)}Z`,
          pick(random, ink),
          'fill-opacity="0.6"',
        ),
      ),
  ],
  [
    'Fields',
    ['fields', 'mosaic', 'parts'],
    (random, ink) => times(40, at => box((at % 8) * 200, Math.floor(at / 8) * 200, 200, 200, pick(random, ink))),
  ],
  [
    'Threads',
    ['threads', 'lines', 'connections', 'digital'],
    (random, ink) =>
      times(44, at =>
        stroke(
          `M-20 ${at * 24}C500 ${n(at * 24 + between(random, -260, 260))} 1000 ${n(500 + between(random, -60, 60))} 1620 ${n(1000 - at * 24)}`,
          ink[1 + (at % 4)]!,
          4,
        ),
      ),
  ],
  [
    'Sails',
    ['triangles', 'wind', 'departure'],
    (random, ink) =>
      times(18, () => {
        const [x, y, s] = [random() * W, between(random, 300, 1000), between(random, 160, 420)]
        return path(
          `M${n(x)} ${n(y)}V${n(y - s)}Q${n(x + s * 0.7)} ${n(y - s * 0.4)} ${n(x + s * 0.6)} ${n(y)}Z`,
          pick(random, ink),
          'fill-opacity="0.75"',
        )
      }),
  ],
]

const textures: readonly [name: string, tags: string[], ground: string, draw: (random: Random) => string][] = [
  [
    'Sailcloth',
    ['cloth', 'linen'],
    '#ece4d2',
    () =>
      times(
        80,
        at =>
          stroke(`M${at * 20} 0V1000`, '#b9a98a', 2, 'stroke-opacity="0.35"') +
          stroke(`M0 ${at * 13}H1600`, '#fffdf4', 2, 'stroke-opacity="0.5"'),
      ),
  ],
  [
    'Steel plates',
    ['steel', 'metal', 'ship'],
    '#5f707a',
    random =>
      times(
        12,
        at =>
          box((at % 4) * 400 + 4, Math.floor(at / 4) * 334 + 4, 392, 326, pick(random, ['#667983', '#58697280', '#6f828c']), 4) +
          times(8, rivet => disc((at % 4) * 400 + 26 + (rivet % 4) * 116, Math.floor(at / 4) * 334 + (rivet < 4 ? 24 : 310), 8, '#3f4c54')),
      ),
  ],
  [
    'Brick wall',
    ['brick', 'wall', 'house'],
    '#7a4534',
    random =>
      times(20 * 13, at =>
        box(
          (at % 13) * 130 - (Math.floor(at / 13) % 2) * 65,
          Math.floor(at / 13) * 50,
          122,
          42,
          pick(random, ['#a8604a', '#b56b50', '#96543f', '#a05a48']),
          3,
        ),
      ),
  ],
  [
    'Slates',
    ['slate', 'roof'],
    '#2f3a42',
    random =>
      times(15 * 12, at =>
        path(
          `M${(at % 12) * 140 - (Math.floor(at / 12) % 2) * 70} ${Math.floor(at / 12) * 70}h134v74q-67 34 -134 0Z`,
          pick(random, ['#46545e', '#3f4c56', '#52616b']),
        ),
      ),
  ],
  [
    'Pebbles',
    ['stones', 'beach'],
    '#a89f90',
    random =>
      times(
        420,
        () =>
          `<ellipse cx="${n(random() * W)}" cy="${n(random() * H)}" rx="${n(between(random, 20, 60))}" ry="${n(between(random, 16, 42))}" fill="${pick(random, ['#c9c0b0', '#8f887c', '#b5a894', '#d8d2c6', '#7a746a'])}" transform="rotate(${n(between(random, -12, 12))})"/>`,
      ),
  ],
  [
    'Paper',
    ['paper', 'light'],
    '#f4efe4',
    random => times(900, () => disc(random() * W, random() * H, between(random, 0.6, 2.6), '#b9a98a66')),
  ],
]

/** All pictures of the series, drawn by computation and always the same. */
export function drawnSeries(): DrawnPicture[] {
  return [
    ...Object.entries(things).map(([name, thing], at) => ({ name, folder: 'Still lifes', tags: thing.tags, text: still(thing, at) })),
    ...towns.map((one, at) => ({ name: one.name, folder: 'Town', tags: one.tags, text: town(one, 900 + at * 13) })),
    ...works.map((one, at) => ({ name: one.name, folder: 'People at work', tags: one.tags, text: atWork(one, 1200 + at * 17) })),
    ...abstracts.map(([name, tags, draw], at) => {
      const ink = inks[at % inks.length]!
      return {
        name,
        folder: 'Abstract',
        tags,
        text: svg(`<rect width="${W}" height="${H}" fill="${ink[0]}"/>${draw(seeded(1500 + at * 11), ink)}`),
      }
    }),
    ...textures.map(([name, tags, ground, draw], at) => ({
      name,
      folder: 'Grounds',
      tags: ['ground', ...tags],
      text: svg(`<rect width="${W}" height="${H}" fill="${ground}"/>${draw(seeded(1800 + at * 7))}`),
    })),
  ]
}
