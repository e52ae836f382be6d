import { putRecord, elementsOf, type Change, type Deck, type Element } from '../model'
import { orderLast } from '../values'

type Orderless<E> = E extends Element ? Omit<E, 'order'> : never

/** Puts an element on its owner, in front of all others. */
export function addElement(deck: Deck, wish: { element: Orderless<Element> }): Change[] {
  const order = orderLast(elementsOf(deck, wish.element.owner))
  return [putRecord('elements', { ...wish.element, order } as Element)]
}
