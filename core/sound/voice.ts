import { memoByRecords } from '../values'
import { secondsAt, type Moment, type Rundown, type SoundPlan } from '../timing'
import { peakRate } from './spoken'

/** How loud a voice is some seconds before a moment, 0 to 1. */
export type VoiceAt = (secondsBefore: number) => number

/** What a recording is at its loudest, but for a few peaks: the hundredth part of it that is loudest is left out. */
const loudestOf = memoByRecords(
  (peaks: Uint8Array) => [peaks],
  (peaks): number => {
    const sorted = Uint8Array.from(peaks).sort()
    return Math.max(1, sorted[Math.floor(sorted.length * 0.99)] ?? 1)
  },
)

/** The voice that is heard at a moment of a deck; null where nobody speaks. Where several do, the loudest counts. */
export function voiceAt(plan: Rundown, sounds: SoundPlan, peaksOf: (hash: string) => Uint8Array | null, moment: Moment): VoiceAt | null {
  const seconds = secondsAt(plan, moment)
  if (seconds === null) return null
  const heard = sounds.soundings.filter(one => one.kind === 'narration' && one.volume > 0 && seconds >= one.start && seconds < one.end)
  const voices = heard.flatMap(one => {
    const peaks = peaksOf(one.media)
    return peaks ? [{ one, peaks, most: loudestOf(peaks) }] : []
  })
  if (!voices.length) return null
  return before =>
    Math.max(
      ...voices.map(({ one, peaks, most }) => {
        const at = seconds - before - one.start + one.played
        if (at < 0) return 0
        const into = one.loop ? at % one.span.seconds : at
        return Math.min(1, (peaks[Math.floor((one.span.from + into * one.span.speed) * peakRate)] ?? 0) / most)
      }),
    )
}
