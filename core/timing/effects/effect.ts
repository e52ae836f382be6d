import type { Box, Cue, ElementKind, Options } from '../../deck'
import type { PartFrame } from '../part-frame'

/** What an effect may know of what it moves. */
export interface EffectRoom {
  /** The element's box, px of deck space. */
  box: Box
  /** Deck space, px. */
  size: { width: number, height: number }
}

/** One choice that an effect offers. */
export type EffectOption =
  | { kind: 'choice', name: string, label: string, values: readonly { value: string, label: string }[], initial: string }
  | { kind: 'number', name: string, label: string, least: number, most: number, step: number, unit: string, initial: number }

/**
 * A way of coming, going, drawing the eye or moving. `apply` writes into a part's frame:
 * - enter and exit: `progress` 0 is gone, 1 is there (an exit runs from 1 to 0);
 * - emphasis: 0 and 1 are both rest;
 * - move: 0 is where the part was, 1 is where it ends and stays.
 * Progress may run past its ends where the easing overshoots.
 */
export interface Effect {
  name: string
  label: string
  whats: readonly Cue['what'][]
  /** Kinds of elements that it suits; absent for all. */
  kinds?: readonly ElementKind[]
  /** Seconds that one part takes unless chosen otherwise. */
  duration: number
  options: readonly EffectOption[]
  apply(part: PartFrame, progress: number, options: Options, room: EffectRoom): void
}

export const clamp = (value: number) => Math.min(1, Math.max(0, value))

/** The value of an option, or what it is when none was chosen. */
export function optionOf<T extends string | number>(effect: Effect, options: Options, name: string): T {
  const option = effect.options.find(candidate => candidate.name === name)!
  const value = options[name]
  if (option.kind === 'number') return (typeof value === 'number' ? Math.min(option.most, Math.max(option.least, value)) : option.initial) as T
  return (option.values.some(known => known.value === value) ? value : option.initial) as T
}

export const sides = [
  { value: 'left', label: 'the left' },
  { value: 'right', label: 'the right' },
  { value: 'top', label: 'the top' },
  { value: 'bottom', label: 'the bottom' },
] as const
