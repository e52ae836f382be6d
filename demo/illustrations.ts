import sharp from 'sharp'
import { drawFigure, poses, usualLook } from '../core/figures'
import type { FigureLook } from '../core/model'
import { houseTheme } from '../core/layouts'
import { seeded } from '../core/values'
import { drawnSeries } from './series'
import { between, H, n, pick, svg, W, type Random } from './series/strokes'

/** Colours of an hour of the day by the water: sky above and at the horizon, sea far and near, land, light. */
const hours = {
  dawn: ['#4a6890', '#f2c9a2', '#b9a9a6', '#2c4a5c', '#5d6a7c', '#ffd9a0'],
  noon: ['#6fb0d8', '#dcedf2', '#7fb9c4', '#1f6a78', '#5f8a74', '#fff6d8'],
  dusk: ['#33406e', '#ee9a66', '#a97c80', '#1c2a48', '#42395a', '#ffb671'],
  night: ['#0c1730', '#2c4468', '#27405e', '#0a1526', '#16233a', '#f4edc8'],
  fog: ['#b7c3c6', '#dde3e2', '#c3cdcd', '#8fa0a2', '#a3b0b1', '#f4f5f0'],
  storm: ['#3b464e', '#8d989b', '#7c8b8e', '#2b3a3f', '#4a565a', '#d8dcd6'],
} as const
type Hour = keyof typeof hours

const ridge = (random: Random, base: number, rise: number) => {
  const points = Array.from({ length: 9 }, (_, index) => [(index / 8) * W, base - rise * (0.25 + 0.75 * random())] as const)
  return `M0 ${base}L${points.map(([x, y]) => `${n(x)} ${n(y)}`).join('L')}L${W} ${base}Z`
}
const waves = (random: Random, from: number, color: string) =>
  Array.from({ length: 90 }, () => {
    const y = from + (H - from) * random() ** 0.8
    const near = (y - from) / (H - from)
    const length = between(random, 20, 60) * (0.5 + near * 3)
    return (
      `<path d="M${n(random() * W)} ${n(y)}q${n(length / 2)} ${n(-2 - near * 8)} ${n(length)} 0" stroke="${color}" ` +
      `stroke-opacity="${n(0.12 + near * 0.25)}" stroke-width="${n(1 + near * 3)}" fill="none" stroke-linecap="round"/>`
    )
  }).join('')
const ferry = (x: number, y: number, size: number, hull = '#183a42', house = '#f2f0e8', funnel = '#e29836') =>
  `<g transform="translate(${n(x)} ${n(y)}) scale(${n(size * 100) / 100})"><path d="M-100 0L100 0L84 26L-86 26Z" ` +
  `fill="${hull}"/><path d="M-86 20L84 20L82 26L-86 26Z" fill="#b8412f"/><path d="M-78 -20H62V0H-78Z" fill="${house}"/><path ` +
  `d="M-52 -36H34V-20H-52Z" fill="${house}"/><path d="M-34 -60H-14V-36H-34Z" ` +
  `fill="${funnel}"/>${Array.from({ length: 9 }, (_, index) => `<rect x="${-70 + index * 14}" y="-14" width="8" height="7" fill="#46606c"/>`).join('')}</g>`
const sail = (x: number, y: number, size: number, color: string) =>
  `<g transform="translate(${n(x)} ${n(y)}) scale(${n(size * 100) / 100})"><path d="M-40 0H40L26 16H-30Z" ` +
  `fill="#5a3a2a"/><path d="M0 -110L0 -6L-44 -6Z" fill="${color}"/><path d="M6 -96L6 -6L46 -6Z" fill="#fbfcfa" ` +
  'fill-opacity="0.9"/></g>'
const gulls = (random: Random, count: number, color: string) =>
  Array.from({ length: count }, () => {
    const s = between(random, 8, 26)
    return (
      `<path transform="translate(${n(random() * W)} ${n(between(random, 60, H * 0.45))})" d="M${-s} 0q${s / 2} ${-s * 0.7} ${s} ` +
      `0q${s / 2} ${-s * 0.7} ${s} 0" stroke="${color}" stroke-width="${n(s / 8)}" fill="none" stroke-linecap="round"/>`
    )
  }).join('')
const lighthouse = (x: number, base: number, height: number) =>
  `<g><path d="M${n(x - height * 0.11)} ${base}L${n(x + height * 0.11)} ${base}L${n(x + height * 0.07)} ` +
  `${n(base - height)}L${n(x - height * 0.07)} ${n(base - height)}Z" ` +
  `fill="#f2eee2"/>${[0.2, 0.55].map(at => `<path d="M${n(x - height * (0.11 - at * 0.04))} ${n(base - height * at)}L${n(x + height * (0.11 - at * 0.04))} ${n(base - height * at)}L${n(x + height * (0.102 - at * 0.04))} ${n(base - height * (at + 0.18))}L${n(x - height * (0.102 - at * 0.04))} ${n(base - height * (at + 0.18))}Z" fill="#b8412f"/>`).join('')}<rect ` +
  `x="${n(x - height * 0.06)}" y="${n(base - height * 1.13)}" width="${n(height * 0.12)}" height="${n(height * 0.13)}" ` +
  `fill="#ffe9a8"/><path d="M${n(x - height * 0.08)} ${n(base - height * 1.13)}L${n(x)} ` +
  `${n(base - height * 1.22)}L${n(x + height * 0.08)} ${n(base - height * 1.13)}Z" fill="#26313a"/></g>`

function harbour(
  seed: number,
  hour: Hour,
  things: { ferry?: boolean; sails?: number; light?: boolean; gulls?: number; houses?: boolean; crane?: boolean },
) {
  const random = seeded(seed)
  const [high, low, far, near, land, light] = hours[hour]
  const horizon = between(random, 0.46, 0.6) * H
  const sun = { x: between(random, 0.15, 0.85) * W, y: horizon - between(random, 60, 220), r: between(random, 44, 80) }
  const houses = things.houses
    ? Array.from({ length: 11 }, (_, index) => {
        const [w, h] = [between(random, 70, 130), between(random, 60, 170)]
        const x = W * 0.42 + index * 92
        const color = pick(random, ['#c9b79a', '#a8574a', '#8fa3a0', '#d8cfc0', '#7a8a7c', '#b98a52'])
        return (
          `<g><rect x="${n(x)}" y="${n(horizon - h)}" width="${n(w)}" height="${n(h + 14)}" fill="${color}"/><path ` +
          `d="M${n(x - 8)} ${n(horizon - h)}L${n(x + w / 2)} ${n(horizon - h - 46)}L${n(x + w + 8)} ${n(horizon - h)}Z" ` +
          `fill="#4a4444"/>${Array.from({ length: Math.max(1, Math.floor(w / 34)) }, (_, at) => `<rect x="${n(x + 12 + at * 32)}" y="${n(horizon - h + 22)}" width="14" height="20" fill="${hour === 'night' || hour === 'dusk' ? '#ffd98a' : '#3c5058'}"/>`).join('')}</g>`
        )
      }).join('')
    : ''
  const crane = things.crane
    ? `<g stroke="#26313a" stroke-width="9" fill="none"><path d="M300 ${n(horizon)}V${n(horizon - 330)}M380 ` +
      `${n(horizon)}V${n(horizon - 330)}M300 ${n(horizon - 330)}H700M340 ${n(horizon - 330)}V${n(horizon - 410)}L640 ` +
      `${n(horizon - 330)}M300 ${n(horizon - 100)}L380 ${n(horizon - 190)}M380 ${n(horizon - 100)}L300 ` +
      `${n(horizon - 190)}"/><path d="M620 ${n(horizon - 330)}V${n(horizon - 150)}" stroke-width="4"/></g><rect x="580" ` +
      `y="${n(horizon - 150)}" width="84" height="56" fill="#c17a2c"/>`
    : ''
  return svg(`<defs><linearGradient id="s" x2="0" y2="1"><stop offset="0" stop-color="${high}"/><stop offset="1" stop-color="${low}"/></linearGradient><linearGradient id="w" x2="0" y2="1"><stop offset="0" stop-color="${far}"/><stop offset="1" stop-color="${near}"/></linearGradient><radialGradient id="g"><stop offset="0" stop-color="${light}" stop-opacity="0.85"/><stop offset="1" stop-color="${light}" stop-opacity="0"/></radialGradient></defs>
<rect width="${W}" height="${n(horizon)}" fill="url(#s)"/><circle cx="${n(sun.x)}" cy="${n(sun.y)}" r="${n(sun.r * 6)}" fill="url(#g)"/><circle cx="${n(sun.x)}" cy="${n(sun.y)}" r="${n(sun.r)}" fill="${light}"/>
<path d="${ridge(random, horizon + 2, 160)}" fill="${land}" fill-opacity="0.55"/><path d="${ridge(random, horizon + 2, 90)}" fill="${land}"/>${houses}${crane}<rect y="${n(horizon)}" width="${W}" height="${n(H - horizon)}" fill="url(#w)"/><path d="M${n(sun.x - sun.r)} ${n(horizon)}L${n(sun.x + sun.r)} ${n(horizon)}L${n(sun.x + sun.r * 3)} ${H}L${n(sun.x - sun.r * 3)} ${H}Z" fill="${light}" fill-opacity="0.16"/>${waves(random, horizon + 10, light)}
${things.light ? `<ellipse cx="${n(W * 0.2)}" cy="${n(horizon + 20)}" rx="190" ry="34" fill="#3c4144"/>${lighthouse(W * 0.2, horizon + 12, 290)}` : ''}${Array.from({ length: things.sails ?? 0 }, () => sail(between(random, 0.1, 0.9) * W, between(random, 0.06, 0.5) * (H - horizon) + horizon, between(random, 0.5, 1.5), pick(random, ['#c34d3b', '#e6a037', '#f2f0e8', '#2f7f9a']))).join('')}${things.ferry ? ferry(between(random, 0.3, 0.75) * W, horizon + between(random, 60, 170), between(random, 1.4, 2.6)) : ''}${gulls(random, things.gulls ?? 0, hour === 'night' ? '#8fa3b8' : '#33424a')}`)
}

/** Patterns of the harbour, for grounds: ropes, planks, water, charts, nets, tiles. */
const patterns: Readonly<Record<string, (random: Random) => string>> = {
  'Planks of the pier': random =>
    Array.from({ length: 14 }, (_, index) => {
      const y = index * (H / 14)
      const shade = between(random, 108, 150)
      return (
        `<rect y="${n(y)}" width="${W}" height="${n(H / 14 - 4)}" ` +
        `fill="rgb(${n(shade + 34)},${n(shade + 8)},${n(shade - 26)})"/>${Array.from({ length: 7 }, () => `<path d="M${n(random() * W)} ${n(y + random() * 60)}q${n(between(random, 60, 260))} ${n(between(random, -8, 8))} ${n(between(random, 200, 520))} 0" stroke="#4a3020" stroke-opacity="0.25" stroke-width="2" fill="none"/>`).join('')}`
      )
    }).join(''),
  'Water from above': random =>
    `<rect width="${W}" height="${H}" fill="#1d6674"/>${Array.from({ length: 240 }, () => {
      const [x, y, s] = [random() * W, random() * H, between(random, 20, 90)]
      return (
        `<path d="M${n(x)} ${n(y)}q${n(s / 3)} ${n(-s / 4)} ${n(s / 1.5)} 0t${n(s / 1.5)} 0" stroke="#bfe3e0" ` +
        `stroke-opacity="${n(between(random, 0.08, 0.4))}" stroke-width="${n(between(random, 2, 5))}" fill="none"/>`
      )
    }).join('')}`,
  'Chart of the sound': random =>
    `<rect width="${W}" height="${H}" fill="#dfeceb"/>${Array.from({ length: 7 }, (_, ring) => {
      const k = 1 - ring * 0.13
      return (
        `<path d="M${n(W * 0.1)} ${n(H * (0.2 + ring * 0.05))}C${n(W * 0.4 * k)} ${n(H * 0.05 + ring * 40)} ${n(W * 0.5)} ` +
        `${n(H * 0.5)} ${n(W * 0.75 * k + 120)} ${n(H * 0.42)}S${n(W * 0.9)} ${n(H * 0.9 - ring * 30)} ${n(W * 0.4)} ` +
        `${n(H * 0.86 - ring * 26)}S${n(W * 0.02)} ${n(H * 0.6)} ${n(W * 0.1)} ${n(H * (0.2 + ring * 0.05))}Z" ` +
        `fill="${['#cfe3e4', '#bcd8da', '#a6cbcf', '#8fbcc2', '#e8dfc4', '#d9cfa9', '#c8bd92'][ring]}" stroke="#7fa3a8" ` +
        'stroke-width="2"/>'
      )
    }).join(
      '',
    )}${Array.from({ length: 40 }, () => `<text x="${n(random() * W)}" y="${n(random() * H)}" font-size="20" font-family="sans-serif" ` + `fill="#5f8087">${Math.floor(between(random, 2, 48))}</text>`).join('')}<path d="M200 880C520 760 620 420 1320 300" stroke="#7d4a78" stroke-width="6" stroke-dasharray="22 14" fill="none"/>`,
  Ropes: random =>
    `<rect width="${W}" height="${H}" fill="#27424a"/>${Array.from({ length: 9 }, (_, index) => {
      const y = 60 + index * 112
      return (
        `<path d="M-20 ${y}C400 ${n(y - 90 + random() * 60)} 900 ${n(y + 90 - random() * 60)} 1640 ${y}" stroke="#c8aa78" ` +
        `stroke-width="44" fill="none"/><path d="M-20 ${y}C400 ${n(y - 70)} 900 ${n(y + 70)} 1640 ${y}" stroke="#8f7044" ` +
        'stroke-width="40" stroke-dasharray="6 22" fill="none"/>'
      )
    }).join('')}`,
  Nets: () =>
    `<rect width="${W}" height="${H}" ` +
    `fill="#3f6a60"/>${Array.from({ length: 34 }, (_, index) => `<path d="M${index * 50 - 60} 0Q${index * 50 + 60} 500 ${index * 50 - 60} 1000M0 ${index * 34 - 40}Q800 ${index * 34 + 70} 1600 ${index * 34 - 40}" stroke="#d8e4d8" stroke-opacity="0.45" stroke-width="3" fill="none"/>`).join('')}`,
  'Tiles of the hall': random =>
    Array.from({ length: 10 * 16 }, (_, index) => {
      const [x, y] = [(index % 16) * 100, Math.floor(index / 16) * 100]
      return (
        `<rect x="${x + 2}" y="${y + 2}" width="96" height="96" rx="4" ` +
        `fill="${pick(random, ['#12615c', '#2f7f9a', '#e8f3f0', '#e6a037', '#0b4643'])}" fill-opacity="0.9"/><circle ` +
        `cx="${x + 50}" cy="${y + 50}" r="${n(between(random, 10, 34))}" fill="#fbfcfa" fill-opacity="0.35"/>`
      )
    }).join(''),
}

const people: readonly (Partial<FigureLook> & { name: string; pose: string; ground: string })[] = [
  {
    name: 'Portrait of Ines',
    pose: 'stand',
    ground: '#dfe9e4',
    hair: { style: 'bob', color: { hex: '#4a2c1c' } },
    top: { style: 'jacket', color: { role: 'accent1' } },
  },
  {
    name: 'Portrait of Tomas',
    pose: 'arms-folded',
    ground: '#efe2cc',
    body: 'broad',
    beard: true,
    hair: { style: 'short', color: { hex: '#6e665c' } },
    top: { style: 'shirt', color: { role: 'accent5' } },
  },
  {
    name: 'Portrait of Vera',
    pose: 'hands-on-hips',
    ground: '#e6dde8',
    body: 'slim',
    skin: { hex: '#8a5a3c' },
    hair: { style: 'curls', color: { hex: '#1c1512' } },
    top: { style: 'vest', color: { role: 'accent4' } },
  },
  {
    name: 'Portrait of the mate',
    pose: 'wave',
    ground: '#d4e4ec',
    hair: { style: 'cap', color: { hex: '#22353f' } },
    top: { style: 'coat', color: { hex: '#26506b' } },
  },
  {
    name: 'Portrait of the cook',
    pose: 'cup',
    ground: '#f2dfd5',
    skin: { hex: '#e3b58f' },
    hair: { style: 'bun', color: { hex: '#a5622a' } },
    top: { style: 'short sleeves', color: { hex: '#c34d3b' } },
  },
  {
    name: 'Portrait of the pilot',
    pose: 'point',
    ground: '#dde3ee',
    glasses: true,
    hair: { style: 'side', color: { hex: '#8a8f94' } },
    top: { style: 'jacket', color: { hex: '#2b3a55' } },
  },
]
/** The upper half of somebody, before a plain ground. */
function portrait({ name: _, pose, ground, ...look }: (typeof people)[number]) {
  const { parts } = drawFigure(
    { look: { ...usualLook, ...look }, pose: poses.some(known => known.name === pose) ? pose : 'stand' },
    houseTheme.palette,
  )
  return svg(
    `<rect width="1000" height="1200" fill="${ground}"/><circle cx="500" cy="470" r="420" fill="#ffffff" ` +
      'fill-opacity="0.35"/><g transform="translate(500 1790) ' +
      `scale(16.5)">${parts.map(part => `<path d="${part.d}" fill="${part.fill}" stroke="${part.stroke?.color ?? 'none'}" stroke-width="${part.stroke?.width ?? 0}" stroke-linecap="round" stroke-linejoin="round"/>`).join('')}</g>`,
    1000,
    1200,
  )
}

export interface DemoMedia {
  name: string
  bytes: Buffer
  folder: string
  tags: string[]
}

const scenes: readonly [name: string, hour: Hour, things: Parameters<typeof harbour>[2], tags: string[]][] = [
  ['First boat out', 'dawn', { ferry: true, gulls: 5 }, ['ferry', 'morning']],
  ['Quay houses at noon', 'noon', { houses: true, sails: 2 }, ['town']],
  ['Lighthouse before the storm', 'storm', { light: true, gulls: 3 }, ['lighthouse', 'weather']],
  ['Evening regatta', 'dusk', { sails: 7 }, ['sailing']],
  ['Night ferry', 'night', { ferry: true, houses: true }, ['ferry', 'night']],
  ['Fog over Low Sands', 'fog', { sails: 1, gulls: 2 }, ['weather']],
  ['Crane at work', 'noon', { crane: true, ferry: true }, ['freight']],
  ['Quill in the sound', 'noon', { ferry: true, gulls: 7 }, ['ferry']],
  ['Light at dusk', 'dusk', { light: true, ferry: true }, ['lighthouse', 'ferry']],
  ['Port Harrow asleep', 'night', { houses: true, light: true }, ['town', 'night']],
  ['Summer sails', 'noon', { sails: 9, gulls: 4 }, ['sailing', 'summer']],
  ['Grey crossing', 'storm', { ferry: true }, ['ferry', 'weather']],
  ['Dawn on the quay', 'dawn', { houses: true, gulls: 6 }, ['town', 'morning']],
  ['Freight in the fog', 'fog', { crane: true }, ['freight', 'weather']],
  ['Last light', 'dusk', { light: true, sails: 2 }, ['lighthouse']],
  ['Morning sails', 'dawn', { sails: 5 }, ['sailing', 'morning']],
  ['Winter harbour', 'fog', { houses: true, ferry: true }, ['ferry', 'winter']],
  ['Gulls at noon', 'noon', { gulls: 22 }, ['birds']],
  ['Two lights', 'night', { light: true, ferry: true }, ['night', 'lighthouse']],
  ['After the rain', 'storm', { houses: true, sails: 3 }, ['town', 'weather']],
  ['Astrel leaves', 'dusk', { ferry: true, gulls: 4, houses: true }, ['ferry']],
  ['Empty sound', 'dawn', { gulls: 1 }, ['sea']],
  ['Regatta in fog', 'fog', { sails: 6 }, ['sailing', 'weather']],
  ['Crane at dusk', 'dusk', { crane: true, gulls: 3 }, ['freight']],
  ['Noon light', 'noon', { light: true, sails: 3 }, ['lighthouse', 'summer']],
]

/**
 * Pictures of the harbour beside its photographs: scenes at every hour, grounds of wood and water, people, still lifes, the town, people at
 * work, abstract ones; all drawn by computation.
 */
export async function makeIllustrations(): Promise<DemoMedia[]> {
  const drawn = [
    ...scenes.map(([name, hour, things, tags], index) => ({
      name: `${name}.jpg`,
      folder: 'Harbour',
      tags,
      text: harbour(100 + index * 7, hour, things),
    })),
    ...Object.entries(patterns).map(([name, make], index) => ({
      name: `${name}.jpg`,
      folder: 'Grounds',
      tags: ['ground'],
      text: svg(make(seeded(500 + index))),
    })),
    ...people.map(person => ({ name: `${person.name}.jpg`, folder: 'People', tags: ['portrait'], text: portrait(person) })),
    ...drawnSeries().map(({ name, ...rest }) => ({ name: `${name}.jpg`, ...rest })),
  ]
  return Promise.all(
    drawn.map(async ({ text, ...rest }) => ({
      ...rest,
      bytes: await sharp(Buffer.from(text)).flatten({ background: '#ffffff' }).jpeg({ quality: 86 }).toBuffer(),
    })),
  )
}
