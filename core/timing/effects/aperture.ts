import { apertures, type Aperture } from '../mask'
import { clamp, optionOf, type Effect } from './effect'

/** Seen through a shape that opens from its middle. */
export const aperture: Effect = {
  name: 'aperture',
  label: 'Open as a shape',
  whats: ['enter', 'exit'],
  duration: 0.8,
  options: [
    {
      kind: 'choice',
      name: 'shape',
      label: 'Shape',
      initial: 'circle',
      values: [
        { value: 'circle', label: 'circle' },
        { value: 'diamond', label: 'diamond' },
        { value: 'hexagon', label: 'hexagon' },
        { value: 'star', label: 'star' },
      ],
    },
  ],
  apply(part, progress, options) {
    const share = clamp(progress)
    if (share < 1) part.mask = apertures[optionOf<Aperture>(aperture, options, 'shape')](share)
  },
}
