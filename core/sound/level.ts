import { peakRate } from './silences'

/** How loud a recording is at a second, 0 to 1: the mean of its peaks within an eighth of a second. 0 outside of it. */
export function loudnessAt(peaks: Uint8Array, seconds: number): number {
  const half = Math.round(peakRate / 16)
  const at = Math.round(seconds * peakRate)
  let sum = 0
  for (let index = Math.max(0, at - half); index < Math.min(peaks.length, at + half); index++) sum += peaks[index]!
  return Math.min(1, sum / (2 * half) / 255)
}

/** The highest peak in each of `count` equal parts of a stretch of a recording, 0 to 1, for drawing it. */
export function waveform(peaks: Uint8Array, from: number, until: number, count: number): number[] {
  return Array.from({ length: count }, (_, index) => {
    const first = Math.floor((from + ((until - from) * index) / count) * peakRate)
    const last = Math.max(first + 1, Math.ceil((from + ((until - from) * (index + 1)) / count) * peakRate))
    let most = 0
    for (let at = Math.max(0, first); at < Math.min(last, peaks.length); at++) if (peaks[at]! > most) most = peaks[at]!
    return most / 255
  })
}
