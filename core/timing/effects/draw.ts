import type { Options } from '../../values'
import { handAt, nibs } from '../../drawing'
import { clamp, colorOption, colorOptionOf, optionOf, type Effect } from './effect'

/** Seconds that the colour takes to follow the lines, and the share of a cue of a fixed length that it takes at most. */
const colouring = { seconds: 0.7, share: 0.35 }

const follows = (options: Options) => optionOf<string>(draw, options, 'takes') !== 'fixed'
const speedOf = (options: Options) => optionOf<number>(draw, options, 'speed')

/** The share of its time in which the lines are drawn; what is left is for the colour. */
function lineShare(length: number, options: Options): number {
  if (!follows(options)) return 1 - colouring.share
  const seconds = length / speedOf(options)
  return seconds / (seconds + colouring.seconds)
}

/**
 * Drawn by hand: its lines first, in the order in which a hand draws them, then its colour. Where no lines are known
 * (words of a font that is still on its way), it comes as its colour does.
 */
export const draw: Effect = {
  name: 'draw',
  label: 'Drawn by hand',
  whats: ['enter', 'exit'],
  kinds: ['text', 'picture', 'shape', 'icon', 'chart', 'diagram', 'table', 'figure'],
  whole: true,
  byHand: true,
  duration: 3,
  pace: 'linear',
  least: { seconds: 0.5, why: 'to be seen being drawn' },
  options: [
    { kind: 'choice', name: 'nib', label: 'With', values: nibs.map(nib => ({ value: nib.name, label: nib.label })), initial: 'pencil' },
    {
      kind: 'choice',
      name: 'takes',
      label: 'Timing',
      values: [
        { value: 'speed', label: 'as long as its lines' },
        { value: 'fixed', label: 'the seconds below' },
      ],
      initial: 'speed',
    },
    {
      kind: 'number',
      name: 'speed',
      label: 'In a second',
      min: 100,
      max: 12_000,
      step: 100,
      unit: 'px',
      initial: 1600,
      when: { name: 'takes', is: 'speed' },
    },
    {
      kind: 'choice',
      name: 'lines',
      label: 'Lines in',
      values: [
        { value: 'own', label: 'their own colours' },
        { value: 'one', label: 'one colour' },
      ],
      initial: 'own',
    },
    { ...colorOptionOf('ink'), when: { name: 'lines', is: 'one' } },
    { kind: 'number', name: 'thick', label: 'Lines as thick as', min: 25, max: 400, step: 25, unit: '%', initial: 100 },
    {
      kind: 'choice',
      name: 'fill',
      label: 'Its colour',
      values: [
        { value: 'soft', label: 'comes softly' },
        { value: 'sweep', label: 'is laid on from the left' },
      ],
      initial: 'soft',
    },
  ],
  lasts(options, drawing) {
    if (!drawing || !follows(options)) return null
    return drawing.length / speedOf(options) + colouring.seconds
  },
  follows: options => follows(options),
  fixed: options => ({ ...options, takes: 'fixed' }),
  slower: (options, factor) =>
    !follows(options) ? options : { ...options, speed: Math.min(12_000, Math.max(100, Math.round(speedOf(options) / factor))) },
  apply(part, progress, options, { drawing }) {
    const share = clamp(progress)
    if (share === 1) return
    const sweeps = optionOf<string>(draw, options, 'fill') === 'sweep'
    if (!drawing) {
      if (share === 0) part.opacity = 0
      else part.opacity *= share
      return
    }
    const until = lineShare(drawing.length, options)
    const come = drawing.length * clamp(share / until)
    const filled = clamp((share - until) / (1 - until))
    const name = optionOf<string>(draw, options, 'nib')
    const lines = share === 0 ? 0 : 1 - filled ** 3
    const at = name === 'none' || filled > 0 || share === 0 ? null : handAt(drawing, come)
    part.drawn = {
      drawing,
      come,
      lines,
      filled,
      sweeps,
      thick: optionOf<number>(draw, options, 'thick') / 100,
      color: optionOf<string>(draw, options, 'lines') === 'one' ? colorOption(draw, options, 'color') : null,
      nib: at && { name, x: at.x, y: at.y },
    }
  },
}
