import { isStillAfter } from './frame'
import { momentAt, type Rundown, type RundownBeat, type RundownSlide } from './rundown'

/** The moment of a film's frame, seconds: frame 0 is its very first. */
export const frameSeconds = (frame: number, rate: number) => frame / rate

/** How many frames a film of some seconds has: as many as begin before its end. */
export const frameCount = (seconds: number, rate: number) => Math.max(1, Math.round(seconds * rate))

/**
 * For each frame of a film whether it shows the very picture of the frame before: both stand in one beat, and nothing has
 * moved since. Those need not be drawn.
 */
export function repeatedFrames(plan: Rundown, rate: number): boolean[] {
  let before: ReturnType<typeof momentAt> = null
  return Array.from({ length: frameCount(plan.length, rate) }, (_, frame) => {
    const moment = momentAt(plan, Math.min(frameSeconds(frame, rate), plan.length))
    const last = before
    before = moment
    if (!moment || !last || last.slide !== moment.slide || last.beat !== moment.beat || last.seconds < 0) return false
    const slide = plan.slides.find(one => one.slide === moment.slide)!
    return !slide.running.length && isStillAfter(slide.score, last)
  })
}

/**
 * The frame that shows a beat once all that moves in it has moved. A frame's second can fall a rounding error short of the beat that
 * it is reckoned from, and would show the one before: it is asked which moment it really shows. Of a beat shorter than a frame, the
 * one nearest to its end.
 */
export function stillFrame(plan: Rundown, slide: RundownSlide, beat: RundownBeat, rate: number): number {
  const last = frameCount(plan.length, rate) - 1
  const moved = Math.ceil((beat.start + beat.moves) * rate - 1e-6)
  const shows = (frame: number) => {
    const moment = frame >= 0 && frame <= last ? momentAt(plan, Math.min(frameSeconds(frame, rate), plan.length)) : null
    return moment?.slide === slide.slide && moment.beat === beat.index && (moment.seconds >= 0 || beat.index > 0)
  }
  return [moved, moved + 1, moved - 1].find(shows) ?? Math.min(last, Math.max(0, moved))
}

/** A stretch of a film’s frames: drawn one by one, or `times` seconds of the picture that frame `from` − 1 shows. */
export type FilmPart = { kind: 'drawn'; from: number; until: number } | { kind: 'held'; from: number; until: number; times: number }

/** Holds shorter than this, seconds, are not worth a part of their own. */
const worthHolding = 3

/**
 * A film in parts, in order and without gaps: what is drawn, and long holds by whole seconds, which an encoder needs to make
 * once only. What is left of a hold after its whole seconds begins the part that follows.
 */
export function filmParts(repeats: readonly boolean[], rate: number): FilmPart[] {
  const parts: FilmPart[] = []
  let from = 0
  for (let frame = 0; frame < repeats.length;) {
    let next = frame + 1
    while (next < repeats.length && repeats[next]) next++
    const times = Math.floor((next - frame - 1) / rate)
    if (times >= worthHolding) {
      parts.push({ kind: 'drawn', from, until: frame + 1 })
      from = frame + 1 + times * rate
      parts.push({ kind: 'held', from: frame + 1, until: from, times })
    }
    frame = next
  }
  if (from < repeats.length) parts.push({ kind: 'drawn', from, until: repeats.length })
  return parts
}
