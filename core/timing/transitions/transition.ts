import type { Options } from '../../deck'
import type { EffectOption } from '../effects'
import type { Cut } from '../part-frame'

/** How one of the two slides stands during a transition; x and y as shares of the slide's size. */
export interface SlideFrame {
  opacity: number
  x: number
  y: number
  cut: Cut | null
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
  options: readonly EffectOption[]
  apply(progress: number, options: Options): { from: SlideFrame, to: SlideFrame }
}

export const still = (): SlideFrame => ({ opacity: 1, x: 0, y: 0, cut: null })
export const gone = (): SlideFrame => ({ opacity: 0, x: 0, y: 0, cut: null })

export const directions: EffectOption = {
  kind: 'choice', name: 'to', label: 'Towards', initial: 'left',
  values: [{ value: 'left', label: 'the left' }, { value: 'right', label: 'the right' }, { value: 'up', label: 'the top' }, { value: 'down', label: 'the bottom' }],
}

export const directionOf = (options: Options) => {
  const to = options.to
  return to === 'right' ? { x: 1, y: 0 } : to === 'up' ? { x: 0, y: -1 } : to === 'down' ? { x: 0, y: 1 } : { x: -1, y: 0 }
}
