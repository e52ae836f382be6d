import { setRecord, applyChanges, variantsOf, type Change, type Deck, type Element } from '../model'
import { memoByRecords, type Id } from '../values'

/** Whether an element shows in a variant: what it says for itself there, else whether it is hidden in general. */
export const showsIn = (element: Element, variant: Id) => element.shows?.[variant] ?? !element.hidden

/**
 * A deck as it is in a variant: what does not show there is hidden. The same object for the same deck and variant; the deck itself where
 * there is no such variant.
 */
export const inVariant = (deck: Deck, variant: Id | null | undefined): Deck =>
  variant && deck.variants[variant] ? variantOf(deck, variant) : deck

const variantOf = memoByRecords(
  (deck: Deck, variant: Id) => [deck, variant],
  (deck, variant): Deck => {
    const changes = Object.values(deck.elements).flatMap((element): Change[] => {
      const shows = showsIn(element, variant)
      return shows === !element.hidden ? [] : [setRecord('elements', element.id, { hidden: shows ? undefined : true })]
    })
    return changes.length ? applyChanges(deck, changes) : deck
  },
  { keep: 50 },
)

/** A variant by its id or its name, as an address or a command may give it. */
export const variantNamed = (deck: Deck, wanted: string) =>
  deck.variants[wanted] ?? variantsOf(deck).find(variant => variant.name.toLowerCase() === wanted.trim().toLowerCase())

/** A deck as one of its variants alone: what does not show there is hidden, and of other variants nothing is left. */
export function onlyVariant(deck: Deck, variant: Id): Deck {
  const shown = inVariant(deck, variant)
  const elements = Object.fromEntries(
    Object.entries(shown.elements).map(([id, element]) => {
      const { shows: _, ...rest } = element
      return [id, rest as Element]
    }),
  )
  return { ...shown, elements, variants: {} }
}
