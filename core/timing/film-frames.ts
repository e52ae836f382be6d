import { isStillAfter } from './frame'
import { momentAt, type Rundown } from './rundown'

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
