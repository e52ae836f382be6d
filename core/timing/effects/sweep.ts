import { swept } from '../mask'
import { clamp, optionOf, type Effect } from './effect'

/** Uncovered by a hand that goes round its middle. */
export const sweep: Effect = {
  name: 'sweep',
  label: 'Sweep round',
  whats: ['enter', 'exit'],
  duration: 1,
  options: [
    {
      kind: 'choice',
      name: 'way',
      label: 'Goes',
      initial: 'right',
      values: [
        { value: 'right', label: 'clockwise' },
        { value: 'left', label: 'the other way' },
      ],
    },
  ],
  apply(part, progress, options) {
    const share = clamp(progress)
    if (share < 1) part.mask = swept(share, optionOf<string>(sweep, options, 'way') === 'left' ? -1 : 1)
  },
}
