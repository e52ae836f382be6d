import { between, directionOf, directions, still, type TransitionKind } from './transition'

/** The next slide pushes the one before out. */
export const push: TransitionKind = {
  name: 'push',
  label: 'Push',
  duration: 0.7,
  options: [directions],
  apply: between((progress, options) => {
    const way = directionOf(options)
    return {
      from: { ...still(), x: way.x * progress + 0, y: way.y * progress + 0 },
      to: { ...still(), x: way.x * (progress - 1), y: way.y * (progress - 1) },
    }
  }),
}
