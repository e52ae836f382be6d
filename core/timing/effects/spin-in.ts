import { clamp, optionOf, type Effect } from './effect'

/** Turns as it grows out of its middle. */
export const spinIn: Effect = {
  name: 'spin-in',
  label: 'Spin in',
  whats: ['enter', 'exit'],
  duration: 0.8,
  options: [{ kind: 'number', name: 'turns', label: 'Turns', min: -5, max: 5, step: 0.25, unit: '', initial: -0.5 }],
  apply(part, progress, options) {
    const size = Math.max(0, progress)
    part.rotate += 360 * optionOf<number>(spinIn, options, 'turns') * (1 - progress)
    part.scaleX *= size
    part.scaleY *= size
    part.opacity *= clamp(progress * 3)
  },
}
