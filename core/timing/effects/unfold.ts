import { clamp, fromSideOption, optionOf, type Effect } from './effect'

/** Opens on a hinge along one of its sides. */
export const unfold: Effect = {
  name: 'unfold',
  label: 'Unfold',
  whats: ['enter', 'exit'],
  duration: 0.8,
  options: [fromSideOption('top')],
  apply(part, progress, options) {
    const from = optionOf<string>(unfold, options, 'from')
    const left = 90 * (1 - progress)
    part.opacity *= clamp(progress * 5)
    part.originX = from === 'left' ? 0 : from === 'right' ? 1 : 0.5
    part.originY = from === 'top' ? 0 : from === 'bottom' ? 1 : 0.5
    if (from === 'left') part.turnY -= left
    else if (from === 'right') part.turnY += left
    else if (from === 'top') part.turnX += left
    else part.turnX -= left
  },
}
