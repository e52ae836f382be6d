import { applyChanges, beatsOf, cuesOf, dropRecord, elementsOf, setRecord, type Change, type Deck } from '../../../model'
import { clip, type Clipping } from '../../../edits'
import type { Id } from '../../../values'

/** Changes on a deck, and the deck as it is after them. */
export interface Working {
  readonly changes: Change[]
  readonly now: Deck
  do(more: readonly Change[]): void
}

/** Collects changes on a deck that follows them. */
export function working(deck: Deck): Working {
  const changes: Change[] = []
  let now = deck
  return {
    changes,
    get now() {
      return now
    },
    do(more) {
      changes.push(...more)
      now = applyChanges(now, more)
    },
  }
}

/** A slide's own elements with all that belongs to them, as a clipping; null where it has none. */
export const wholeClip = (deck: Deck, slide: Id): Clipping | null =>
  clip(
    deck,
    elementsOf(deck, slide).map(element => element.id),
  )
/** The same clipping, its cues in other beats. */
export const inBeats = (clipping: Clipping, beatOf: (index: number) => number): Clipping => ({
  ...clipping,
  cues: clipping.cues.flatMap(({ beat, cue }) => (beatOf(beat) < 0 ? [] : [{ beat: beatOf(beat), cue }])),
})

/** Words that lead to slides which become others lead to those. */
export function relinked(deck: Deck, to: ReadonlyMap<Id, Id>): Change[] {
  return Object.values(deck.elements).flatMap((element): Change[] => {
    if (element.kind !== 'text') return []
    const before = JSON.stringify(element.text)
    const after = before.replace(/"href":"#([^"]+)"/g, (whole, id: Id) => (to.has(id) ? `"href":"#${to.get(id)}"` : whole))
    return after === before ? [] : [setRecord('elements', element.id, { text: JSON.parse(after) as typeof element.text })]
  })
}

/** Everything of some slides, taken away; what was said of their sounds stays as it is. */
export const dropSlides = (deck: Deck, slides: readonly Id[]): Change[] =>
  slides.flatMap((slide): Change[] => [
    ...beatsOf(deck, slide).flatMap((beat): Change[] => [
      ...cuesOf(deck, beat.id).map((cue): Change => dropRecord('cues', cue.id)),
      dropRecord('beats', beat.id),
    ]),
    ...elementsOf(deck, slide).flatMap((element): Change[] => [
      ...Object.values(deck.states)
        .filter(state => state.element === element.id)
        .map((state): Change => dropRecord('states', state.id)),
      dropRecord('elements', element.id),
    ]),
    dropRecord('slides', slide),
  ])
