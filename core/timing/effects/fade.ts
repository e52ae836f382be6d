import { clamp, type Effect } from './effect'

export const fade: Effect = {
  name: 'fade',
  label: 'Fade',
  whats: ['enter', 'exit'],
  duration: 0.5,
  options: [],
  apply(part, progress) {
    part.opacity *= clamp(progress)
  },
}
