import type { Moment, Rundown, RundownSlide } from './rundown'

/**
 * What going on does in a talk: a beat that still moves or opens is left at once, its cues finished; then the next beat,
 * or the next slide with its transition. Null at the end of the deck.
 */
export function advance(plan: Rundown, moment: Moment): Moment | null {
  const index = plan.slides.findIndex(slide => slide.slide === moment.slide)
  const slide = plan.slides[index]
  if (!slide) return null
  if (moment.beat + 1 < slide.beats.length)
    return { slide: slide.slide, beat: moment.beat + 1, seconds: 0, ...withStood(slide, moment, moment.seconds) }
  const next = plan.slides[index + 1]
  return next ? { slide: next.slide, beat: 0, seconds: -next.transition } : null
}

/** How long the beats up to this one really stood, so that what runs on over beats does not jump. */
const withStood = (slide: RundownSlide, moment: Moment, seconds: number) => ({
  stood: [...slide.beats.slice(0, moment.beat).map((beat, index) => moment.stood?.[index] ?? beat.length), Math.max(0, seconds)],
})

/** What going back does: to the beat before with everything in place, or to the end of the slide before. Null at the start. */
export function goBack(plan: Rundown, moment: Moment): Moment | null {
  const index = plan.slides.findIndex(slide => slide.slide === moment.slide)
  const slide = plan.slides[index]
  if (!slide) return null
  const ended = (at: number, beat: number): Moment => ({
    slide: plan.slides[at]!.slide,
    beat,
    seconds: plan.slides[at]!.beats[beat]?.moves ?? 0,
  })
  if (moment.beat > 0) return ended(index, moment.beat - 1)
  return index > 0 ? ended(index - 1, Math.max(0, plan.slides[index - 1]!.beats.length - 1)) : null
}

/**
 * A moment of a talk after some more seconds: a beat that is followed by itself goes on at its planned end; one before an
 * advance stands where it is.
 */
export function elapse(plan: Rundown, moment: Moment, seconds: number): Moment {
  let now: Moment = { ...moment, seconds: moment.seconds + seconds }
  const slide = plan.slides.find(candidate => candidate.slide === moment.slide)
  for (
    let beat = slide?.beats[now.beat];
    slide && beat && !beat.openEnded && now.seconds >= beat.length && now.beat + 1 < slide.beats.length;
    beat = slide.beats[now.beat]
  ) {
    now = {
      slide: now.slide,
      beat: now.beat + 1,
      seconds: now.seconds - beat.length,
      ...(now.stood ? withStood(slide, now, beat.length) : {}),
    }
  }
  return now
}
