import { clamp, type Effect } from './effect'

/** Letter after letter, as typed. */
export const type: Effect = {
  name: 'type',
  label: 'Type',
  whats: ['enter', 'exit'],
  kinds: ['text'],
  duration: 1.5,
  fine: 'letter',
  readAsItComes: true,
  options: [],
  apply(part, progress) {
    part.typed = clamp(progress)
  },
}
