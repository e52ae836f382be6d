import { putRecord, beatsOf, type Change, type EditContext, type Beat, type Deck } from '../model'
import { orderAt, type Id } from '../values'

/** Puts a beat after another one of its slide (at the end where `after` is null). Its id is the first one asked for. */
export function addBeat(deck: Deck, input: { slide: Id; after: Id | null; start: Beat['start'] }, context: EditContext): Change[] {
  const beats = beatsOf(deck, input.slide)
  const index = input.after === null ? beats.length : beats.findIndex(beat => beat.id === input.after) + 1
  const record: Beat = { id: context.id(), slide: input.slide, order: orderAt(beats, index), start: input.start, hold: { kind: 'reading' } }
  return [putRecord('beats', record)]
}
