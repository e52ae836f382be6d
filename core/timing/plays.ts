import { spanOfClip } from './clips'
import type { TimingContext } from './context'
import type { ClipFit, Score, ScoreCue, Track } from './score'

/** From one cue of a clip to the next: `played` is how much of it had played as it began, seconds. */
export interface ClipPlay {
  cue: ScoreCue
  /** Planned seconds from the slide's opening; `until` is Infinity where no other cue ends it. */
  start: number
  until: number
  played: number
  running: boolean
}

/**
 * What a clip does from cue to cue: play begins it anew, pause holds it, go on takes it up again. `sinceOf` are seconds since a cue began.
 */
export function playsOf(cues: readonly ScoreCue[], startOf: (cue: ScoreCue) => number): ClipPlay[] {
  const plays: ClipPlay[] = []
  for (const cue of cues) {
    if (cue.cue.what !== 'media') continue
    const start = startOf(cue)
    const last = plays.at(-1)
    if (last) last.until = start
    const had = last ? last.played + (last.running ? start - last.start : 0) : 0
    if (cue.effect.clip === 'pause' || cue.effect.clip === 'resume') {
      // Before it has begun there is nothing to hold or to go on with.
      if (last) plays.push({ cue, start, until: Infinity, played: had, running: cue.effect.clip === 'resume' })
    } else plays.push({ cue, start, until: Infinity, played: 0, running: true })
  }
  return plays
}

/** Planned seconds from the slide's opening to a cue. */
export const cueStart = (score: Score, cue: ScoreCue) => score.beats[cue.beat]!.at + cue.start

/** The clip that a track plays last, and how it fits; null where it plays none, goes round, runs on, or its length is unknown. */
export function fitOfTrack(score: Score, track: Track, context: Pick<TimingContext, 'mediaLength'>): ClipFit | null {
  const { element } = track
  if ((element.kind !== 'film' && element.kind !== 'sound') || element.loop || element.over) return null
  const last = playsOf(track.cues, cue => cueStart(score, cue)).at(-1)
  const span = spanOfClip(element, context)
  if (!last || !last.running || !span) return null
  const seconds = span.seconds - last.played
  return {
    element: element.id,
    sound: null,
    name: element.name,
    beat: last.cue.beat,
    start: last.start,
    seconds,
    beyond: last.start + seconds - score.length,
  }
}
