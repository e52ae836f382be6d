import { dropRecord, setRecord, beatsOf, cuesOf, type Change, type Deck } from '../model'
import { ordersAt, type Id } from '../values'

/** Takes a beat away; its cues go to the beat before (or after, for the first). A slide keeps at least one beat. */
export function removeBeat(deck: Deck, input: { beat: Id }): Change[] {
  const beat = deck.beats[input.beat]
  if (!beat) return []
  const beats = beatsOf(deck, beat.slide)
  if (beats.length < 2) return []
  const index = beats.indexOf(beat)
  const heir = beats[index === 0 ? 1 : index - 1]!
  const cues = cuesOf(deck, beat.id)
  const orders = ordersAt(cuesOf(deck, heir.id), index === 0 ? 0 : Infinity, cues.length)
  return [...cues.map((cue, i): Change => setRecord('cues', cue.id, { beat: heir.id, order: orders[i] })), dropRecord('beats', beat.id)]
}
