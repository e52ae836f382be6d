import { spawn } from 'node:child_process'
import type { DemoMedia } from './illustrations'
import { wav, type Sound } from './wav'

const [W, H, rate, seconds] = [480, 270, 15, 4]
type Rgb = readonly [number, number, number]
const mix = (a: Rgb, b: Rgb, t: number): Rgb => [a[0] + (b[0] - a[0]) * t, a[1] + (b[1] - a[1]) * t, a[2] + (b[2] - a[2]) * t]
const clamp = (value: number) => Math.min(1, Math.max(0, value))

/** A moving picture as the colour of a point (0 to 1 across and down) at a moment (0 to 1 of its length); it returns to its first frame. */
type Film = (x: number, y: number, t: number) => Rgb

const turn = 2 * Math.PI
const films: Readonly<Record<string, Film>> = {
  'Waves rolling in': (x, y, t) =>
    mix([22, 74, 88], [214, 238, 232], clamp(Math.sin((y * 9 - t * 2) * turn + Math.sin(x * 7) * 1.4) * 0.5 + y * 0.35 - 0.2)),
  'Sun over the water': (x, y, t) =>
    y < 0.55
      ? mix([64, 92, 140], [250, 190, 130], clamp(y * 1.6 + 0.12 * Math.sin(t * turn)))
      : mix(
          [36, 62, 92],
          [255, 214, 150],
          clamp(Math.exp(-(((x - 0.5) / (0.08 + (y - 0.55))) ** 2)) * (0.5 + 0.5 * Math.sin(y * 160 + t * turn * 3 + Math.sin(x * 40)))),
        ),
  'Rain on the quay': (x, y, t) => {
    const column = Math.floor(x * 120)
    const drop = (y * 1.4 + t * 3 + ((column * 7919) % 97) / 97) % 1
    return mix([58, 72, 80], [196, 208, 212], drop > 0.94 ? 0.8 : y > 0.8 ? 0.12 : 0.02)
  },
  'Beam of the lighthouse': (x, y, t) => {
    const angle = Math.atan2(y - 0.42, x - 0.3)
    const beam = Math.cos(angle - t * turn) ** 40 * Math.max(0, Math.cos(angle - t * turn))
    const tower = Math.abs(x - 0.3) < 0.02 + (y - 0.42) * 0.02 && y > 0.42
    return tower
      ? [226, 218, 200]
      : mix(mix([10, 20, 44], [30, 48, 76], y), [255, 240, 190], clamp(beam * (1 - Math.hypot(x - 0.3, y - 0.42))))
  },
  'Flags in the wind': (x, y, t) => {
    const wave = Math.sin(x * 8 - t * turn * 2) * 0.05 * x
    const band = Math.floor(clamp((y + wave - 0.2) / 0.6) * 3)
    const on = y + wave > 0.2 && y + wave < 0.8
    const light = 0.82 + 0.18 * Math.cos(x * 8 - t * turn * 2)
    const color = (
      [
        [18, 97, 92],
        [251, 252, 250],
        [230, 160, 55],
      ] as const
    )[Math.min(2, band)]!
    return on ? [color[0] * light, color[1] * light, color[2] * light] : [206, 224, 228]
  },
  'Lanterns at night': (x, y, t) => {
    let glow = 0
    for (let lamp = 0; lamp < 7; lamp++) {
      const [lx, ly] = [0.1 + lamp * 0.135, 0.4 + 0.08 * Math.sin(t * turn + lamp * 1.7)]
      glow +=
        Math.exp(-(((x - lx) ** 2 + ((y - ly) * 0.56) ** 2) * 900)) + 0.25 * Math.exp(-(((x - lx) ** 2 + ((y - ly) * 0.56) ** 2) * 60))
    }
    return mix([12, 18, 40], [255, 196, 110], clamp(glow))
  },
}

/** A film as MP4 (H.264), encoded by ffmpeg from raw frames. */
function encode(film: Film): Promise<Buffer> {
  return new Promise((resolve, reject) => {
    const child = spawn(
      'ffmpeg',
      [
        '-v',
        'error',
        '-f',
        'rawvideo',
        '-pix_fmt',
        'rgb24',
        '-s',
        `${W}x${H}`,
        '-r',
        String(rate),
        '-i',
        '-',
        '-c:v',
        'libx264',
        '-preset',
        'veryfast',
        '-crf',
        '24',
        '-pix_fmt',
        'yuv420p',
        '-movflags',
        'frag_keyframe+empty_moov',
        '-f',
        'mp4',
        '-',
      ],
      { stdio: ['pipe', 'pipe', 'ignore'] },
    )
    const parts: Buffer[] = []
    child.stdout.on('data', part => parts.push(part as Buffer))
    child.on('error', reject)
    child.on('close', code => (code ? reject(new Error(`ffmpeg ended with ${code}`)) : resolve(Buffer.concat(parts))))
    child.stdin.on('error', () => {})
    const [w, h] = [W / 2, H / 2]
    for (let frame = 0; frame < rate * seconds; frame++) {
      const pixels = Buffer.alloc(W * H * 3)
      for (let y = 0; y < h; y++) {
        for (let x = 0; x < w; x++) {
          const color = film(x / w, y / h, frame / (rate * seconds))
          for (const [dx, dy] of [
            [0, 0],
            [1, 0],
            [0, 1],
            [1, 1],
          ] as const)
            for (let channel = 0; channel < 3; channel++) pixels[((2 * y + dy) * W + 2 * x + dx) * 3 + channel] = color[channel]!
        }
      }
      child.stdin.write(pixels)
    }
    child.stdin.end()
  })
}

const envelope = (second: number, length: number, rise = 0.02) => clamp(second / rise) * clamp((length - second) / 0.2)
const bell = (second: number, hz: number) =>
  [1, 2.01, 2.98, 4.1].reduce(
    (sum, partial, index) => sum + (Math.sin(second * turn * hz * partial) * Math.exp(-second * (1.6 + index * 1.4))) / (index + 1.4),
    0,
  ) * 0.5
const notes = [261.6, 329.6, 392, 523.3, 440, 349.2]
const sounds: Readonly<Record<string, Sound>> = {
  'Ship’s horn': {
    seconds: 3,
    at: second =>
      envelope(second, 3, 0.15) *
      ([110, 138.6, 165].reduce((sum, hz) => sum + Math.sin(second * turn * hz) + 0.4 * Math.sin(second * turn * hz * 2), 0) / 5),
  },
  'Harbour bell': { seconds: 3.5, at: second => bell(second, 620) },
  'Waves on the wall': {
    seconds: 6,
    at: (second, noise) => noise() * 0.5 * (0.35 + 0.65 * Math.max(0, Math.sin((second / 3) * turn)) ** 2) * envelope(second, 6, 0.5),
  },
  Gulls: {
    seconds: 3,
    at: second => {
      const call = (second * 1.6) % 1
      return (
        envelope(second, 3) *
        (call < 0.4 ? Math.sin(turn * (1500 * second - 500 * call * call)) * Math.sin((call / 0.4) * Math.PI) * 0.4 : 0)
      )
    },
  },
  'Gong before a notice': { seconds: 2.4, at: second => (bell(second, 392) + (second > 0.5 ? bell(second - 0.5, 330) : 0)) * 0.7 },
  'Quiet bed': {
    seconds: 8,
    at: second =>
      envelope(second, 8, 1) *
      notes
        .slice(0, 3)
        .reduce((sum, hz, index) => sum + Math.sin(second * turn * (hz / 2)) * (0.5 + 0.5 * Math.sin((second / (3 + index)) * turn)), 0) *
      0.16,
  },
  'Bright bed': {
    seconds: 8,
    at: second => envelope(second, 8, 0.1) * bell(second % 0.5, notes[Math.floor(second * 2) % notes.length]!) * 0.8,
  },
  Rain: { seconds: 5, at: (second, noise) => envelope(second, 5, 0.5) * noise() * (0.14 + (noise() > 0.997 ? 0.7 : 0)) },
}

/** Six film clips and eight sounds of the harbour, by computation. */
export async function makeClips(): Promise<DemoMedia[]> {
  const made: DemoMedia[] = []
  for (const [name, film] of Object.entries(films))
    made.push({ name: `${name}.mp4`, folder: 'Films', tags: ['loop'], bytes: await encode(film) })
  Object.entries(sounds).forEach(([name, sound], index) =>
    made.push({
      name: `${name}.wav`,
      folder: 'Sounds',
      tags: name.includes('bed') ? ['music'] : ['effect'],
      bytes: wav(sound, 900 + index),
    }),
  )
  return made
}
