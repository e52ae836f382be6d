import { peakRate } from './spoken'

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
