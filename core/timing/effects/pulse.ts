import { optionOf, type Effect } from './effect'

/** Swells and comes back. */
export const pulse: Effect = {
  name: 'pulse',
  label: 'Pulse',
  whats: ['emphasis'],
  duration: 0.8,
  options: [{ kind: 'number', name: 'amount', label: 'By', min: 1, max: 100, step: 1, unit: '%', initial: 8 }],
  apply(part, progress, options) {
    if (progress <= 0 || progress >= 1) return
    const size = 1 + (optionOf<number>(pulse, options, 'amount') / 100) * Math.sin(Math.PI * progress) ** 2
    part.scaleX *= size
    part.scaleY *= size
  },
}
