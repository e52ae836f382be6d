import type { Change } from '../changes'
import { elementsOf } from '../groups'
import { orderLast } from '../order'
import type { Deck, Element } from '../records'

type Orderless<E> = E extends Element ? Omit<E, 'order'> : never

/** Puts an element on its owner, in front of all others. */
export function addElement(deck: Deck, wish: { element: Orderless<Element> }): Change[] {
  const order = orderLast(elementsOf(deck, wish.element.owner))
  return [{ do: 'put', table: 'elements', record: { ...wish.element, order } as Element }]
}
