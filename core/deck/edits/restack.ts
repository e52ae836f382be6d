import type { Change } from '../changes'
import { elementsOf } from '../groups'
import { orderAt } from '../order'
import type { Deck, Id } from '../records'

/** Moves an element among its owner's, so that it stands at `index` from the back (0 is the backmost). */
export function restack(deck: Deck, wish: { element: Id, index: number }): Change[] {
  const element = deck.elements[wish.element]
  if (!element) return []
  const others = elementsOf(deck, element.owner).filter(other => other.id !== element.id)
  return [{ do: 'set', table: 'elements', id: element.id, fields: { order: orderAt(others, wish.index) } }]
}
