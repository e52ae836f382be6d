import { slats as slatsOf } from '../mask'
import { clamp, optionOf, type Effect } from './effect'

/** Seen through slats that open. */
export const slats: Effect = {
  name: 'slats',
  label: 'Through slats',
  whats: ['enter', 'exit'],
  duration: 0.8,
  options: [
    { kind: 'number', name: 'count', label: 'Slats', min: 2, max: 40, step: 1, unit: '', initial: 7 },
    {
      kind: 'choice',
      name: 'way',
      label: 'They lie',
      initial: 'across',
      values: [
        { value: 'across', label: 'level' },
        { value: 'down', label: 'upright' },
      ],
    },
  ],
  apply(part, progress, options) {
    const share = clamp(progress)
    if (share < 1)
      part.mask = slatsOf(share, Math.round(optionOf<number>(slats, options, 'count')), optionOf<'across' | 'down'>(slats, options, 'way'))
  },
}
