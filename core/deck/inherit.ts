import { elementsOf } from './groups'
import type { Box, Color, Deck, Element, Id, Slide, TextElement, TextStyle } from './records'

/** An element as it shows: its own values over its layout's over its master's. */
export type ShownElement = Element & { readonly box: Box, /** From the layout or master: not to be moved on the slide. */ readonly pinned: boolean }

const anywhere: Box = { x: 0, y: 0, width: 400, height: 200, angle: 0 }
const shownCache = new WeakMap<Element, { under: Element | undefined, shown: ShownElement }>()

/** Where the shown element of an owner is kept when two owners show the same record. */
function shown(element: Element, under: Element | undefined, pinned: boolean): ShownElement {
  const cached = shownCache.get(element)
  if (cached && cached.under === under && cached.shown.pinned === pinned) return cached.shown
  const inherited = under && under.kind === element.kind ? { ...under, ...element } : { ...element, box: element.box ?? under?.box }
  const made = { ...inherited, box: inherited.box ?? anywhere, pinned } as ShownElement
  shownCache.set(element, { under, shown: made })
  return made
}

/** The placeholders that a slide's layout and master keep, by name; the layout's come first. */
export function placeholdersOf(deck: Deck, slide: Slide): ReadonlyMap<string, Element> {
  const places = new Map<string, Element>()
  const layout = deck.layouts[slide.layout]
  for (const owner of [layout?.master, layout?.id]) {
    if (!owner) continue
    for (const element of elementsOf(deck, owner)) if (element.placeholder) places.set(element.placeholder, element)
  }
  return places
}

/** Everything a slide shows, back to front: its master's pinned parts, its layout's, then its own. Hidden parts are left out. */
export function shownElements(deck: Deck, slideId: Id, keepHidden = false): ShownElement[] {
  const slide = deck.slides[slideId]
  if (!slide) return []
  const layout = deck.layouts[slide.layout]
  const places = placeholdersOf(deck, slide)
  const made: ShownElement[] = []
  for (const owner of [layout?.master, layout?.id]) {
    if (!owner) continue
    for (const element of elementsOf(deck, owner)) if (!element.placeholder) made.push(shown(element, undefined, true))
  }
  for (const element of elementsOf(deck, slide.id)) made.push(shown(element, element.placeholder ? places.get(element.placeholder) : undefined, false))
  return keepHidden ? made : made.filter(element => !element.hidden)
}

/** One element as it shows. */
export function shownElement(deck: Deck, id: Id): ShownElement | undefined {
  const element = deck.elements[id]
  if (!element) return undefined
  const slide = deck.slides[element.owner]
  return shown(element, slide && element.placeholder ? placeholdersOf(deck, slide).get(element.placeholder) : undefined, !slide)
}

/** The colour of a slide's ground: its own, or its layout's, master's or theme's. */
export function groundOf(deck: Deck, slide: Slide): Color {
  const layout = deck.layouts[slide.layout]
  const master = layout && deck.masters[layout.master]
  return slide.ground ?? layout?.ground ?? master?.ground ?? deck.theme.theme!.ground
}

const plain: TextStyle = {
  name: 'Body', font: 'body', size: 40, leastSize: 24, weight: 400, lineHeight: 1.3, letterSpacing: 0, paragraphSpacing: 0.3,
  color: { role: 'ink' }, align: 'left', bullet: { symbol: '•', color: { role: 'accent1' } },
}

/** The style a text element is set in, with the element's own departures from it. */
export function styleOf(deck: Deck, element: TextElement): TextStyle {
  const style = deck.theme.theme!.textStyles[element.style ?? 'body'] ?? deck.theme.theme!.textStyles.body ?? plain
  if (element.size === undefined && element.color === undefined && element.align === undefined) return style
  return { ...style, size: element.size ?? style.size, color: element.color ?? style.color, align: element.align ?? style.align }
}
