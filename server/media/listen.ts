import path from 'node:path'
import { peakRate } from '../../core/sound'
import { given, startDecoder } from './ffmpeg'

const hertz = 8000
const perPeak = hertz / peakRate

/** How loud a film or sound is, as core/sound reads it; null where it has no sound that can be read. */
export function peaksOf(file: string): Promise<Uint8Array | null> {
  return new Promise(resolve => {
    const child = startDecoder(
      'ffmpeg',
      ['-v', 'error', '-nostdin', ...given(file), '-map', '0:a:0', '-ac', '1', '-ar', String(hertz), '-f', 's16le', 'pipe:1'],
      [path.dirname(file)],
      { stdio: ['ignore', 'pipe', 'ignore'] },
    )
    const peaks: number[] = []
    let most = 0
    let count = 0
    let odd: number | null = null
    const take = (value: number) => {
      most = Math.max(most, Math.abs(value))
      if (++count < perPeak) return
      peaks.push(Math.min(255, Math.round((most / 32_768) * 255)))
      most = count = 0
    }
    child.stdout!.on('data', (part: Buffer) => {
      let at = 0
      if (odd !== null) {
        take(((part[0]! << 24) >> 16) | odd)
        odd = null
        at = 1
      }
      for (; at + 1 < part.length; at += 2) take(part.readInt16LE(at))
      if (at < part.length) odd = part[at]!
    })
    child.on('error', () => resolve(null))
    child.on('close', () => resolve(peaks.length && peaks.some(Boolean) ? Uint8Array.from(peaks) : null))
  })
}
