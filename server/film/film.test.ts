import { execFileSync, spawnSync } from 'node:child_process'
import { mkdtempSync, readFileSync, rmSync } from 'node:fs'
import os from 'node:os'
import path from 'node:path'
import sharp from 'sharp'
import { afterAll, beforeAll, describe, expect, it } from 'vitest'
import type { SoundPlan, Sounding } from '../../core/timing'
import { startEncoder } from './encode'
import { mixSound, sampleRate } from './mix'

let folder: string
beforeAll(() => {
  folder = mkdtempSync(path.join(os.tmpdir(), 'hailbank-test-'))
  // A second of tone after half a second of silence, and a tone of three seconds.
  execFileSync('ffmpeg', ['-v', 'error', '-f', 'lavfi', '-i', 'sine=f=440:d=1:r=48000,adelay=500', '-y', path.join(folder, 'late.wav')])
  execFileSync('ffmpeg', [
    '-v',
    'error',
    '-f',
    'lavfi',
    '-i',
    'sine=f=220:d=3:r=44100',
    '-c:a',
    'libmp3lame',
    '-y',
    path.join(folder, 'tone.mp3'),
  ])
})
afterAll(() => rmSync(folder, { recursive: true, force: true }))

const sounding = (fields: Partial<Sounding>): Sounding => ({
  id: 'a',
  media: 'late',
  kind: 'effect',
  element: null,
  slide: 's',
  start: 0,
  end: 1.5,
  span: { from: 0, until: 1.5, speed: 1, seconds: 1.5 },
  loop: false,
  played: 0,
  volume: 1,
  fadeIn: 0,
  fadeOut: 0,
  duck: 1,
  ...fields,
})
const fileOf = (media: string) => path.join(folder, media === 'late' ? 'late.wav' : 'tone.mp3')
async function mixed(soundings: Sounding[], seconds: number): Promise<Float32Array> {
  const plan: SoundPlan = { length: seconds, soundings, voices: [] }
  const file = await mixSound(plan, seconds, fileOf, folder)
  const bytes = readFileSync(file!).subarray(44)
  return new Float32Array(bytes.buffer.slice(bytes.byteOffset, bytes.byteOffset + bytes.length))
}
/** The first second at which it is louder than a whisper. */
const onset = (samples: Float32Array, from = 0) =>
  samples.findIndex((value, index) => index >= from * sampleRate * 2 && Math.abs(value) > 0.01) / 2 / sampleRate
const loudest = (samples: Float32Array, from: number, until: number) =>
  samples
    .slice(Math.round(from * sampleRate) * 2, Math.round(until * sampleRate) * 2)
    .reduce((most, value) => Math.max(most, Math.abs(value)), 0)

describe('the sound of a film', () => {
  it('is exactly as long as its pictures, and each sound is exactly in its place', async () => {
    const samples = await mixed([sounding({ start: 1.25, end: 2.75 })], 4.2)
    expect(samples.length / 2).toBe(Math.round(4.2 * sampleRate))
    expect(Math.abs(onset(samples) - 1.75)).toBeLessThan(0.003)
    expect(loudest(samples, 2.76, 4.2)).toBe(0)
  })
  it('begins in the middle where a clip goes on, and faster where it is played faster', async () => {
    expect(Math.abs(onset(await mixed([sounding({ played: 0.3, start: 1, end: 2.2 })], 3)) - 1.2)).toBeLessThan(0.003)
    expect(
      Math.abs(onset(await mixed([sounding({ start: 1, end: 1.75, span: { from: 0, until: 1.5, speed: 2, seconds: 0.75 } })], 3)) - 1.25),
    ).toBeLessThan(0.04)
  })
  it('loops without a gap', async () => {
    const samples = await mixed(
      [sounding({ media: 'tone', loop: true, start: 0, end: 6, span: { from: 0.5, until: 1.5, speed: 1, seconds: 1 } })],
      6,
    )
    for (let at = 0.1; at < 5.9; at += 0.02) expect(loudest(samples, at, at + 0.02)).toBeGreaterThan(0.03)
  })
  it('fades, steps back, and does not break when all are loud at once', async () => {
    const tone = sounding({ media: 'tone', end: 3, span: { from: 0, until: 3, speed: 1, seconds: 3 } })
    const faded = await mixed([{ ...tone, fadeIn: 2 }], 3)
    expect(loudest(faded, 0.2, 0.3)).toBeLessThan(loudest(faded, 2.5, 2.6) * 0.2)
    const many = await mixed(
      Array.from({ length: 40 }, (_, index) => ({ ...tone, id: String(index) })),
      3,
    )
    expect(loudest(many, 0, 3)).toBeLessThanOrEqual(1)
  })
  it('is none where nothing is heard, or a file has no sound', async () => {
    expect(await mixSound({ length: 2, soundings: [sounding({ media: 'gone' })], voices: [] }, 2, () => undefined, folder)).toBeNull()
    expect(await mixSound({ length: 2, soundings: [], voices: [] }, 2, fileOf, folder)).toBeNull()
  })
})

describe('pictures that stand for many frames', () => {
  const picture = (grey: number) =>
    sharp({ create: { width: 64, height: 36, channels: 3, background: { r: grey, g: grey, b: grey } } })
      .jpeg({ quality: 95 })
      .toBuffer()
  it.each([
    ['mp4', 30],
    ['mp4', 25],
    ['webm', 60],
    ['mp4', 24],
  ] as const)('are encoded once, in exact number and place, through long holds: %s at %i', async (format, rate) => {
    const into = path.join(folder, `film-${rate}.${format}`)
    // Short holds, one of some seconds and a bit, one to the end.
    const shown = [
      [0, 0],
      [7, 80],
      [8, 160],
      [31, 240],
      [31 + rate * 4 + 5, 40],
      [33 + rate * 4 + 5, 120],
    ] as const
    const frames = 40 + rate * 9
    const repeats = Array.from({ length: frames }, (_, frame) => !shown.some(([from]) => from === frame))
    const encoder = startEncoder({
      format,
      rate,
      size: { width: 64, height: 36 },
      repeats,
      sound: path.join(folder, 'late.wav'),
      folder,
      into,
    })
    for (const [frame, grey] of shown) await encoder.picture(frame, await picture(grey))
    await encoder.end()
    const raw = spawnSync('ffmpeg', ['-v', 'error', '-i', into, '-fps_mode', 'passthrough', '-f', 'rawvideo', '-pix_fmt', 'gray', '-'], {
      maxBuffer: 1 << 26,
    }).stdout
    const greys = Array.from({ length: raw.length / (64 * 36) }, (_, frame) => raw[frame * 64 * 36 + 18 * 64 + 32]!)
    expect(greys).toHaveLength(frames)
    greys.forEach((grey, frame) => {
      const [, wanted] = shown.findLast(([from]) => from <= frame)!
      expect(Math.abs(grey - wanted), `frame ${frame} is ${grey}, not ${wanted}`).toBeLessThan(14)
    })
    const length = Number(execFileSync('ffprobe', ['-v', 'error', '-show_entries', 'format=duration', '-of', 'csv=p=0', into]).toString())
    expect(Math.abs(length - frames / rate)).toBeLessThan(0.03)
  })
  it('that the encoder refuses end in a sentence, not in silence', async () => {
    const into = path.join(folder, 'no', 'such', 'place.mp4')
    const encoder = startEncoder({ format: 'mp4', rate: 30, size: { width: 64, height: 36 }, repeats: [false], sound: null, folder, into })
    await encoder.picture(0, await picture(9))
    await expect(encoder.end()).rejects.toThrow(/No such file/)
  })
})
