import { optionOf, type Effect } from './effect'

const origins: Readonly<Record<string, readonly [number, number, boolean, boolean]>> = {
  base: [0.5, 1, false, true],
  left: [0, 0.5, true, false],
  middle: [0.5, 0.5, true, true],
}

/** Grows from its base, its left edge or its middle. */
export const grow: Effect = {
  name: 'grow',
  label: 'Grow',
  whats: ['enter', 'exit'],
  duration: 0.7,
  options: [
    {
      kind: 'choice',
      name: 'from',
      label: 'From',
      initial: 'base',
      values: [
        { value: 'base', label: 'its base' },
        { value: 'left', label: 'its left edge' },
        { value: 'middle', label: 'its middle' },
      ],
    },
  ],
  apply(part, progress, options) {
    const [originX, originY, across, down] = origins[optionOf<string>(grow, options, 'from')]!
    const size = Math.max(0, progress)
    part.originX = originX
    part.originY = originY
    if (across) part.scaleX *= size
    if (down) part.scaleY *= size
  },
}
