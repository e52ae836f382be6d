import { clamp, optionOf, type Effect } from './effect'

/** Comes from blurred into focus. */
export const focus: Effect = {
  name: 'focus',
  label: 'Come into focus',
  whats: ['enter', 'exit'],
  duration: 0.9,
  options: [{ kind: 'number', name: 'amount', label: 'Blur', min: 1, max: 200, step: 1, unit: 'px', initial: 30 }],
  apply(part, progress, options) {
    const left = 1 - clamp(progress)
    part.opacity *= 1 - left
    part.blur += optionOf<number>(focus, options, 'amount') * left * left
  },
}
