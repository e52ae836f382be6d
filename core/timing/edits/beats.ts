import { dropRecord, putRecord, setRecord, beatsOf, cuesOf, type Beat, type Change, type Deck, type EditContext } from '../../model'
import { orderAt, ordersAt, type Id } from '../../values'
import { movesUntil } from '../compile'
import type { Score, ScoreBeat } from '../score'

const round = (seconds: number) => Math.round(seconds * 1000) / 1000

/** The hold that lets a beat hold for some seconds: one that waits for a moment of a voice waits for another moment of it. */
export function holdFor({ beat, hold }: Pick<ScoreBeat, 'beat' | 'hold'>, seconds: number): Beat['hold'] {
  const wanted = round(Math.max(0, seconds))
  return beat.hold.kind === 'voice'
    ? { ...beat.hold, at: round(Math.max(0, beat.hold.at + wanted - hold)), seconds: wanted }
    : { kind: 'seconds', seconds: wanted }
}

/**
 * Parts a beat at some seconds into it: what starts there or later goes into a new beat that follows, at the same times as
 * before where it goes on by itself; together they last as long as it did. The new beat's id is the first one asked for. Nothing where the
 * beat is not of the score.
 */
export function splitBeat(deck: Deck, score: Score, input: { beat: Id; at: number; start: Beat['start'] }, context: EditContext): Change[] {
  const entry = score.beats.find(item => item.beat.id === input.beat)
  if (!entry) return []
  const beats = beatsOf(deck, entry.beat.slide)
  const [order] = ordersAt(beats, entry.index + 1, 1)
  const id = context.id()
  const moving = entry.cues.filter(item => item.start >= input.at - 1e-6)
  const gone = new Set(moving.map(item => item.cue.id))
  const moves = movesUntil(entry.cues.filter(item => !gone.has(item.cue.id)))
  /** When the second begins: what moves across the cut comes to its end first. */
  const begins = Math.max(input.at, moves)
  const movesLater = Math.max(0, movesUntil(moving) - begins)
  // The two last as long together as the one did, whatever it held for; a voice, and a clip that comes in the second, are still waited for.
  const { kind } = entry.beat.hold
  const waits = kind === 'voice' || (kind === 'media' && moving.some(item => item.cue.what === 'media'))
  const hold: Beat['hold'] = waits ? entry.beat.hold : { kind: 'seconds', seconds: round(Math.max(0, entry.length - begins - movesLater)) }
  return [
    putRecord('beats', { id, slide: entry.beat.slide, order: order!, start: input.start, hold }),
    setRecord('beats', input.beat, { hold: { kind: 'seconds' as const, seconds: round(Math.max(0, input.at - moves)) } }),
    ...moving.map(({ cue, start }): Change =>
      setRecord('cues', cue.id, {
        beat: id,
        ...(cue.anchor.to !== 'beat' && gone.has(cue.anchor.cue)
          ? {}
          : { anchor: { to: 'beat' as const }, delay: Math.max(0, round(start - begins)) }),
      }),
    ),
  ]
}

/**
 * Joins a beat with the one that follows: its cues come when they would have, where that one went on by itself; else right after what
 * moves.
 */
export function mergeBeats(deck: Deck, score: Score, input: { beat: Id }): Change[] {
  const index = score.beats.findIndex(item => item.beat.id === input.beat)
  const [entry, next] = [score.beats[index], score.beats[index + 1]]
  if (!entry || !next) return []
  const wait = next.start === 'self' ? entry.length : entry.moves
  const joining = cuesOf(deck, next.beat.id)
  const orders = ordersAt(cuesOf(deck, entry.beat.id), Infinity, joining.length)
  return [
    ...joining.map((cue, place): Change =>
      setRecord('cues', cue.id, {
        beat: input.beat,
        order: orders[place]!,
        ...(cue.anchor.to === 'beat' ? { delay: round(cue.delay + wait) } : {}),
      }),
    ),
    setRecord('beats', input.beat, { hold: next.beat.hold }),
    dropRecord('beats', next.beat.id),
  ]
}

/** Puts a beat one place earlier or later among its slide's. */
export function moveBeat(deck: Deck, input: { beat: Id; by: 1 | -1 }): Change[] {
  const beat = deck.beats[input.beat]
  if (!beat) return []
  const beats = beatsOf(deck, beat.slide)
  const to = beats.indexOf(beat) + input.by
  if (to < 0 || to >= beats.length) return []
  return [
    setRecord('beats', beat.id, {
      order: orderAt(
        beats.filter(other => other !== beat),
        to,
      ),
    }),
  ]
}

/** Lets all beats of slides but their first start on advance, or by themselves. */
export const startBeats = (deck: Deck, input: { slides: readonly Id[]; start: Beat['start'] }): Change[] =>
  input.slides
    .flatMap(slide => beatsOf(deck, slide).slice(1))
    .filter(beat => beat.start !== input.start)
    .map(beat => setRecord('beats', beat.id, { start: input.start }))
