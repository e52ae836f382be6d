import { clamp, type Effect } from './effect'

/** The numbers in a text run up from nothing to what they are. */
export const countUp: Effect = {
  name: 'count-up',
  label: 'Count up',
  whats: ['enter', 'exit'],
  kinds: ['text'],
  duration: 1.5,
  countsNumbers: true,
  least: { seconds: 0.6, why: 'to be seen counting' },
  options: [],
  apply(part, progress) {
    part.counted = clamp(progress)
  },
}
