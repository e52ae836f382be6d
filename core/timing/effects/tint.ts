import { clamp, colorOption, colorOptionOf, envelope, optionOf, ramp, staysOption, type Effect } from './effect'

/** Takes a colour and gives it back, or keeps it. */
export const tint: Effect = {
  name: 'tint',
  label: 'Tint',
  whats: ['emphasis'],
  duration: 1.2,
  options: [
    colorOptionOf('accent2'),
    { kind: 'number', name: 'amount', label: 'Strength', min: 5, max: 100, step: 5, unit: '%', initial: 80 },
    staysOption,
  ],
  stays: options => optionOf<boolean>(tint, options, 'stays'),
  apply(part, progress, options) {
    const stays = optionOf<boolean>(tint, options, 'stays')
    const amount = clamp((stays ? ramp(progress, 0.5) : envelope(progress, 0.35, 0.35)) * (optionOf<number>(tint, options, 'amount') / 100))
    if (amount > 0) part.tint = { color: colorOption(tint, options, 'color'), amount }
  },
}
