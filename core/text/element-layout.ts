import { elementsOf, shownElements, styleOf, themeUnder, type Deck, type ShownElement, type TextDoc, type TextElement, type TextStyle } from '../deck'
import { fitText, type Fitted } from './fit'
import { layoutText } from './layout'
import type { Measurer } from './measure'

interface Known {
  style: TextStyle
  fonts: unknown
  width: number
  height: number
  fit: string
  most: number
  measurer: Measurer
  layout: Fitted
}

const known = new WeakMap<TextDoc, Known>()

/** The inner size of a text's box, inside its panel's padding, px of deck space. */
export function textRoom(element: TextElement & ShownElement): { width: number, height: number } {
  const padding = element.panel?.padding ?? 0
  return { width: Math.max(1, element.box.width - 2 * padding), height: Math.max(1, element.box.height - 2 * padding) }
}

const matched = new WeakMap<readonly unknown[], { parts: readonly unknown[], scales: Map<string, number> }>()

/** The scale that the texts of a slide with the same `match` come to together: that of the one that shrinks most. */
function matchedScale(deck: Deck, element: TextElement & ShownElement, measurer: Measurer): number {
  const slide = deck.slides[element.owner]
  if (!element.match || !slide) return 1
  const own = elementsOf(deck, slide.id)
  const theme = themeUnder(deck, slide.id)
  const parts = [elementsOf(deck, slide.layout), theme, deck.info.info, slide, measurer]
  let known = matched.get(own)
  if (!known || !known.parts.every((part, index) => part === parts[index])) matched.set(own, (known = { parts, scales: new Map() }))
  let scale = known.scales.get(element.match)
  if (scale === undefined) {
    scale = 1
    for (const other of shownElements(deck, slide.id, true)) {
      if (other.kind !== 'text' || other.match !== element.match) continue
      const { width, height } = textRoom(other)
      scale = Math.min(scale, fitText(other.text, styleOf(deck, other), theme.fonts, { width, height }, measurer, other.fit).scale)
    }
    known.scales.set(element.match, scale)
  }
  return scale
}

/** The layout of a text element as the stage draws it; kept until its text, style, box, measurer or what it is matched with changes. */
export function layoutOfElement(deck: Deck, element: TextElement & ShownElement, measurer: Measurer): Fitted {
  const style = styleOf(deck, element)
  const { fonts } = themeUnder(deck, element.owner)
  const { width, height } = textRoom(element)
  const fit = element.fit ?? 'shrink'
  const most = matchedScale(deck, element, measurer)
  const last = known.get(element.text)
  if (last && last.fonts === fonts && last.width === width && last.height === height && last.fit === fit && last.most === most && last.measurer === measurer && sameStyle(last.style, style)) {
    return last.layout
  }
  const alone = fitText(element.text, style, fonts, { width, height }, measurer, fit)
  const layout = alone.scale > most && fit === 'shrink' ? { ...layoutText(element.text, style, fonts, width, measurer, most), fits: alone.fits } : alone
  known.set(element.text, { style, fonts, width, height, fit, most, measurer, layout })
  return layout
}

const sameStyle = (a: TextStyle, b: TextStyle) =>
  a === b || (Object.keys(a) as (keyof TextStyle)[]).every(key => a[key] === b[key])
