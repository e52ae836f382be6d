import { elementsOf, plainText, setRecord, type Change, type Deck, type DrawnIcon } from '../model'
import { itemPlace } from '../resolved'
import type { Id } from '../values'
import { noIcon } from '../families'

/** An icon place of a slide that nothing was drawn in yet, and the words of its item. */
export interface IconWanted {
  element: Id
  words: string
}

/** The icon places of a slide that wait for an icon, first to last; those whose item says nothing are left out. */
export function iconsWanted(deck: Deck, slide: Id): IconWanted[] {
  const own = elementsOf(deck, slide)
  return own.flatMap(element => {
    const place = itemPlace(element.placeholder)
    if (element.kind !== 'icon' || element.icon.name !== noIcon.name || place?.slot !== 'icon') return []
    const path = place.path.join('-')
    const words = own
      .filter(other => other.kind === 'text' && [`item${path}-lead`, `item${path}-text`].includes(other.placeholder ?? ''))
      // What leads comes first: it is what the item is about.
      .sort((a, b) => (a.placeholder! < b.placeholder! ? -1 : 1))
      .map(other => (other.kind === 'text' ? plainText(other.text) : ''))
      .join(' ')
      .trim()
    return words ? [{ element: element.id, words }] : []
  })
}

/** Puts icons that were found into their places, as far as these are still empty. */
export const putIcons = (deck: Deck, wanted: readonly IconWanted[], icons: readonly (DrawnIcon | null)[]): Change[] =>
  wanted.flatMap(({ element }, index) => {
    const [icon, now] = [icons[index], deck.elements[element]]
    return icon && now?.kind === 'icon' && now.icon.name === noIcon.name ? [setRecord('elements', element, { icon })] : []
  })
