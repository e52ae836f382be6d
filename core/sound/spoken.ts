/** Peaks in a second. */
export const peakRate = 100

export interface Stretch {
  /** Seconds. */
  from: number
  until: number
}

/** Breath between sentences is seldom shorter, gaps between words seldom longer: seconds. */
const shortestPause = 0.3
/** A sound shorter than this, seconds, is a click or a breath. */
const shortestSound = 0.08

/**
 * What counts as silence in a recording: between its quiet (the tenth part of it that is least loud) and its loud (the
 * tenth that is loudest), nearer to the quiet, so that hum and room do not pass for speech.
 */
export function silenceLevel(peaks: Uint8Array): number {
  if (!peaks.length) return 0
  const sorted = Uint8Array.from(peaks).sort()
  const at = (share: number) => sorted[Math.min(sorted.length - 1, Math.floor(share * sorted.length))]!
  const [quiet, loud] = [at(0.1), at(0.9)]
  return Math.max(3, quiet + (loud - quiet) * 0.16)
}

/** The stretches of a recording in which something is heard; pauses shorter than `pause`, seconds, do not part them. */
export function spokenIn(peaks: Uint8Array, pause = shortestPause): Stretch[] {
  const level = silenceLevel(peaks)
  const made: Stretch[] = []
  for (let at = 0; at < peaks.length; at++) {
    if (peaks[at]! <= level) continue
    const [from, until] = [at / peakRate, (at + 1) / peakRate]
    const last = made.at(-1)
    if (last && from - last.until < pause) last.until = until
    else made.push({ from, until })
  }
  return made.filter(({ from, until }) => until - from >= shortestSound)
}
