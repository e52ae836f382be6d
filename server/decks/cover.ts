import { slidesOf, type Deck } from '../../core/deck'

/** A deck pared down to its first slide, for a thumbnail that the stage draws. */
export function coverOf(deck: Deck): Deck {
  const first = slidesOf(deck).find(slide => !slide.skipped)
  const layout = first && deck.layouts[first.layout]
  const owners = new Set([first?.id, layout?.id, layout?.master])
  const keep = <R extends { id: string }>(table: Readonly<Record<string, R>>, test: (record: R) => boolean) =>
    Object.fromEntries(Object.entries(table).filter(([, record]) => test(record)))
  const beats = keep(deck.beats, beat => beat.slide === first?.id)
  const elements = keep(deck.elements, element => owners.has(element.owner))
  return {
    ...deck, beats, elements, sounds: {},
    slides: first ? { [first.id]: first } : {},
    cues: keep(deck.cues, cue => beats[cue.beat] !== undefined),
    states: keep(deck.states, state => elements[state.element] !== undefined),
    layouts: keep(deck.layouts, record => record.id === layout?.id),
    masters: keep(deck.masters, record => record.id === layout?.master),
  }
}
