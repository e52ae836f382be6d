import type { ClipElement } from '../model'
import type { Id } from '../values'
import type { Score, ScoreCue, TimingContext, Track } from './score'

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
export function spanOfClip(clip: Pick<ClipElement, 'media' | 'from' | 'until' | 'speed'> & Pick<Partial<ClipElement>, 'loop' | 'blend'>, context: Pick<TimingContext, 'mediaLength'>): ClipSpan | null {
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
  tail?: { at: number, opacity: number }
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
    return blend > 0 && played >= round && into < blend ? { ...now, tail: { at: span.until - (blend - into) * span.speed, opacity: 1 - into / blend } } : now
  }
  const over = played >= span.seconds
  return { at: over ? span.until : span.from + Math.max(0, played) * span.speed, running: !over }
}

/** From one cue of a clip to the next: `played` is how much of it had played as it began, seconds. */
export interface ClipPlay {
  cue: ScoreCue
  /** Planned seconds from the slide's opening; `until` is Infinity where no other cue ends it. */
  start: number
  until: number
  played: number
  running: boolean
}

/** What a clip does from cue to cue: play begins it anew, pause holds it, go on takes it up again. `sinceOf` are seconds since a cue began. */
export function playsOf(cues: readonly ScoreCue[], startOf: (cue: ScoreCue) => number): ClipPlay[] {
  const plays: ClipPlay[] = []
  for (const cue of cues) {
    if (cue.cue.what !== 'media') continue
    const start = startOf(cue)
    const last = plays.at(-1)
    if (last) last.until = start
    const had = last ? last.played + (last.running ? start - last.start : 0) : 0
    if (cue.effect.name === 'clip-pause' || cue.effect.name === 'clip-go-on') {
      // Before it has begun there is nothing to hold or to go on with.
      if (last) plays.push({ cue, start, until: Infinity, played: had, running: cue.effect.name === 'clip-go-on' })
    } else plays.push({ cue, start, until: Infinity, played: 0, running: true })
  }
  return plays
}

/** Planned seconds from the slide's opening to a cue. */
export const cueStart = (score: Score, cue: ScoreCue) => score.beats[cue.beat]!.at + cue.start

/** A clip or a voice on a slide, and how its end lies to the slide's. */
export interface ClipFit {
  /** The element, or the sound of a narration. */
  element: Id | null
  sound: Id | null
  name: string
  /** The beat in which it begins. */
  beat: number
  /** Planned seconds from the slide's opening. */
  start: number
  /** Seconds that it plays, once. */
  seconds: number
  /** Seconds by which it is longer than what is left of its slide; below 0 shorter. */
  beyond: number
}

/** The clip that a track plays last, and how it fits; null where it plays none, goes round, runs on, or its length is unknown. */
export function fitOfTrack(score: Score, track: Track, context: Pick<TimingContext, 'mediaLength'>): ClipFit | null {
  const { element } = track
  if ((element.kind !== 'film' && element.kind !== 'sound') || element.loop || element.over) return null
  const last = playsOf(track.cues, cue => cueStart(score, cue)).at(-1)
  const span = spanOfClip(element, context)
  if (!last || !last.running || !span) return null
  const seconds = span.seconds - last.played
  return { element: element.id, sound: null, name: element.name, beat: last.cue.beat, start: last.start, seconds, beyond: last.start + seconds - score.length }
}
