import type { Color, Options } from '../../values'
import type { OptionField } from '../effects'
import type { Polygon } from '../mask'
import type { Cut } from '../part-frame'

/** How one of the two slides stands during a transition; x and y as shares of the slide's size. */
export interface SlideFrame {
  opacity: number
  x: number
  y: number
  scale: number
  /** What scaling and turning happen about, as shares of the slide. */
  originX: number
  originY: number
  /** Degrees about the level and the upright axis, seen from one and a half times the slide's width away. */
  turnX: number
  turnY: number
  /** px of deck space. */
  blur: number
  cut: Cut | null
  mask: Polygon | null
}

/** Both slides at a moment of a transition. */
export interface TransitionFrame {
  from: SlideFrame
  to: SlideFrame
  /** Which lies on top; absent: the next. */
  front?: 'from'
  /** A colour over both. */
  veil?: { color: Color; opacity: number }
}

/**
 * How a slide becomes the next: a function of progress, 0 to 1, to both slides. At 0 only the one before is seen, at 1
 * only the next, exactly at rest.
 */
export interface TransitionKind {
  name: string
  label: string
  /** Seconds unless chosen otherwise. */
  duration: number
  options: readonly OptionField[]
  /** It takes no time: a slide that comes by it has no transition. */
  atOnce?: true
  /** What both slides share goes from its place on the one to its place on the other. */
  carries?: boolean
  apply(progress: number, options: Options): TransitionFrame
}

export const still = (): SlideFrame => ({
  opacity: 1,
  x: 0,
  y: 0,
  scale: 1,
  originX: 0.5,
  originY: 0.5,
  turnX: 0,
  turnY: 0,
  blur: 0,
  cut: null,
  mask: null,
})
export const gone = (): SlideFrame => ({ ...still(), opacity: 0 })

/** A transition that is exactly at rest at both ends, whatever it does between them. */
export function between(apply: (progress: number, options: Options) => TransitionFrame): TransitionKind['apply'] {
  return (progress, options) =>
    progress <= 0 ? { from: still(), to: gone() } : progress >= 1 ? { from: gone(), to: still() } : apply(progress, options)
}

export const directions: OptionField = {
  kind: 'choice',
  name: 'to',
  label: 'Towards',
  initial: 'left',
  values: [
    { value: 'left', label: 'the left' },
    { value: 'right', label: 'the right' },
    { value: 'up', label: 'the top' },
    { value: 'down', label: 'the bottom' },
  ],
}

export const directionOf = (options: Options) => {
  const to = options.to
  return to === 'right' ? { x: 1, y: 0 } : to === 'up' ? { x: 0, y: -1 } : to === 'down' ? { x: 0, y: 1 } : { x: -1, y: 0 }
}

/** The side that a way leads away from. */
export const sideBehind = (options: Options) =>
  options.to === 'right' ? 'left' : options.to === 'up' ? 'bottom' : options.to === 'down' ? 'top' : 'right'
