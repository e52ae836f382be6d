import { seeded } from '../../core/values'
import { between, box, disc, filled, n, oval, path, pick, stroke, svg, times, H, W, type DrawnPicture, type Random } from './strokes'

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
          times(8, rivet => {
            const [x, y] = [(at % 4) * 400 + 26 + (rivet % 4) * 116, Math.floor(at / 4) * 334 + (rivet < 4 ? 24 : 310)]
            return disc(x, y, 8, '#3f4c54')
          }),
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
      times(420, () => {
        const color = pick(random, ['#c9c0b0', '#8f887c', '#b5a894', '#d8d2c6', '#7a746a'])
        const look = `fill="${color}" transform="rotate(${n(between(random, -12, 12))})"`
        return oval(random() * W, random() * H, between(random, 20, 60), between(random, 16, 42), look)
      }),
  ],
  [
    'Paper',
    ['paper', 'light'],
    '#f4efe4',
    random => times(900, () => disc(random() * W, random() * H, between(random, 0.6, 2.6), '#b9a98a66')),
  ],
]
/** What things are made of, seen close. */
export const texturePictures = (): DrawnPicture[] =>
  textures.map(([name, tags, color, draw], at) => ({
    name,
    folder: 'Grounds',
    tags: ['ground', ...tags],
    text: svg(filled(color) + draw(seeded(1800 + at * 7))),
  }))
