import { clamp, optionOf, type Effect } from './effect'

/** Pulled out of a line to its width or height, thinner or thicker on the way as rubber is. */
export const stretch: Effect = {
  name: 'stretch',
  label: 'Stretch',
  whats: ['enter', 'exit'],
  duration: 0.7,
  pace: 'overshoot',
  options: [
    {
      kind: 'choice',
      name: 'way',
      label: 'Goes',
      initial: 'across',
      values: [
        { value: 'across', label: 'across' },
        { value: 'down', label: 'up and down' },
      ],
    },
  ],
  apply(part, progress, options) {
    const long = Math.max(0, progress)
    const thick = Math.max(0, 1 + 0.35 * (1 - progress))
    const across = optionOf<string>(stretch, options, 'way') === 'across'
    part.scaleX *= across ? long : thick
    part.scaleY *= across ? thick : long
    part.opacity *= clamp(progress * 5)
  },
}
