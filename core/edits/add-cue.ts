import { putRecord, cuesOf, type Change, type EditContext, type Cue, type Deck } from '../model'
import { orderLast } from '../values'

/** Puts a cue at the end of its beat. Its id is the first one asked for. */
export function addCue(deck: Deck, input: { cue: Omit<Cue, 'id' | 'order'> }, context: EditContext): Change[] {
  if (!deck.beats[input.cue.beat]) return []
  return [putRecord('cues', { ...input.cue, id: context.id(), order: orderLast(cuesOf(deck, input.cue.beat)) })]
}
