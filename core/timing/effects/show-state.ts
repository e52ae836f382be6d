import type { Id, Options } from '../../values'
import { optionOf, type Effect } from './effect'

/** The state that options lead to, by its id; null is the chart as composed. */
export const stateIn = (options: Options): Id | null => (typeof options.state === 'string' ? options.state : null)

const follows = (options: Options) => optionOf<string>(showState, options, 'takes') !== 'fixed'
const tempoOf = (options: Options) => optionOf<number>(showState, options, 'tempo')

/** A chart goes to one of its states, which `state` names by its id; without one, to what it is composed as. */
export const showState: Effect = {
  name: 'show-state',
  label: 'Goes to a state',
  whats: ['data'],
  kinds: ['chart'],
  whole: true,
  duration: 0.8,
  pace: 'ease both ways',
  options: [
    {
      kind: 'choice',
      name: 'takes',
      label: 'Timing',
      values: [
        { value: 'way', label: 'by how far its marks go' },
        { value: 'fixed', label: 'the seconds below' },
      ],
      initial: 'way',
    },
    {
      kind: 'number',
      name: 'tempo',
      label: 'Tempo',
      min: 10,
      max: 400,
      step: 10,
      unit: '%',
      initial: 100,
      when: { name: 'takes', is: 'way' },
    },
  ],
  lasts: (options, _drawing, passage = null) => (passage === null || !follows(options) ? null : (passage * 100) / tempoOf(options)),
  follows: options => follows(options),
  fixed: options => ({ ...options, takes: 'fixed' }),
  slower: (options, factor) =>
    !follows(options) ? options : { ...options, tempo: Math.min(400, Math.max(10, Math.round(tempoOf(options) / factor))) },
  told: (_options, state) => ` to ${state}`,
  apply: () => {},
}
