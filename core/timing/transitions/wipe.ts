import { between, directionOf, directions, still, type TransitionKind } from './transition'

/** The next slide is uncovered from one side. */
export const wipe: TransitionKind = {
  name: 'wipe',
  label: 'Wipe',
  duration: 0.7,
  options: [directions],
  apply: between((progress, options) => {
    const way = directionOf(options)
    const hidden = 1 - Math.max(0, progress)
    const cut = { top: way.y < 0 ? hidden : 0, bottom: way.y > 0 ? hidden : 0, left: way.x < 0 ? hidden : 0, right: way.x > 0 ? hidden : 0 }
    return { from: still(), to: { ...still(), cut } }
  }),
}
