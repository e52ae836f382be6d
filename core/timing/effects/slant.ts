import { fromSide, slanted } from '../mask'
import { clamp, fromSideOption, optionOf, type Effect } from './effect'

/** Uncovered by an edge that leans. */
export const slant: Effect = {
  name: 'slant',
  label: 'Uncover at a slant',
  whats: ['enter', 'exit'],
  duration: 0.8,
  options: [
    fromSideOption('left'),
    { kind: 'number', name: 'lean', label: 'Leans by', min: -100, max: 100, step: 5, unit: '%', initial: 30 },
  ],
  apply(part, progress, options) {
    const share = clamp(progress)
    if (share < 1)
      part.mask = fromSide(slanted(share, optionOf<number>(slant, options, 'lean') / 100), optionOf<string>(slant, options, 'from'))
  },
}
