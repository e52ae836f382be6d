import { setRecord, elementsOf, type Change, type Deck, type Element } from '../model'
import { groupsAround } from '../resolved'
import { ordersAt, type Id } from '../values'

/** Those of an owner that stand in the same group, or in none, back to front. */
const siblingsOf = (deck: Deck, element: Element) => elementsOf(deck, element.owner).filter(other => other.parent === element.parent)

/**
 * Moves elements, in the order in which they are stacked, to just in front of or behind another one, into the group that it stands in;
 * `into` puts them at the front of a group.
 */
export function restackTo(deck: Deck, input: { elements: readonly Id[]; target: Id; where: 'front' | 'behind' | 'into' }): Change[] {
  const target = deck.elements[input.target]
  if (!target || input.elements.includes(target.id)) return []
  const into = input.where === 'into' && target.kind === 'group'
  const parent = into ? target.id : target.parent
  const around = new Set([...groupsAround(deck, target.id), ...(into ? [target.id] : [])])
  const moving = elementsOf(deck, target.owner).filter(element => input.elements.includes(element.id) && !around.has(element.id))
  if (!moving.length) return []
  const siblings = elementsOf(deck, target.owner).filter(element => element.parent === parent && !moving.includes(element))
  const index = into ? siblings.length : siblings.indexOf(target) + (input.where === 'front' ? 1 : 0)
  const orders = ordersAt(siblings, index, moving.length)
  return moving.map((element, at): Change => setRecord('elements', element.id, { order: orders[at]!, parent }))
}

/** Where parts go among what they stand with: a step forward or back, or all the way. */
export type StackWay = 'forward' | 'back' | 'front' | 'behind'

/**
 * Moves elements of one owner and group among what they stand with; they keep their order and come to stand together. A step forward takes
 * all of them in front of the next one above the backmost, a step back behind the next one below the frontmost. Nothing where there is
 * none. Where two others share a place in the order, they are stepped over together.
 */
export function stackElements(deck: Deck, input: { elements: readonly Id[]; way: StackWay }): Change[] {
  const first = deck.elements[input.elements[0] ?? '']
  if (!first) return []
  const all = siblingsOf(deck, first)
  const moving = all.filter(element => input.elements.includes(element.id))
  const others = all.filter(element => !moving.includes(element))
  const under = (element: Element) => all.slice(0, all.indexOf(element)).filter(other => others.includes(other)).length
  const forwards = input.way === 'forward' || input.way === 'front'
  const next = forwards ? others[under(moving[0]!)] : others[under(moving.at(-1)!) - 1]
  if (!next) return []
  const target = input.way === 'front' ? others.at(-1)! : input.way === 'behind' ? others[0]! : next
  return restackTo(deck, { elements: moving.map(({ id }) => id), target: target.id, where: forwards ? 'front' : 'behind' })
}
