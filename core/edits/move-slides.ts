import { setRecord, slidesOf, type Change, type Deck } from '../model'
import { ordersAt, type Id } from '../values'

/** Moves slides, kept in their order, so that the first of them stands at `index` (0 first) among the others. */
export function moveSlides(deck: Deck, input: { slides: readonly Id[]; index: number }): Change[] {
  const slides = slidesOf(deck)
  const wanted = new Set(input.slides)
  const moving = slides.filter(slide => wanted.has(slide.id))
  const others = slides.filter(slide => !wanted.has(slide.id))
  const index = Math.max(0, Math.min(input.index, others.length))
  const after = [...others.slice(0, index), ...moving, ...others.slice(index)]
  if (!moving.length || after.every((slide, at) => slide === slides[at])) return []
  return ordersAt(others, index, moving.length).map((order, at) => setRecord('slides', moving[at]!.id, { order }))
}

/** Moves a slide so that it stands at `index` (0 first) among the others. */
export const moveSlide = (deck: Deck, input: { slide: Id; index: number }) =>
  moveSlides(deck, { slides: [input.slide], index: input.index })
