import type { Options } from '../../values'
import { optionOf, type OptionField } from '../effects'
import { apertures, fromSide, slanted, slats as slatsOf, swept, type Aperture, type Polygon } from '../mask'
import { between, directions, sideBehind, still, type TransitionKind } from './transition'

/** A transition in which the next slide is seen through a mask that opens over the one before. */
function masked(input: {
  name: string
  label: string
  duration: number
  options: readonly OptionField[]
  mask(progress: number, options: Options): Polygon
}): TransitionKind {
  const { mask, ...kind } = input
  return {
    ...kind,
    apply: between((progress, options) => ({ from: still(), to: { ...still(), mask: mask(Math.min(1, Math.max(0, progress)), options) } })),
  }
}

const shape: OptionField = {
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
}
export const iris: TransitionKind = masked({
  name: 'iris',
  label: 'Iris',
  duration: 0.8,
  options: [shape],
  mask: (progress, options) => apertures[optionOf<Aperture>(iris, options, 'shape')](progress),
})

export const slant: TransitionKind = masked({
  name: 'slant',
  label: 'Slanted edge',
  duration: 0.8,
  options: [directions, { kind: 'number', name: 'lean', label: 'Leans by', min: -100, max: 100, step: 5, unit: '%', initial: 25 }],
  mask: (progress, options) => fromSide(slanted(progress, optionOf<number>(slant, options, 'lean') / 100), sideBehind(options)),
})

export const sweep: TransitionKind = masked({
  name: 'sweep',
  label: 'Sweep round',
  duration: 0.9,
  options: [
    {
      kind: 'choice',
      name: 'way',
      label: 'Goes',
      initial: 'right',
      values: [
        { value: 'right', label: 'clockwise' },
        { value: 'left', label: 'the other way' },
      ],
    },
  ],
  mask: (progress, options) => swept(progress, optionOf<string>(sweep, options, 'way') === 'left' ? -1 : 1),
})

export const slats: TransitionKind = masked({
  name: 'slats',
  label: 'Slats',
  duration: 0.8,
  options: [
    { kind: 'number', name: 'count', label: 'Slats', min: 2, max: 40, step: 1, unit: '', initial: 9 },
    {
      kind: 'choice',
      name: 'way',
      label: 'They lie',
      initial: 'down',
      values: [
        { value: 'across', label: 'level' },
        { value: 'down', label: 'upright' },
      ],
    },
  ],
  mask: (progress, options) =>
    slatsOf(progress, Math.round(optionOf<number>(slats, options, 'count')), optionOf<'across' | 'down'>(slats, options, 'way')),
})

/** The slide before parts in its middle, like a curtain. */
export const part: TransitionKind = masked({
  name: 'part',
  label: 'Part in the middle',
  duration: 0.8,
  options: [
    {
      kind: 'choice',
      name: 'way',
      label: 'Parts',
      initial: 'across',
      values: [
        { value: 'across', label: 'to the sides' },
        { value: 'down', label: 'up and down' },
      ],
    },
  ],
  mask(progress, options) {
    const [from, to] = [0.5 - progress / 2, 0.5 + progress / 2]
    return optionOf<string>(part, options, 'way') === 'across'
      ? [
          [from, 0],
          [to, 0],
          [to, 1],
          [from, 1],
        ]
      : [
          [0, from],
          [1, from],
          [1, to],
          [0, to],
        ]
  },
})
