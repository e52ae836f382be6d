import { cuesOf, setRecord, type Change, type Deck } from '../../model'
import { ordersAt, type Id } from '../../values'
import type { Score } from '../score'

const round = (seconds: number) => Math.max(0, Math.round(seconds * 100) / 100)

/**
 * Lets cues belong to another beat of their slide, each starting at some seconds into it: `starts`, by cue. What follows one of them comes
 * along and still follows it, unless it is given a start of its own; what followed and stays behind keeps its time in its beat.
 */
export function moveToBeat(deck: Deck, score: Score, input: { beat: Id; starts: ReadonlyMap<Id, number> }): Change[] {
  const all = score.beats.flatMap(item => item.cues)
  const moving = all.filter(({ cue }) => input.starts.has(cue.id) && cue.beat !== input.beat)
  if (!deck.beats[input.beat] || !moving.length) return []
  const gone = new Set(moving.map(({ cue }) => cue.id))
  const orders = ordersAt(cuesOf(deck, input.beat), Infinity, moving.length)
  return [
    ...moving.map(({ cue }, index) =>
      setRecord('cues', cue.id, {
        beat: input.beat,
        order: orders[index]!,
        ...(cue.anchor.to !== 'beat' && gone.has(cue.anchor.cue)
          ? {}
          : { anchor: { to: 'beat' as const }, delay: round(input.starts.get(cue.id)!) }),
      }),
    ),
    ...all
      .filter(({ cue }) => !gone.has(cue.id) && cue.anchor.to !== 'beat' && gone.has(cue.anchor.cue))
      .map(({ cue, start }) => setRecord('cues', cue.id, { anchor: { to: 'beat' as const }, delay: round(start) })),
  ]
}
