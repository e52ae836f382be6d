import { setRecord, slidesOf, type Change, type Deck } from '../model'
import type { Id } from '../values'

/** Which slides a transition is put on: those of a slide's chapter, or all. */
export type TransitionReach = 'chapter' | 'all'

/** The slides of the chapter that a slide stands in, in order; all where the deck has no chapters, none where it has no such slide. */
export function chapterAround(deck: Deck, slide: Id): Id[] {
  const slides = slidesOf(deck)
  const at = slides.findIndex(one => one.id === slide)
  if (at < 0) return []
  const opens = (index: number) => slides[index]!.chapter !== undefined
  let from = at
  let until = at + 1
  while (from > 0 && !opens(from)) from--
  while (until < slides.length && !opens(until)) until++
  return slides.slice(from, until).map(one => one.id)
}

/** The slides of the chapter that a slide stands in, or of the whole deck, without the first, which follows none. */
function slidesWithin(deck: Deck, slide: Id, reach: TransitionReach): Id[] {
  if (!deck.slides[slide]) return []
  const [first, ...others] = slidesOf(deck).map(one => one.id)
  return reach === 'all' ? others : chapterAround(deck, slide).filter(id => id !== first)
}

/** Lets slides come as one of them comes. */
export function putTransition(deck: Deck, input: { like: Id; reach: TransitionReach }): Change[] {
  const { transition } = deck.slides[input.like] ?? {}
  return slidesWithin(deck, input.like, input.reach)
    .filter(id => JSON.stringify(deck.slides[id]!.transition) !== JSON.stringify(transition))
    .map(id => setRecord('slides', id, { transition }))
}
