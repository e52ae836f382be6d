import { crossfade } from './crossfade'
import { cut } from './cut'
import { push } from './push'
import type { TransitionKind } from './transition'
import { wipe } from './wipe'

export type { SlideFrame, TransitionKind } from './transition'

/** The catalogue: adding a transition is adding a file and a line. */
export const transitions: readonly TransitionKind[] = [cut, crossfade, push, wipe]

const byName = new Map(transitions.map(kind => [kind.name, kind]))

/** A transition by name; one that this version does not know is a crossfade. */
export const transitionNamed = (name: string): TransitionKind => byName.get(name) ?? crossfade
