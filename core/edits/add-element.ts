import { putRecord, elementsOf, type Change, type Deck, type Element, type ElementWithout } from '../model'
import { orderLast } from '../values'

/** Puts an element on its owner, in front of all others. */
export function addElement(deck: Deck, wish: { element: ElementWithout<'order'> }): Change[] {
  const order = orderLast(elementsOf(deck, wish.element.owner))
  return [putRecord('elements', { ...wish.element, order } as Element)]
}
