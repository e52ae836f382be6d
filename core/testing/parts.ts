export { applyChanges, textOf } from '../deck'
export type { Beat, Cue, Deck, Easing, EditContext, Element, Slide } from '../deck'

/** The effects of each use, for making cues at random. */
export const namedFields = {
  enter: ['fade', 'rise', 'wipe', 'grow', 'type', 'count-up'],
  exit: ['fade', 'rise', 'wipe', 'grow', 'type', 'count-up'],
  emphasis: ['pulse'],
  move: ['move-line'],
} as const
