import { dropRecord, putRecord, setRecord, variantsOf, type Change, type EditContext, type Deck } from '../model'
import { orderLast, type Id } from '../values'
import { showsIn } from '../resolved'

/** A new variant, in which all shows as it does now. Its id is the first one asked for. */
export const addVariant = (deck: Deck, input: { name: string }, context: EditContext): Change[] => [
  putRecord('variants', { id: context.id(), order: orderLast(variantsOf(deck)), name: input.name.trim().slice(0, 120) || 'Variant' }),
]

/** Takes a variant away, with what parts say of it. */
export const removeVariant = (deck: Deck, input: { variant: Id }): Change[] => [
  ...Object.values(deck.elements).flatMap((element): Change[] => {
    if (element.shows?.[input.variant] === undefined) return []
    const { [input.variant]: _, ...shows } = element.shows
    return [setRecord('elements', element.id, { shows: Object.keys(shows).length ? shows : undefined })]
  }),
  dropRecord('variants', input.variant),
]

/** Shows or hides elements, in one variant or (null) in general. In a variant only what differs from the general is kept. */
export function setShows(deck: Deck, input: { elements: readonly Id[]; variant: Id | null; shows: boolean }): Change[] {
  return input.elements.flatMap((id): Change[] => {
    const element = deck.elements[id]
    if (!element) return []
    if (!input.variant)
      return !element.hidden === input.shows ? [] : [setRecord('elements', id, { hidden: input.shows ? undefined : true })]
    if (showsIn(element, input.variant) === input.shows) return []
    const { [input.variant]: _, ...others } = element.shows ?? {}
    const shows = input.shows === !element.hidden ? others : { ...others, [input.variant]: input.shows }
    return [setRecord('elements', id, { shows: Object.keys(shows).length ? shows : undefined })]
  })
}
