import type { ClipElement } from '../model'
import type { TimingContext } from './context'

/** A stretch of a file that plays. */
export interface ClipSpan {
  /** Seconds into the file. */
  from: number
  until: number
  speed: number
  /** Seconds that playing it once takes. */
  seconds: number
  /** Of one that begins again: seconds of play over which its end goes over into its beginning. */
  blend?: number
}

/** Of what is longer than a day nothing is known that could be played. */
const longest = 86_400
/** What is left of a stretch whose ends were trimmed past each other, seconds. */
const shortest = 0.04

/** The stretch of its file that a clip or sound plays; null while the file's length is not known. */
export function spanOfClip(
  clip: Pick<ClipElement, 'media' | 'from' | 'until' | 'speed'> & Pick<Partial<ClipElement>, 'loop' | 'blend'>,
  context: Pick<TimingContext, 'mediaLength'>,
): ClipSpan | null {
  const length = clip.media === undefined ? undefined : context.mediaLength(clip.media)
  if (length === undefined) return null
  const from = Math.min(clip.from ?? 0, Math.max(0, length - shortest))
  const until = Math.max(from + Math.min(shortest, length), Math.min(clip.until ?? length, length, longest))
  const speed = clip.speed ?? 1
  const seconds = (until - from) / speed
  const blend = clip.loop ? Math.min(clip.blend ?? 0, seconds / 2) : 0
  return { from, until, speed, seconds, ...(blend > 0 ? { blend } : {}) }
}

/** What a clip shows at a moment. */
export interface ClipMoment {
  /** Seconds into the file. */
  at: number
  running: boolean
  /** The end of the round before, while it goes over into this one: seconds into the file, and how much of it is still seen. */
  tail?: { at: number; opacity: number }
}

/** Seconds from one beginning of what goes round to the next. */
export const roundOf = (span: ClipSpan) => span.seconds - (span.blend ?? 0)

/** A clip so many seconds after it began to play. What is over stands at its last picture. */
export function clipAfter(span: ClipSpan, played: number, loop: boolean): ClipMoment {
  if (loop && span.seconds > 0) {
    const blend = span.blend ?? 0
    const round = roundOf(span)
    const into = ((played % round) + round) % round
    const now = { at: span.from + into * span.speed, running: true }
    return blend > 0 && played >= round && into < blend
      ? { ...now, tail: { at: span.until - (blend - into) * span.speed, opacity: 1 - into / blend } }
      : now
  }
  const over = played >= span.seconds
  return { at: over ? span.until : span.from + Math.max(0, played) * span.speed, running: !over }
}
