import { createNoise2D } from 'simplex-noise'
import sharp from 'sharp'
import { seeded } from '../core/values'

type Rgb = readonly [number, number, number]

interface Scene {
  name: string
  seed: number
  width: number
  height: number
  /** From the zenith to the horizon. */
  sky: readonly Rgb[]
  sea: readonly [far: Rgb, near: Rgb]
  sun: { x: number; y: number; size: number; color: Rgb }
  /** Distant first. */
  hills: readonly { base: number; rise: number; rough: number; color: Rgb }[]
  horizon: number
  ferry?: { x: number; y: number; size: number }
  lighthouse?: { x: number; height: number }
}

const mix = (a: Rgb, b: Rgb, t: number): Rgb => [a[0] + (b[0] - a[0]) * t, a[1] + (b[1] - a[1]) * t, a[2] + (b[2] - a[2]) * t]
const clamp = (value: number) => Math.min(1, Math.max(0, value))

function gradient(stops: readonly Rgb[], t: number): Rgb {
  const at = clamp(t) * (stops.length - 1)
  const index = Math.min(stops.length - 2, Math.floor(at))
  return mix(stops[index]!, stops[index + 1]!, at - index)
}

/** The ferry's coverage of a point in its own space: hull, house, funnel; and which of them. */
function ferryAt(x: number, y: number): 'hull' | 'house' | 'funnel' | 'window' | null {
  if (y > -0.1 && y < 0.12 && Math.abs(x) < 0.95 - Math.max(0, y) * 1.4 + (x > 0 ? 0.12 * (0.12 - y) * 4 : 0)) return 'hull'
  if (y > -0.3 && y <= -0.1 && x > -0.78 && x < 0.55)
    return y > -0.24 && y < -0.17 && Math.floor((x + 2) * 14) % 2 === 0 ? 'window' : 'house'
  if (y > -0.42 && y <= -0.3 && x > -0.5 && x < 0.3) return 'house'
  if (y > -0.62 && y <= -0.42 && x > -0.32 && x < -0.14) return 'funnel'
  return null
}

/** Noise in layers, each twice as fine and half as strong as the one before; about -2 to 2. */
type Layered = (x: number, y: number, octaves: number) => number

/** A place of a scene, 0 to 1 both ways, `wide` the picture's width in its heights. */
interface Spot {
  x: number
  y: number
  wide: number
}

/** The sky with soft clouds and the sun, or the sea that glitters under it. */
function backdropAt({ horizon, sky, sea, sun }: Scene, { x, y, wide }: Spot, layered: Layered): Rgb {
  if (y < horizon) {
    const nearSun = Math.hypot((x - sun.x) * wide, y - sun.y)
    const cloud = clamp(layered(x * 3, y * 9 + 3, 5) * 0.8 - 0.05) * clamp(1.2 - Math.abs(y / horizon - 0.45) * 2)
    const clouded = mix(gradient(sky, y / horizon), mix([255, 250, 240], sun.color, 0.3), cloud * 0.5)
    const lit = mix(clouded, sun.color, 0.85 * Math.exp(-((nearSun / sun.size) ** 2) * 0.6) + 0.35 * Math.exp(-nearSun * 3))
    return nearSun < sun.size * 0.55 ? mix(lit, [255, 248, 228], 0.9) : lit
  }
  const depth = (y - horizon) / (1 - horizon)
  const streak = layered(x * (6 - 3 * depth), y * (90 - 60 * depth), 3)
  const water = mix(sea[0], sea[1], depth ** 0.8 + streak * 0.07)
  const glitter = Math.exp(-(((x - sun.x) / (0.05 + depth * 0.16)) ** 2)) * clamp(0.3 + layered(x * 40, y * 160, 2))
  return mix(water, sun.color, clamp(glitter) * (0.75 - depth * 0.35))
}

/** The lighthouse on its rock; null beside them. */
function lighthouseAt({ lighthouse, horizon }: Scene, { x, y, wide }: Spot, layered: Layered): Rgb | null {
  if (!lighthouse) return null
  const across = (x - lighthouse.x) * wide
  const up = (horizon + 0.03 - y) / lighthouse.height
  if (up <= 0) return up > -0.2 && Math.abs(across) < 0.1 + up * 0.1 + layered(x * 30, 2, 3) * 0.012 ? [44, 46, 50] : null
  const half = 0.018 * (1.25 - 0.4 * up)
  if (up >= 1 || Math.abs(across) >= half) return null
  if (up > 0.86) return up < 0.95 ? [255, 224, 150] : [60, 42, 44]
  return mix(Math.floor(up * 5) % 2 ? [236, 230, 220] : [178, 66, 52], [40, 50, 60], clamp(0.25 + across / half / 2.5))
}

function ferryColor({ ferry }: Scene, { x, y, wide }: Spot): Rgb | null {
  if (!ferry) return null
  const part = ferryAt(((x - ferry.x) * wide) / ferry.size, (y - ferry.y) / ferry.size)
  if (part === 'hull') return y > ferry.y + ferry.size * 0.05 ? [140, 48, 40] : [24, 58, 66]
  const colors: Record<'house' | 'window' | 'funnel', Rgb> = { house: [242, 240, 232], window: [70, 96, 108], funnel: [226, 152, 54] }
  return part && colors[part]
}

/** Paints a scene pixel by pixel: sky with soft clouds, hills in haze, a sea that glitters under the sun, film grain. */
async function paint(scene: Scene): Promise<{ name: string; bytes: Buffer }> {
  const { width, height } = scene
  const random = seeded(scene.seed)
  const noise = createNoise2D(random)
  const layered: Layered = (x, y, octaves) => {
    let sum = 0
    for (let octave = 0; octave < octaves; octave++) sum += noise(x * 2 ** octave, y * 2 ** octave) / 2 ** octave
    return sum
  }
  const ridge = scene.hills.map(hill =>
    Array.from({ length: width }, (_, x) => hill.base - hill.rise * (0.5 + 0.5 * layered((x / width) * hill.rough, hill.base * 10, 5))),
  )
  const pixels = Buffer.alloc(width * height * 3)
  for (let py = 0; py < height; py++) {
    for (let px = 0; px < width; px++) {
      const spot = { x: px / width, y: py / height, wide: width / height }
      const { x, y } = spot
      let color = backdropAt(scene, spot, layered)
      scene.hills.forEach((hill, index) => {
        const top = ridge[index]![px]!
        if (y > top && y < scene.horizon + 0.004) color = mix(hill.color, gradient(scene.sky, 1), clamp((y - top) * 1.5) * 0.3)
      })
      color = ferryColor(scene, spot) ?? lighthouseAt(scene, spot, layered) ?? color
      const grain = (random() - 0.5) * 9
      const shade = 1 - 0.22 * Math.hypot(x - 0.5, y - 0.5) ** 2
      const at = (py * width + px) * 3
      for (let channel = 0; channel < 3; channel++) pixels[at + channel] = Math.max(0, Math.min(255, color[channel]! * shade + grain))
    }
  }
  const bytes = await sharp(pixels, { raw: { width, height, channels: 3 } })
    .jpeg({ quality: 86 })
    .toBuffer()
  return { name: scene.name, bytes }
}

const scenes: readonly Scene[] = [
  {
    name: 'Morning boat.jpg',
    seed: 11,
    width: 1600,
    height: 1200,
    horizon: 0.56,
    sky: [
      [92, 128, 158],
      [168, 186, 190],
      [246, 214, 170],
    ],
    sea: [
      [150, 160, 160],
      [26, 62, 78],
    ],
    sun: { x: 0.68, y: 0.42, size: 0.07, color: [255, 208, 138] },
    hills: [
      { base: 0.56, rise: 0.14, rough: 2, color: [128, 146, 156] },
      { base: 0.57, rise: 0.08, rough: 4, color: [84, 108, 118] },
    ],
    ferry: { x: 0.36, y: 0.6, size: 0.13 },
  },
  {
    name: 'Quay light.jpg',
    seed: 23,
    width: 1600,
    height: 1200,
    horizon: 0.62,
    sky: [
      [28, 44, 76],
      [94, 84, 120],
      [232, 142, 96],
    ],
    sea: [
      [150, 106, 104],
      [18, 30, 52],
    ],
    sun: { x: 0.3, y: 0.56, size: 0.06, color: [255, 176, 110] },
    hills: [{ base: 0.62, rise: 0.1, rough: 3, color: [66, 62, 92] }],
    lighthouse: { x: 0.72, height: 0.4 },
  },
  {
    name: 'Low Sands.jpg',
    seed: 37,
    width: 1600,
    height: 1200,
    horizon: 0.44,
    sky: [
      [120, 170, 196],
      [190, 216, 222],
      [236, 240, 232],
    ],
    sea: [
      [150, 190, 190],
      [52, 118, 124],
    ],
    sun: { x: 0.16, y: 0.14, size: 0.08, color: [255, 246, 214] },
    hills: [
      { base: 0.44, rise: 0.05, rough: 2, color: [150, 176, 168] },
      { base: 0.45, rise: 0.03, rough: 6, color: [110, 142, 124] },
    ],
    ferry: { x: 0.74, y: 0.47, size: 0.06 },
  },
]

/** The first so many of the harbour's photographs, by computation. */
export const makePictures = (count = scenes.length) => Promise.all(scenes.slice(0, count).map(paint))
