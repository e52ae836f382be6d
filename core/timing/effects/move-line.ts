import { optionOf, type Effect } from './effect'

/** Along a straight line, and stays there. */
export const moveLine: Effect = {
  name: 'move-line',
  label: 'Move along a line',
  whats: ['move'],
  duration: 1,
  options: [
    { kind: 'number', name: 'x', label: 'Across', least: -10_000, most: 10_000, step: 8, unit: 'px', initial: 200 },
    { kind: 'number', name: 'y', label: 'Down', least: -10_000, most: 10_000, step: 8, unit: 'px', initial: 0 },
  ],
  apply(part, progress, options) {
    part.x += optionOf<number>(moveLine, options, 'x') * progress
    part.y += optionOf<number>(moveLine, options, 'y') * progress
  },
}
