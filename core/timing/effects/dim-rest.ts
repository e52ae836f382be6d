import { clamp, envelope, optionOf, ramp, staysOption, type Effect } from './effect'

const shareOf = (progress: number, stays: boolean) => (stays ? ramp(progress, 0.5) : envelope(progress, 0.25, 0.25))

/** All else on the slide steps back. */
export const dimRest: Effect = {
  name: 'dim-rest',
  label: 'Dim the rest',
  whats: ['emphasis'],
  whole: true,
  duration: 3,
  options: [{ kind: 'number', name: 'amount', label: 'By', min: 10, max: 95, step: 5, unit: '%', initial: 75 }, staysOption],
  stays: options => optionOf<boolean>(dimRest, options, 'stays'),
  apply: () => {},
  applyToOthers(part, progress, options) {
    part.opacity *=
      1 - clamp(shareOf(progress, optionOf<boolean>(dimRest, options, 'stays'))) * (optionOf<number>(dimRest, options, 'amount') / 100)
  },
}
