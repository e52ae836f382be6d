import { clamp, optionOf, type Effect } from './effect'

/** Springs up from small; swings past its size where its pace does. */
export const springUp: Effect = {
  name: 'spring-up',
  label: 'Spring up',
  whats: ['enter', 'exit'],
  duration: 0.9,
  pace: 'spring',
  options: [{ kind: 'number', name: 'from', label: 'From', min: 0, max: 95, step: 5, unit: '%', initial: 20 }],
  apply(part, progress, options) {
    const from = optionOf<number>(springUp, options, 'from') / 100
    const size = Math.max(0, from + (1 - from) * progress)
    part.scaleX *= size
    part.scaleY *= size
    part.opacity *= clamp(progress * 4)
  },
}
