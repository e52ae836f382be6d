import { clamp, optionOf, type Effect } from './effect'

/** Comes down from nearer to the viewer. */
export const land: Effect = {
  name: 'land',
  label: 'Land',
  whats: ['enter', 'exit'],
  duration: 0.6,
  options: [{ kind: 'number', name: 'amount', label: 'Larger by', min: 5, max: 400, step: 5, unit: '%', initial: 60 }],
  apply(part, progress, options) {
    const size = Math.max(0, 1 + (optionOf<number>(land, options, 'amount') / 100) * (1 - progress))
    part.scaleX *= size
    part.scaleY *= size
    part.opacity *= clamp(progress)
  },
}
