import type { Transition } from '../model'

const easesOut: Transition['easing'] = { kind: 'cubic-bezier', x1: 0.2, y1: 0.7, x2: 0.2, y2: 1 }
/** Fast at once, and stopped at once. */
export const stopsHard: Transition['easing'] = { kind: 'cubic-bezier', x1: 0.2, y1: 0, x2: 0, y2: 1 }

/** How a slide comes: a name of core/timing/transitions and its options, in so many seconds. */
export const comes = (
  effect: string,
  duration: number,
  options: Transition['options'] = {},
  easing: Transition['easing'] = easesOut,
): Transition => ({
  effect,
  duration,
  easing,
  options,
})
/** What both slides have moves from its place on one to that on the other. */
export const carried = (duration: number) => comes('carry', duration)
/** At once. */
export const cutAway = comes('cut', 0)
