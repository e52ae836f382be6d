import { onlySlides, slidesOf } from '../../../core/model'
import { requireViewer } from '../../access'
import { placesOf, snapshotOf } from '../../database/decks'

/** Where one was last: up to three decks, the first with the slide that one was at. */
export default defineEventHandler(async event => {
  const person = await requireViewer(event)
  const places = await placesOf(person.id, 3)
  const deck = places[0] && (await snapshotOf(places[0].deck))
  if (!deck) return { places, at: null }
  const slides = slidesOf(deck)
  const index = Math.max(
    0,
    slides.findIndex(slide => slide.id === places[0]!.slide),
  )
  return { places, at: { index, of: slides.length, cover: onlySlides(deck, slides[index] ? [slides[index].id] : []) } }
})
