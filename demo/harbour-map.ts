import { seeded } from '../core/values'

type Spot = readonly [x: number, y: number]

/** Where shores, borders and parishes meet, on a sheet of 300 by 200 with its north above. */
const nodes: Readonly<Record<string, Spot>> = {
  W: [50, 92],
  N: [124, 26],
  E: [188, 80],
  S: [168, 132],
  C: [102, 144],
  P: [117, 86],
  O: [110, 94],
  Q: [112, 118],
  LT: [241, 12],
  LB: [243, 86],
  ST: [56, 154],
  SB: [60, 200],
  HT: [231, 130],
  HB: [234, 190],
}

/** Shores and borders between them, each by the spots that it passes. */
const lines: Readonly<Record<string, readonly Spot[]>> = {
  'W N': [
    [46, 58],
    [56, 26],
    [90, 20],
  ],
  'N E': [
    [160, 34],
    [190, 52],
  ],
  'E S': [
    [196, 94],
    [190, 120],
  ],
  'S C': [
    [150, 157],
    [118, 158],
  ],
  'C W': [
    [75, 150],
    [42, 125],
  ],
  'N P': [[116, 60]],
  'E P': [[150, 90]],
  'P O': [],
  'W O': [[82, 88]],
  'O Q': [],
  'S Q': [[140, 122]],
  'C Q': [],
  'LT LB left': [
    [206, 20],
    [195, 50],
    [212, 80],
  ],
  'LT LB': [[238, 48]],
  'LT LB right': [
    [266, 4],
    [283, 45],
    [270, 80],
  ],
  'ST SB left': [
    [20, 150],
    [2, 172],
    [20, 194],
  ],
  'ST SB': [[62, 178]],
  'ST SB right': [
    [92, 152],
    [113, 175],
    [100, 196],
  ],
  'HT HB left': [
    [190, 132],
    [170, 157],
    [195, 182],
  ],
  'HT HB': [[228, 160]],
  'HT HB right': [
    [266, 134],
    [290, 157],
    [270, 182],
  ],
}

/** The parishes, each by the lines around it; one with a minus is walked backwards. */
const parishes: readonly (readonly [name: string, around: readonly string[]])[] = [
  ['Quill', ['W N', 'N P', 'P O', '-W O']],
  ['Fairhaven', ['N E', 'E P', '-N P']],
  ['Bellhouse', ['E S', 'S Q', '-O Q', '-P O', '-E P']],
  ['Saltworks', ['S C', 'C Q', '-S Q']],
  ['Cordmarket', ['C W', 'W O', 'O Q', '-C Q']],
  ['Lantern', ['LT LB left', '-LT LB']],
  ['Old Slip', ['LT LB', '-LT LB right']],
  ['Low Sands', ['ST SB left', '-ST SB']],
  ['Sandgate', ['ST SB', '-ST SB right']],
  ['Harrow', ['HT HB left', '-HT HB']],
  ['Marsh', ['HT HB', '-HT HB right']],
]

/** Degrees of a spot of the sheet: in the open sea, where no harbour is. */
const degreesOf = ([x, y]: Spot): [number, number] => [
  Math.round((-31.4 + x * 0.0012) * 1e5) / 1e5,
  Math.round((47.2 - y * 0.00082) * 1e5) / 1e5,
]

/** A line through spots (Catmull and Rom 1974) as water and walls leave one: a little rough, the same at every start. */
function rough(spots: readonly Spot[], random: () => number): Spot[] {
  const at = (index: number) => spots[Math.max(0, Math.min(spots.length - 1, index))]!
  return spots.slice(1).flatMap((_, index) => {
    const [a, b, c, d] = [at(index - 1), at(index), at(index + 1), at(index + 2)]
    return Array.from({ length: 14 }, (__, step): Spot => {
      const t = (step + 1) / 14
      const through = (way: 0 | 1) =>
        0.5 *
        (2 * b[way] +
          (c[way] - a[way]) * t +
          (2 * a[way] - 5 * b[way] + 4 * c[way] - d[way]) * t * t +
          (3 * b[way] - a[way] - 3 * c[way] + d[way]) * t * t * t)
      const shift = t === 1 ? 0 : 1.1
      return [through(0) + (random() - 0.5) * shift, through(1) + (random() - 0.5) * shift]
    })
  })
}

/** The parishes of Velmoor Harbour as GeoJSON, their common borders the same. */
export function harbourMap(): string {
  const drawn = new Map(
    Object.entries(lines).map(([name, between], index) => {
      const [from, to] = name.split(' ') as [string, string]
      const spots = [nodes[from]!, ...between, nodes[to]!]
      return [name, [nodes[from]!, ...rough(spots, seeded(90 + index))]]
    }),
  )
  const features = parishes.map(([parish, around], index) => {
    const ring = around.flatMap(name => {
      const line = drawn.get(name.replace(/^-/, ''))!
      return (name.startsWith('-') ? [...line].reverse() : line).slice(1)
    })
    const coordinates = [[...ring, ring[0]!].map(degreesOf)]
    return { type: 'Feature', id: index + 1, properties: { parish }, geometry: { type: 'Polygon', coordinates } }
  })
  return JSON.stringify({ type: 'FeatureCollection', features })
}

const cards = [412, 268, 154, 91, 196, 238, 122, 44, 58, 305, 62]
/** Season cards in each parish, as the card office counts them. */
export const seasonCards = [
  '"Season cards per 1,000 people, 2031"',
  '',
  'parish,season cards',
  ...parishes.map(([parish], index) => `${parish},${cards[index]}`),
].join('\n')

const stopSpots: readonly (readonly [stop: string, at: Spot, boardings: number])[] = [
  ['Quill Quay', [92, 30], 2010],
  ['Astrel North', [150, 38], 1655],
  ['Harrow Town', [190, 150], 1790],
  ['Saltworks', [130, 152], 1405],
  ['Lantern Pier', [204, 40], 1290],
  ['Cordmarket', [60, 118], 1020],
  ['Old Slip', [272, 60], 812],
  ['Fairhaven Steps', [184, 64], 764],
  ['Bellhouse', [188, 112], 690],
  ['Sandgate', [98, 166], 455],
  ['Marsh Landing', [276, 156], 388],
  ['Low Sands', [12, 172], 361],
]
/** The stops with the degrees that they lie at, as a phone tells them. */
export const stopPlaces = [
  'stop;latitude;longitude;boardings a day',
  ...stopSpots.map(([stop, at, boardings]) => {
    const [east, north] = degreesOf(at)
    return `${stop};${north.toFixed(5)};${east.toFixed(5)};${boardings}`
  }),
].join('\n')

/** Where the boats that call at Velmoor come from and go to, by country. */
export const cargo = `country;tonnes 2031
Norway;412.300
Sweden;388.900
Germany;365.200
Netherlands;341.700
United Kingdom;298.400
Denmark;276.100
Poland;214.800
France;198.500
Finland;176.900
Spain;141.200
Belgium;132.600
Portugal;88.400
Ireland;74.100
Iceland;61.300
Estonia;52.700
Latvia;44.900
Lithuania;41.200
Italy;38.700`
