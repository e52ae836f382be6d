import { execFileSync, spawnSync } from 'node:child_process'
import { mkdtempSync, readFileSync, writeFileSync } from 'node:fs'
import os from 'node:os'
import path from 'node:path'
import { voiceOf } from '../../demo/voice'

export const place = () => mkdtempSync(path.join(os.tmpdir(), 'hailbank-e2e-'))

/** A film of so many seconds whose grey grows from dark to light, so that any picture of it tells its moment. */
export function greyFilm(seconds: number, name: string, ...more: string[]): Buffer {
  const file = path.join(place(), name)
  execFileSync('ffmpeg', [
    '-v',
    'error',
    '-f',
    'lavfi',
    '-i',
    `color=s=320x180:r=25:d=${seconds},format=gray,geq=lum='20+T*200/${seconds}'`,
    ...more,
    '-pix_fmt',
    'yuv420p',
    '-y',
    file,
  ])
  return readFileSync(file)
}

/** A click of 50 ms at a second, in silence. */
export function click(at: number, seconds: number): Buffer {
  const file = path.join(place(), 'click.wav')
  execFileSync('ffmpeg', [
    '-v',
    'error',
    '-f',
    'lavfi',
    '-i',
    `aevalsrc='0.8*sin(2*PI*880*t)*between(t,${at},${at + 0.05})':d=${seconds}:s=48000`,
    '-y',
    file,
  ])
  return readFileSync(file)
}

/** The file that a browser takes for its microphone: something like a voice that says a script. */
export function voiceFile(script: string): string {
  const file = path.join(place(), 'voice.wav')
  writeFileSync(file, voiceOf(script, 12))
  return file
}

interface Counted {
  streams: { codec_type: string; codec_name: string; nb_read_frames: string; width: number; height: number }[]
  format: { duration: string }
}
/** What ffprobe says of a film, its frames counted one by one. */
export const counted = (file: string) =>
  JSON.parse(
    execFileSync('ffprobe', [
      '-v',
      'error',
      '-count_frames',
      '-show_entries',
      'stream=codec_type,codec_name,nb_read_frames,width,height:format=duration',
      '-of',
      'json',
      file,
    ]).toString(),
  ) as Counted

/** One frame of a film as PNG. */
export const frameOf = (file: string, frame: number) =>
  spawnSync(
    'ffmpeg',
    ['-v', 'error', '-i', file, '-vf', `select=eq(n\\,${frame})`, '-frames:v', '1', '-f', 'image2pipe', '-c:v', 'png', '-'],
    { maxBuffer: 1 << 26 },
  ).stdout

/** The first second at which a film’s sound is louder than a whisper. */
export function onsetOf(file: string): number {
  const raw = spawnSync('ffmpeg', ['-v', 'error', '-i', file, '-ac', '1', '-ar', '48000', '-f', 's16le', '-'], {
    maxBuffer: 1 << 28,
  }).stdout
  const samples = new Int16Array(raw.buffer, raw.byteOffset, raw.length >> 1)
  return samples.findIndex(value => Math.abs(value) > 1500) / 48_000
}
