import { dropRecord, setRecord, beatsOf, cuesOf, elementsOf, slidesOf, statesOf, type Change, type Deck } from '../model'
import type { Id } from '../values'

const drop = (table: 'slides' | 'beats' | 'cues' | 'elements' | 'states' | 'sounds', id: Id): Change => dropRecord(table, id)

/** Takes slides away with everything on them; sounds that ran over them end where the neighbours stand. */
export function removeSlides(deck: Deck, input: { slides: readonly Id[] }): Change[] {
  const gone = new Set(input.slides.filter(id => deck.slides[id]))
  const order = slidesOf(deck).map(slide => slide.id)
  const changes: Change[] = []
  for (const sound of Object.values(deck.sounds)) {
    if (!gone.has(sound.fromSlide) && !gone.has(sound.untilSlide)) continue
    const span = order.slice(order.indexOf(sound.fromSlide), order.indexOf(sound.untilSlide) + 1).filter(id => !gone.has(id))
    changes.push(span.length ? setRecord('sounds', sound.id, { fromSlide: span[0], untilSlide: span.at(-1) }) : drop('sounds', sound.id))
  }
  for (const id of gone) {
    for (const beat of beatsOf(deck, id)) changes.push(...cuesOf(deck, beat.id).map(cue => drop('cues', cue.id)), drop('beats', beat.id))
    for (const element of elementsOf(deck, id))
      changes.push(...statesOf(deck, element.id).map(state => drop('states', state.id)), drop('elements', element.id))
    changes.push(drop('slides', id))
  }
  return changes
}
