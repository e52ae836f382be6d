import type { TextDoc, TextStyle, Theme } from '../deck'
import { layoutText, type TextLayout } from './layout'
import type { Measurer } from './measure'

export interface Fitted extends TextLayout {
  /** False where the text is larger than its box even at its least size. */
  fits: boolean
}

/**
 * Lays a text out at the largest scale (1 at most) at which it fits a box, not below the style's least size; found by
 * bisection to half a percent. `fit` 'fixed' keeps scale 1.
 */
export function fitText(
  doc: TextDoc, style: TextStyle, fonts: Theme['fonts'], box: { width: number, height: number }, measurer: Measurer, fit: 'shrink' | 'fixed' = 'shrink',
): Fitted {
  const at = (scale: number) => layoutText(doc, style, fonts, box.width, measurer, scale)
  const holds = (layout: TextLayout) => layout.height <= box.height + 0.5
  const whole = at(1)
  if (holds(whole)) return { ...whole, fits: true }
  const least = Math.min(1, style.leastSize / style.size)
  if (fit === 'fixed' || least === 1) return { ...whole, fits: false }
  const smallest = at(least)
  if (!holds(smallest)) return { ...smallest, fits: false }
  let low = least
  let high = 1
  let best = smallest
  while (high - low > 0.005) {
    const middle = (low + high) / 2
    const layout = at(middle)
    if (holds(layout)) {
      best = layout
      low = middle
    } else high = middle
  }
  return { ...best, fits: true }
}
