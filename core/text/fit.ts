import type { TextDoc, TextElement, Theme } from '../model'
import type { TextSetting } from '../resolved'
import { flowColumns } from './columns'
import { layoutText, type TextLayout } from './layout'
import type { Measurer } from './measure'

export interface Fitted extends TextLayout {
  /** False where the text is larger than its box even at its least size. */
  fits: boolean
}

/** What a text has room in: a box, px of deck space, told into columns. */
export interface TextRoom {
  width: number
  height: number
  columns?: TextElement['columns']
}

/** Lays a text out at a scale in a room, in its columns. */
export function setText(
  doc: TextDoc,
  style: TextSetting,
  fonts: Theme['fonts'],
  room: TextRoom,
  measurer: Measurer,
  scale = 1,
): TextLayout {
  const { count = 1, gap = 0 } = room.columns ?? {}
  const width = Math.max(1, (room.width - gap * (count - 1)) / count)
  return flowColumns(layoutText(doc, style, fonts, width, measurer, scale), count, gap)
}

/**
 * Lays a text out at the largest scale (1 at most) at which it fits a box and no word of it is broken in its midst, not below the
 * style's least size; found by bisection to half a percent. Where a word is too wide even at the least size, it is broken at the largest
 * scale at which the lines fit. `fit` 'fixed' and 'grow' keep scale 1.
 */
export function fitText(
  doc: TextDoc,
  style: TextSetting,
  fonts: Theme['fonts'],
  box: TextRoom,
  measurer: Measurer,
  fit: NonNullable<TextElement['fit']> = 'shrink',
): Fitted {
  const at = (scale: number) => setText(doc, style, fonts, box, measurer, scale)
  const isLowEnough = (layout: TextLayout) => layout.height <= box.height + 0.5
  const whole = at(1)
  if (isLowEnough(whole) && whole.broken === null) return { ...whole, fits: true }
  const least = Math.min(1, style.leastSize / style.size)
  if (fit !== 'shrink' || least === 1) return { ...whole, fits: isLowEnough(whole) }
  const smallest = at(least)
  if (!isLowEnough(smallest)) return { ...smallest, fits: false }
  const mayBreak = smallest.broken !== null
  if (mayBreak && isLowEnough(whole)) return { ...whole, fits: true }
  const holds = (layout: TextLayout) => isLowEnough(layout) && (mayBreak || layout.broken === null)
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
