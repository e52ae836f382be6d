import { seeded } from '../../core/values'
import { between, box, disc, filled, n, path, pick, stroke, svg, times, H, W, type DrawnPicture, type Random } from './strokes'

const inks = [
  ['#0b4643', '#12615c', '#2f7f9a', '#bfe3e0', '#e6a037'],
  ['#2b1b3d', '#5b2a86', '#a4508b', '#f5b0cb', '#ffd166'],
  ['#10233f', '#1f5f8b', '#5fa8d3', '#e0f2f1', '#f25f5c'],
  ['#3a1f0f', '#8c4a32', '#d98e5f', '#f6e0c8', '#12615c'],
] as const
/** A point beyond the picture's edge, at an angle from where rays begin. */
const far = (angle: number) => `${n(Math.cos(angle) * 2200 + 360)} ${n(Math.sin(angle) * 2200 + 1000)}`
const abstracts: readonly [name: string, tags: string[], draw: (random: Random, ink: (typeof inks)[number]) => string][] = [
  [
    'Waves',
    ['waves', 'flow', 'movement'],
    (random, ink) =>
      times(9, at => {
        const y = 120 + at * 100
        return path(
          `M0 ${y}C400 ${n(y - between(random, 40, 150))} 700 ${n(y + between(random, 40, 150))} 1000 ${y}` +
            `S1400 ${n(y - 120)} 1600 ${n(y + 20)}V1000H0Z`,
          ink[at % 4]!,
          'fill-opacity="0.55"',
        )
      }),
  ],
  ['Arcs', ['arcs', 'growth', 'rise'], (_, ink) => times(9, at => disc(W, H, 1500 - at * 160, ink[(at * 2) % 5]!))],
  [
    'Discs',
    ['circles', 'network', 'together'],
    (random, ink) => times(46, () => disc(random() * W, random() * H, between(random, 30, 190), pick(random, ink), 'fill-opacity="0.5"')),
  ],
  [
    'Strata',
    ['layers', 'depth', 'levels'],
    (random, ink) => times(14, at => box(0, at * 74, W, 80, ink[at % 5]!, 0, `fill-opacity="${n(between(random, 0.4, 0.95))}"`)),
  ],
  [
    'Rays',
    ['rays', 'future', 'idea', 'light'],
    (random, ink) =>
      times(26, at => path(`M360 1000L${far(-at * 0.124)}L${far(-at * 0.124 - 0.07)}Z`, pick(random, ink), 'fill-opacity="0.6"')),
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
          `M-20 ${at * 24}C500 ${n(at * 24 + between(random, -260, 260))} 1000 ${n(500 + between(random, -60, 60))} ` +
            `1620 ${n(1000 - at * 24)}`,
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
/** Forms and colours alone, as grounds of titles. */
export const abstractPictures = (): DrawnPicture[] =>
  abstracts.map(([name, tags, draw], at) => {
    const ink = inks[at % inks.length]!
    return { name, folder: 'Abstract', tags, text: svg(filled(ink[0]) + draw(seeded(1500 + at * 11), ink)) }
  })
