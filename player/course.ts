import { advance, elapse, goBack, momentAt, secondsAt, type Moment, type Rundown } from '#core/timing'

/** How time runs through a deck. `at` is what to show now. */
export interface Course {
  moment(): Moment | null
  /** Lets some seconds pass. */
  pass(seconds: number): void
  forward(): void
  back(): void
  goTo(moment: Moment): void
  isOver(): boolean
  /** Takes a new rundown of the same deck, keeping the place as far as it still exists. */
  replan(plan: Rundown): void
}

const stillThere = (plan: Rundown, moment: Moment | null): Moment | null => {
  const slide = plan.slides.find(candidate => candidate.slide === moment?.slide)
  if (!slide || !moment) return momentAt(plan, 0)
  return moment.beat < slide.beats.length ? moment : { slide: slide.slide, beat: slide.beats.length - 1, seconds: 0 }
}

/** A talk: beats before an advance stand until `forward`; after the last beat it is over. */
export function talkCourse(first: Rundown, from: Moment | null = null): Course {
  let plan = first
  let moment = stillThere(plan, from ?? momentAt(plan, 0))
  let over = false
  return {
    moment: () => moment,
    pass(seconds) {
      if (moment) moment = elapse(plan, moment, seconds)
    },
    forward() {
      if (!moment) return
      const next = advance(plan, moment)
      if (next) moment = next
      else over = true
    },
    back() {
      if (!moment) return
      if (over) over = false
      else moment = goBack(plan, moment) ?? momentAt(plan, 0)
    },
    goTo(next) {
      over = false
      moment = stillThere(plan, next)
    },
    isOver: () => over,
    replan(next) {
      plan = next
      moment = stillThere(plan, moment)
    },
  }
}

/**
 * A film (or a loop that runs for itself): seconds from the start, by itself; `forward` and `back` go to the next or this slide's
 * beginning.
 */
export function filmCourse(first: Rundown, from = 0): Course {
  let plan = first
  let seconds = from
  const slideStart = (step: number) => {
    const now = momentAt(plan, seconds)
    const index = plan.slides.findIndex(slide => slide.slide === now?.slide)
    const target = plan.slides[Math.max(0, index + step)]
    return target ? target.start + target.transition : plan.length
  }
  return {
    moment: () => momentAt(plan, seconds),
    pass(step) {
      seconds += step
    },
    forward() {
      seconds = slideStart(1)
    },
    back() {
      const start = slideStart(0)
      seconds = seconds - start > 1 ? start : slideStart(-1)
    },
    goTo(moment) {
      seconds = secondsAt(plan, moment) ?? 0
    },
    isOver: () => plan.purpose !== 'loop' && seconds >= plan.length,
    replan(next) {
      const moment = momentAt(plan, seconds)
      plan = next
      seconds = (moment && secondsAt(plan, moment)) ?? 0
    },
  }
}
