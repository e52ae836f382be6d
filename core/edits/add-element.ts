import { putRecord, elementsOf, type Change, type Deck, type Element, type ElementWithout } from '../model'
import { orderLast } from '../values'

/** Puts an element on its owner, in front of all others. */
export function addElement(deck: Deck, input: { element: ElementWithout<'order'> }): Change[] {
  const order = orderLast(elementsOf(deck, input.element.owner))
  return [putRecord('elements', { ...input.element, order } as Element)]
}
