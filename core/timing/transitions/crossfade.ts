import { gone, still, type TransitionKind } from './transition'

/** The next slide appears over the one before, which stands until it is covered, so that the screen never darkens. */
export const crossfade: TransitionKind = {
  name: 'crossfade',
  label: 'Crossfade',
  duration: 0.6,
  options: [],
  apply: progress => ({ from: progress < 1 ? still() : gone(), to: { ...still(), opacity: Math.min(1, Math.max(0, progress)) } }),
}
