import type { Change } from '../changes'
import { slidesOf } from '../groups'
import { orderAt } from '../order'
import type { Deck, Id } from '../records'

/** Moves a slide so that it stands at `index` (0 first) among the others. */
export function moveSlide(deck: Deck, wish: { slide: Id, index: number }): Change[] {
  const slides = slidesOf(deck)
  if (!deck.slides[wish.slide] || slides.findIndex(slide => slide.id === wish.slide) === wish.index) return []
  const others = slides.filter(slide => slide.id !== wish.slide)
  return [{ do: 'set', table: 'slides', id: wish.slide, fields: { order: orderAt(others, wish.index) } }]
}
