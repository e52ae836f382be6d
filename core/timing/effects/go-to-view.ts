import type { Options } from '../../values'
import { cameraSpeed } from '../camera'
import { optionOf, type Effect } from './effect'

const follows = (options: Options) => optionOf<string>(goToView, options, 'takes') !== 'fixed'

/** The picture goes to a view of a board, or to all of it (`view` of its options: a view's id, or `all`). */
export const goToView: Effect = {
  name: 'go-to-view',
  label: 'Go to a view',
  whats: ['camera'],
  whole: true,
  duration: 2,
  options: [
    {
      kind: 'choice',
      name: 'way',
      label: 'Way',
      values: [
        { value: 'arc', label: 'from afar where it is long' },
        { value: 'straight', label: 'straight there' },
      ],
      initial: 'arc',
    },
    {
      kind: 'choice',
      name: 'takes',
      label: 'Timing',
      values: [
        { value: 'way', label: 'as long as the way asks' },
        { value: 'fixed', label: 'the seconds below' },
      ],
      initial: 'way',
    },
    {
      kind: 'number',
      name: 'speed',
      label: 'Speed',
      min: 10,
      max: Math.round((cameraSpeed.most / cameraSpeed.easy) * 100),
      step: 10,
      unit: '%',
      initial: 100,
      when: { name: 'takes', is: 'way' },
    },
  ],
  camera: {
    straight: options => optionOf<string>(goToView, options, 'way') === 'straight',
    speed: options => (follows(options) ? optionOf<number>(goToView, options, 'speed') / 100 : null),
  },
  called: (_, view) => `To ${view}`,
  told: (_, view) => ` to ${view}`,
  apply: () => {},
  follows: options => follows(options),
  fixed: options => ({ ...options, takes: 'fixed' }),
  slower: (options, factor) =>
    !follows(options) ? options : { ...options, speed: Math.max(10, Math.round(optionOf<number>(goToView, options, 'speed') / factor)) },
}
