import { putRecord, setRecord, beatsOf, type Beat, type Change, type Deck, type EditContext, type Sound } from '../../model'
import { ordersAt, type Id } from '../../values'
import type { Score } from '../score'
import { stretch } from './stretch'

const round = (seconds: number) => Math.round(seconds * 100) / 100
/** Two taps nearer than this, seconds, are one. */
const shortest = 0.15

/** The moments at which beats are to begin, in order, with what cannot be a beat left out. */
export const tidyTimes = (times: readonly number[]): number[] =>
  [...times].sort((a, b) => a - b).filter((time, index, all) => time >= shortest && (index === 0 || time - all[index - 1]! >= shortest))

/**
 * Lets the beats of a slide after its first begin at given seconds after it opened, by themselves: each beat before holds
 * until then, and what moves for longer than there is time for is squeezed. Times beyond the last beat make new beats; the
 * beats beyond the last time stay as they are. `until` is how long the slide lasts from its opening, where that is known. With
 * `voice` the beats hold until those moments of it: they stay with it, whatever else comes to move.
 */
export function setBeatTimes(
  deck: Deck,
  score: Score,
  input: { slide: Id; times: readonly number[]; until?: number; voice?: Sound },
  context: EditContext,
): Change[] {
  const times = tidyTimes(input.times)
  const beats = beatsOf(deck, input.slide)
  if (!beats.length || !times.length) return []
  const changes: Change[] = []
  const starts = [0, ...times]
  const more = Math.max(0, starts.length - beats.length)
  const orders = ordersAt(beats, Infinity, more)
  const endOf = (index: number) =>
    starts[index + 1] ?? (input.until !== undefined && input.until > starts[index]! ? input.until : undefined)
  const { voice } = input
  const holding = (end: number, seconds: number): Beat['hold'] =>
    voice
      ? { kind: 'voice', sound: voice.id, at: round(Math.max(0, end - voice.delay + (voice.from ?? 0))), seconds: round(seconds) }
      : { kind: 'seconds', seconds: round(seconds) }
  for (const [index, start] of starts.entries()) {
    const until = endOf(index)
    const beat = beats[index]
    if (!beat) {
      const record: Beat = {
        id: context.id(),
        slide: input.slide,
        order: orders[index - beats.length]!,
        start: 'self',
        hold: until === undefined ? { kind: 'reading' } : holding(until, until - start),
      }
      changes.push(putRecord('beats', record))
      continue
    }
    const fields: Partial<Beat> = index > 0 && beat.start !== 'self' ? { start: 'self' } : {}
    if (until !== undefined && (index < starts.length - 1 || index === beats.length - 1)) {
      const moves = score.beats[index]?.moves ?? 0
      const length = until - start
      if (moves > length) changes.push(...stretch(deck, { beats: [beat.id] }, length / moves).filter(change => change.table === 'cues'))
      fields.hold = holding(until, Math.max(0, length - moves))
    }
    if (Object.keys(fields).length) changes.push(setRecord('beats', beat.id, fields))
  }
  return changes
}
