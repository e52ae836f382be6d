import { slidesOf, onlySlides, type Change, type EditContext, type Deck } from '../model'
import { ordersAt, type Id } from '../values'
import { copySlideRecords } from './copy-slides'

/**
 * Puts copies of slides, with their elements and whole scores, right after the last of them. The first copy's id is the first one asked
 * for.
 */
export function duplicateSlides(deck: Deck, input: { slides: readonly Id[] }, context: EditContext): Change[] {
  const slides = slidesOf(deck)
  const wanted = slides.filter(slide => input.slides.includes(slide.id))
  if (!wanted.length) return []
  const orders = ordersAt(slides, slides.indexOf(wanted.at(-1)!) + 1, wanted.length)
  return copySlideRecords(onlySlides(deck, input.slides), orders, layout => layout, context)
}

/** Puts a copy of a slide right after it. The copy's id is the first one asked for. */
export const duplicateSlide = (deck: Deck, input: { slide: Id }, context: EditContext) =>
  duplicateSlides(deck, { slides: [input.slide] }, context)
