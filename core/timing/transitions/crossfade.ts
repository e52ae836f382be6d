import { between, still, type TransitionKind } from './transition'

/** The next slide appears over the one before, which stands until it is covered, so that the screen never darkens. */
export const crossfade: TransitionKind = {
  name: 'crossfade',
  label: 'Crossfade',
  duration: 0.6,
  options: [],
  apply: between(progress => ({ from: still(), to: { ...still(), opacity: progress } })),
}
