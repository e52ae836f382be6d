import type { Change, EditContext } from '../changes'
import { beatsOf, cuesOf, elementsOf, slidesOf, statesOf } from '../groups'
import { orderAt } from '../order'
import type { Deck, Id } from '../records'

/** Puts a copy of a slide, with its elements and its whole score, right after it. The copy's id is the first one asked for. */
export function duplicateSlide(deck: Deck, wish: { slide: Id }, context: EditContext): Change[] {
  const slides = slidesOf(deck)
  const slide = deck.slides[wish.slide]
  if (!slide) return []
  const renamed = new Map<Id, Id>([[slide.id, context.id()]])
  const rename = (id: Id) => {
    if (!renamed.has(id)) renamed.set(id, context.id())
    return renamed.get(id)!
  }
  const changes: Change[] = [
    { do: 'put', table: 'slides', record: { ...slide, id: rename(slide.id), order: orderAt(slides, slides.indexOf(slide) + 1) } },
  ]
  const own = new Set(elementsOf(deck, slide.id).map(element => element.id))
  for (const element of elementsOf(deck, slide.id)) {
    const parent = element.parent && own.has(element.parent) ? { parent: rename(element.parent) } : {}
    changes.push({ do: 'put', table: 'elements', record: { ...element, ...parent, id: rename(element.id), owner: rename(slide.id) } })
    for (const state of statesOf(deck, element.id)) changes.push({ do: 'put', table: 'states', record: { ...state, id: rename(state.id), element: rename(element.id) } })
  }
  for (const beat of beatsOf(deck, slide.id)) {
    changes.push({ do: 'put', table: 'beats', record: { ...beat, id: rename(beat.id), slide: rename(slide.id) } })
    for (const cue of cuesOf(deck, beat.id)) {
      const element = cue.element !== null && own.has(cue.element) ? rename(cue.element) : cue.element
      const anchor = cue.anchor.to === 'beat' ? cue.anchor : { ...cue.anchor, cue: rename(cue.anchor.cue) }
      const options = typeof cue.options.state === 'string' && deck.states[cue.options.state] ? { ...cue.options, state: rename(cue.options.state) } : cue.options
      changes.push({ do: 'put', table: 'cues', record: { ...cue, id: rename(cue.id), beat: rename(beat.id), element, anchor, options } })
    }
  }
  return changes
}
