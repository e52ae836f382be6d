import { applyChanges, type Change, type Deck, type EditContext } from '../model'
import { familyNamed, type LayoutFamily } from '../families'
import { shownElements } from '../resolved'
import type { Id } from '../values'
import { clearPicture, isPicturePlace } from './item-pictures'
import { layOut } from './set-layout'
import { familyOf } from './write-lines'

/** The layout without a picture that a slide's would give way to: none of the places for one is filled. Null where it keeps its own. */
export function closesTo(deck: Deck, slide: Id): LayoutFamily | null {
  const record = deck.slides[slide]
  const family = record && familyNamed(familyOf(deck, record)?.closesTo ?? '')
  const places = family ? shownElements(deck, slide).filter(isPicturePlace) : []
  return family && places.length && places.every(({ media }) => !media) ? family : null
}

/** Closes the place for a picture that nobody has: the slide is laid out without it. Nothing where a layout keeps its place. */
export function closeUp(deck: Deck, input: { slide: Id }, context: EditContext): Change[] {
  const family = closesTo(deck, input.slide)
  const look = deck.layouts[deck.slides[input.slide]?.layout ?? '']?.look
  return family ? layOut(deck, { slide: input.slide, family, ...(look ? { look } : {}) }, context) : []
}

/** A proposed picture goes, and its place closes up with it where no other picture stands on the slide. */
export function clearAndClose(deck: Deck, input: { element: Id }, context: EditContext): Change[] {
  const cleared = [clearPicture(input.element)]
  const slide = deck.elements[input.element]?.owner
  return slide ? [...cleared, ...closeUp(applyChanges(deck, cleared), { slide }, context)] : cleared
}
