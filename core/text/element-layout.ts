import { styleOf, type Deck, type ShownElement, type TextDoc, type TextElement, type TextStyle } from '../deck'
import { fitText, type Fitted } from './fit'
import type { Measurer } from './measure'

interface Known {
  style: TextStyle
  fonts: unknown
  width: number
  height: number
  fit: string
  measurer: Measurer
  layout: Fitted
}

const known = new WeakMap<TextDoc, Known>()

/** The inner size of a text's box, inside its panel's padding, px of deck space. */
export function textRoom(element: TextElement & ShownElement): { width: number, height: number } {
  const padding = element.panel?.padding ?? 0
  return { width: Math.max(1, element.box.width - 2 * padding), height: Math.max(1, element.box.height - 2 * padding) }
}

/** The layout of a text element as the stage draws it; kept until its text, style, box or measurer changes. */
export function layoutOfElement(deck: Deck, element: TextElement & ShownElement, measurer: Measurer): Fitted {
  const style = styleOf(deck, element)
  const fonts = deck.theme.theme!.fonts
  const { width, height } = textRoom(element)
  const fit = element.fit ?? 'shrink'
  const last = known.get(element.text)
  if (last && last.fonts === fonts && last.width === width && last.height === height && last.fit === fit && last.measurer === measurer && sameStyle(last.style, style)) {
    return last.layout
  }
  const layout = fitText(element.text, style, fonts, { width, height }, measurer, fit)
  known.set(element.text, { style, fonts, width, height, fit, measurer, layout })
  return layout
}

const sameStyle = (a: TextStyle, b: TextStyle) =>
  a === b || (Object.keys(a) as (keyof TextStyle)[]).every(key => a[key] === b[key])
