import { dropRecord, putRecord, setRecord, variantsOf, type Change, type EditContext, type Deck } from '../model'
import { orderLast, type Id } from '../values'
import { showsIn } from '../resolved'

/** A new variant, in which all shows as it does now. Its id is the first one asked for. */
export const addVariant = (deck: Deck, wish: { name: string }, context: EditContext): Change[] => [
  putRecord('variants', { id: context.id(), order: orderLast(variantsOf(deck)), name: wish.name.trim().slice(0, 120) || 'Variant' }),
]

/** Takes a variant away, with what parts say of it. */
export const removeVariant = (deck: Deck, wish: { variant: Id }): Change[] => [
  ...Object.values(deck.elements).flatMap((element): Change[] => {
    if (element.shows?.[wish.variant] === undefined) return []
    const { [wish.variant]: _, ...shows } = element.shows
    return [setRecord('elements', element.id, { shows: Object.keys(shows).length ? shows : undefined })]
  }),
  dropRecord('variants', wish.variant),
]

/** Shows or hides elements, in one variant or (null) in general. In a variant only what differs from the general is kept. */
export function setShows(deck: Deck, wish: { elements: readonly Id[]; variant: Id | null; shows: boolean }): Change[] {
  return wish.elements.flatMap((id): Change[] => {
    const element = deck.elements[id]
    if (!element) return []
    if (!wish.variant) return !element.hidden === wish.shows ? [] : [setRecord('elements', id, { hidden: wish.shows ? undefined : true })]
    if (showsIn(element, wish.variant) === wish.shows) return []
    const { [wish.variant]: _, ...others } = element.shows ?? {}
    const shows = wish.shows === !element.hidden ? others : { ...others, [wish.variant]: wish.shows }
    return [setRecord('elements', id, { shows: Object.keys(shows).length ? shows : undefined })]
  })
}
