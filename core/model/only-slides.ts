import type { Deck } from './records'
import type { Id } from '../values'

const keep = <R extends { id: string }>(table: Readonly<Record<string, R>>, test: (record: R) => boolean) =>
  Object.fromEntries(Object.entries(table).filter(([, record]) => test(record)))

/** A deck pared down to some of its slides with what they show, for a picture of them or to carry them elsewhere. Sounds stay behind. */
export function onlySlides(deck: Deck, slides: readonly Id[]): Deck {
  const wanted = new Set(slides)
  const layouts = new Set(slides.flatMap(id => (deck.slides[id] ? [deck.slides[id].layout] : [])))
  const masters = new Set([...layouts].flatMap(id => (deck.layouts[id] ? [deck.layouts[id].master] : [])))
  const beats = keep(deck.beats, beat => wanted.has(beat.slide))
  const elements = keep(deck.elements, element => wanted.has(element.owner) || layouts.has(element.owner) || masters.has(element.owner))
  return {
    ...deck,
    beats,
    elements,
    sounds: {},
    slides: keep(deck.slides, slide => wanted.has(slide.id)),
    cues: keep(deck.cues, cue => beats[cue.beat] !== undefined),
    states: keep(deck.states, state => elements[state.element] !== undefined),
    layouts: keep(deck.layouts, layout => layouts.has(layout.id)),
    masters: keep(deck.masters, master => masters.has(master.id)),
  }
}
