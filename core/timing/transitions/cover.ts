import { between, directionOf, directions, still, type TransitionKind } from './transition'

/** The next slide comes over the one before, which gives way a little. */
export const cover: TransitionKind = {
  name: 'cover',
  label: 'Cover',
  duration: 0.7,
  options: [directions],
  apply: between((progress, options) => {
    const way = directionOf(options)
    return {
      from: { ...still(), x: way.x * progress * 0.18, y: way.y * progress * 0.18 },
      to: { ...still(), x: way.x * (progress - 1), y: way.y * (progress - 1) },
    }
  }),
}

/** The slide before is drawn away from over the next. */
export const drawAway: TransitionKind = {
  name: 'draw-away',
  label: 'Draw away',
  duration: 0.7,
  options: [directions],
  apply: between((progress, options) => {
    const way = directionOf(options)
    return {
      from: { ...still(), x: way.x * progress, y: way.y * progress },
      to: { ...still(), x: way.x * (progress - 1) * 0.18, y: way.y * (progress - 1) * 0.18 },
      front: 'from',
    }
  }),
}
