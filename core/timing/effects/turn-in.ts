import { clamp, optionOf, type Effect } from './effect'

/** Turns into sight about its own upright or level middle line. */
export const turnIn: Effect = {
  name: 'turn-in',
  label: 'Turn in',
  whats: ['enter', 'exit'],
  duration: 0.8,
  options: [
    {
      kind: 'choice',
      name: 'about',
      label: 'About',
      initial: 'upright',
      values: [
        { value: 'upright', label: 'its upright middle' },
        { value: 'level', label: 'its level middle' },
      ],
    },
    { kind: 'number', name: 'angle', label: 'By', min: -90, max: 90, step: 5, unit: '°', initial: 90 },
  ],
  apply(part, progress, options) {
    const left = optionOf<number>(turnIn, options, 'angle') * (1 - progress)
    part.opacity *= clamp(progress * 3)
    if (optionOf<string>(turnIn, options, 'about') === 'upright') part.turnY += left
    else part.turnX += left
  },
}
