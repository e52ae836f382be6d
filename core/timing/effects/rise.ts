import { clamp, optionOf, sides, type Effect } from './effect'

/** Comes a short way from one side while it fades in. */
export const rise: Effect = {
  name: 'rise',
  label: 'Rise',
  whats: ['enter', 'exit'],
  duration: 0.6,
  forAllParts: true,
  options: [
    { kind: 'choice', name: 'from', label: 'From', values: sides, initial: 'bottom' },
    { kind: 'number', name: 'way', label: 'Way', min: 0, max: 2000, step: 5, unit: 'px', initial: 60 },
  ],
  apply(part, progress, options) {
    const from = optionOf<string>(rise, options, 'from')
    const way = optionOf<number>(rise, options, 'way') * (1 - progress)
    part.opacity *= clamp(progress)
    if (from === 'left') part.x -= way
    else if (from === 'right') part.x += way
    else if (from === 'top') part.y -= way
    else part.y += way
  },
}
