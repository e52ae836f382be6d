import { setRecord, elementsOf, type Change, type Deck, type Element } from '../model'
import { groupsAround } from '../resolved'
import { orderAt, ordersAt, type Id } from '../values'

/** Those of an owner that stand in the same group, or in none, back to front. */
const siblingsOf = (deck: Deck, element: Element) => elementsOf(deck, element.owner).filter(other => other.parent === element.parent)

/** Moves an element among its siblings, so that it stands at `index` from the back (0 is the backmost). */
export function restack(deck: Deck, wish: { element: Id; index: number }): Change[] {
  const element = deck.elements[wish.element]
  if (!element) return []
  const others = siblingsOf(deck, element).filter(other => other.id !== element.id)
  return [setRecord('elements', element.id, { order: orderAt(others, wish.index) })]
}

/**
 * Moves elements, in the order in which they are stacked, to just in front of or behind another one, into the group that it stands in;
 * `into` puts them at the front of a group.
 */
export function restackTo(deck: Deck, wish: { elements: readonly Id[]; target: Id; where: 'front' | 'behind' | 'into' }): Change[] {
  const target = deck.elements[wish.target]
  if (!target || wish.elements.includes(target.id)) return []
  const into = wish.where === 'into' && target.kind === 'group'
  const parent = into ? target.id : target.parent
  const around = new Set([...groupsAround(deck, target.id), ...(into ? [target.id] : [])])
  const moving = elementsOf(deck, target.owner).filter(element => wish.elements.includes(element.id) && !around.has(element.id))
  if (!moving.length) return []
  const siblings = elementsOf(deck, target.owner).filter(element => element.parent === parent && !moving.includes(element))
  const index = into ? siblings.length : siblings.indexOf(target) + (wish.where === 'front' ? 1 : 0)
  const orders = ordersAt(siblings, index, moving.length)
  return moving.map((element, at): Change => setRecord('elements', element.id, { order: orders[at]!, parent }))
}
