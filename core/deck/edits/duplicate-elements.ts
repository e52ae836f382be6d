import type { Change, EditContext } from '../changes'
import { elementsOf } from '../groups'
import { shownElement } from '../inherit'
import { ordersAt } from '../order'
import type { Deck, Element, Id } from '../records'

/** Copies elements onto a slide, moved by an offset (px of deck space) and in front of all; the copies no longer fill placeholders. */
export function duplicateElements(deck: Deck, wish: { elements: readonly Id[], slide: Id, offset: { x: number, y: number } }, context: EditContext): Change[] {
  const originals = wish.elements.map(id => shownElement(deck, id)).filter(element => element !== undefined)
  const orders = ordersAt(elementsOf(deck, wish.slide), Infinity, originals.length)
  return originals.map(({ pinned: _, placeholder: __, parent: ___, ...element }, index) => ({
    do: 'put',
    table: 'elements',
    record: {
      ...element,
      id: context.id(),
      owner: wish.slide,
      order: orders[index]!,
      box: { ...element.box, x: element.box.x + wish.offset.x, y: element.box.y + wish.offset.y },
    } as Element,
  }))
}
