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
  hyphens: string | null = null,
): TextLayout {
  const { count = 1, gap = 0 } = room.columns ?? {}
  const width = Math.max(1, (room.width - gap * (count - 1)) / count)
  return flowColumns(layoutText(doc, style, fonts, width, measurer, scale, hyphens), count, gap)
}

/**
 * A text in as many lines as it has, with its lines as short as that lets them be: of about the same length. Found by bisection to a
 * hundredth of the room; one line, and what does not fit, stays as it is.
 */
export function balanced(
  layout: Fitted,
  doc: TextDoc,
  style: TextSetting,
  fonts: Theme['fonts'],
  room: TextRoom,
  measurer: Measurer,
): Fitted {
  const count = layout.lines.length
  if (count < 2 || layout.broken !== null || !layout.fits) return layout
  let [low, high] = [room.width / count / 2, room.width]
  let best: TextLayout = layout
  while (high - low > room.width / 100) {
    const middle = (low + high) / 2
    const made = setText(doc, style, fonts, { ...room, width: middle }, measurer, layout.scale, layout.hyphens)
    if (made.lines.length === count && made.broken === null) [best, high] = [made, middle]
    else low = middle
  }
  return { ...layout, lines: best.lines, width: best.width }
}

/** Words that are too wide at their style's least size shrink further until the widest goes in, down to this share of it. */
const narrowest = 0.4

/**
 * Lays a text out at the largest scale at which it fits a box and no word of it is broken in its midst: up to its style's greatest size,
 * down to its least. A word that is too wide even then is parted by hyphens of `language` (BCP 47; null for none) where the measurer knows
 * how; else the text shrinks on, down to two fifths of the least size; what is wider still is broken at the largest scale at which the
 * lines fit. Found by bisection to half a percent. `fit` 'fixed' and 'grow' keep scale 1.
 */
export function fitText(
  doc: TextDoc,
  style: TextSetting,
  fonts: Theme['fonts'],
  box: TextRoom,
  measurer: Measurer,
  fit: NonNullable<TextElement['fit']> = 'shrink',
  language: string | null = null,
): Fitted {
  const at = (scale: number, hyphens: string | null = null) => setText(doc, style, fonts, box, measurer, scale, hyphens)
  const isLowEnough = (layout: TextLayout) => layout.height <= box.height + 0.5
  const whole = at(1)
  if (fit !== 'shrink') return { ...whole, fits: isLowEnough(whole) }
  const isGood = (layout: TextLayout) => isLowEnough(layout) && layout.broken === null
  /** The largest scale between one that holds and one that does not. */
  const between = (
    low: number,
    best: TextLayout,
    high: number,
    holds: (layout: TextLayout) => boolean,
    hyphens: string | null = null,
  ): Fitted => {
    while (high - low > 0.005 * Math.max(1, low)) {
      const middle = (low + high) / 2
      const layout = at(middle, hyphens)
      if (holds(layout)) [best, low] = [layout, middle]
      else high = middle
    }
    return { ...best, fits: true }
  }
  if (isGood(whole)) {
    const most = Math.max(1, (style.mostSize ?? 0) / style.size)
    if (most === 1) return { ...whole, fits: true }
    const largest = at(most)
    return isGood(largest) ? { ...largest, fits: true } : between(1, whole, most, isGood)
  }
  const least = Math.min(1, style.leastSize / style.size)
  const smallest = least === 1 ? whole : at(least)
  if (isGood(smallest)) return between(least, smallest, 1, isGood)
  if (smallest.broken !== null && language !== null) {
    const parted = at(least, language)
    // No larger than in as few lines: a word is parted no more often than it has to be.
    const isAsFew = (layout: TextLayout) => isGood(layout) && layout.lines.length === parted.lines.length
    if (isGood(parted)) return between(least, parted, 1, isAsFew, language)
  }
  const narrow = smallest.broken === null ? smallest : at(least * narrowest)
  if (narrow.broken === null && smallest.broken !== null && isLowEnough(narrow)) return between(least * narrowest, narrow, least, isGood)
  if (!isLowEnough(smallest)) return { ...smallest, fits: false }
  // A word that goes in nowhere: it is broken, and stands as large as the lines have room for.
  return isLowEnough(whole) ? { ...whole, fits: true } : between(least, smallest, 1, isLowEnough)
}
