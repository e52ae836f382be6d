import { onlySlides, slidesOf, type Deck } from '../../core/model'

/** A deck pared down to its first slide, for a thumbnail that the stage draws. */
export function coverOf(deck: Deck): Deck {
  const first = slidesOf(deck).find(slide => !slide.skipped)
  return onlySlides(deck, first ? [first.id] : [])
}
