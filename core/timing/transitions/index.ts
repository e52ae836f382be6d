import { cover, drawAway } from './cover'
import { crossfade } from './crossfade'
import { cut } from './cut'
import { carry, dip, refocus, swingOpen, turn, zoom } from './deep'
import { iris, part, slant, slats, sweep } from './masked'
import { push } from './push'
import type { TransitionKind } from './transition'
import { wipe } from './wipe'

export { cut } from './cut'
export { crossfade } from './crossfade'
export { gone, still } from './transition'
export type { SlideFrame, TransitionFrame, TransitionKind } from './transition'

/** The catalogue: adding a transition is adding a file and a line. */
export const transitions: readonly TransitionKind[] = [
  cut,
  crossfade,
  carry,
  push,
  cover,
  drawAway,
  wipe,
  slant,
  part,
  slats,
  sweep,
  iris,
  zoom,
  turn,
  swingOpen,
  refocus,
  dip,
]

const byName = new Map(transitions.map(kind => [kind.name, kind]))

/** A transition by name; one that this version does not know is a crossfade. */
export const transitionNamed = (name: string): TransitionKind => byName.get(name) ?? crossfade
