import { gone, still, type TransitionKind } from './transition'

export const cut: TransitionKind = {
  name: 'cut',
  label: 'Cut',
  duration: 0,
  atOnce: true,
  options: [],
  apply: progress => (progress < 1 ? { from: still(), to: gone() } : { from: gone(), to: still() }),
}
