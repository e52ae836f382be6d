import { setRecord, beatsOf, cuesOf, type Change, type Cue, type Deck } from '../../model'
import type { Id } from '../../values'
import { effectNamed } from '../effects'
import type { ScoreBeat } from '../score'

/** What is stretched: some cues, or all that happens in some beats, or on some slides with how they come. */
export type StretchInput = { cues: readonly Id[] } | { beats: readonly Id[] } | { slides: readonly Id[] }

/** Times are kept to a hundredth of a second: what is less nobody sees. */
const round = (seconds: number) => Math.round(seconds * 100) / 100
const longest = 3600

function ofCue(cue: Cue, factor: number, withDelay: boolean): Change {
  const times = (seconds: number) => Math.min(longest, round(seconds * factor))
  const { slower } = effectNamed(cue.effect, cue.what)
  return setRecord('cues', cue.id, {
    ...(slower ? { options: slower(cue.options, factor) } : {}),
    duration: cue.duration > 0 ? Math.max(0.01, times(cue.duration)) : 0,
    ...(withDelay ? { delay: times(cue.delay) } : {}),
    ...(cue.parts ? { parts: { ...cue.parts, stagger: times(cue.parts.stagger) } } : {}),
  })
}

/**
 * Stretches or squeezes in proportion: lengths, waits and turns of cues, holds that are given in seconds, and how slides
 * come. Holds for reading and for clips stay: they are as long as they have to be. `factor` is above 0; 0.5 is half as long.
 */
export function stretch(deck: Deck, input: StretchInput, factor: number): Change[] {
  if (!(factor > 0) || factor === 1) return []
  if ('cues' in input) return input.cues.flatMap(id => (deck.cues[id] ? [ofCue(deck.cues[id], factor, false)] : []))
  const slides = 'slides' in input ? input.slides : []
  const beats =
    'beats' in input ? input.beats.flatMap(id => (deck.beats[id] ? [deck.beats[id]] : [])) : slides.flatMap(slide => beatsOf(deck, slide))
  return [
    ...beats.flatMap(beat => [
      ...cuesOf(deck, beat.id).map(cue => ofCue(cue, factor, true)),
      ...(beat.hold.kind === 'seconds'
        ? [
            setRecord('beats', beat.id, {
              hold: { kind: 'seconds' as const, seconds: Math.min(longest, round(beat.hold.seconds * factor)) },
            }),
          ]
        : []),
    ]),
    ...slides.flatMap((id): Change[] => {
      const transition = deck.slides[id]?.transition
      return transition
        ? [setRecord('slides', id, { transition: { ...transition, duration: Math.min(20, round(transition.duration * factor)) } })]
        : []
    }),
  ]
}

/** Seconds of some beats that no stretching changes: what they hold for reading or for a clip. */
export const fixedIn = (beats: readonly ScoreBeat[]) =>
  beats.reduce((sum, { beat, hold }) => sum + (beat.hold.kind === 'seconds' ? 0 : hold), 0)

/**
 * The factor that lets a stretch of time last as long as is wanted, seconds: `length` is how long it lasts now, `fixed` how
 * much of that no stretching changes. Null where that cannot be: what is fixed already lasts as long, or nothing else does.
 */
export function factorFor(wanted: number, length: number, fixed: number): number | null {
  const [left, now] = [wanted - fixed, length - fixed]
  return left > 0.005 && now > 0.005 ? left / now : null
}

/**
 * The changes that let beats last `wanted` seconds, who last `length` now with how their slides come: in proportion, as long as what is
 * held for reading leaves room; else those holds become seconds that share what is left. Null where that cannot be: clips are as long as
 * they are.
 */
export function lastFor(
  deck: Deck,
  input: StretchInput,
  { beats, length, wanted }: { beats: readonly ScoreBeat[]; length: number; wanted: number },
): Change[] | null {
  const factor = factorFor(wanted, length, fixedIn(beats))
  if (factor) return stretch(deck, input, factor)
  // Where nothing is read, beats that hold for no time at all get what is wanted.
  const reading = beats.filter(({ beat }) => beat.hold.kind === 'reading')
  const giving = reading.length ? reading : beats.filter(({ beat }) => beat.hold.kind === 'seconds')
  const held = giving.reduce((sum, { hold }) => sum + hold, 0)
  const rest = length - held
  const left = Math.max(0, wanted - rest)
  const shorter = wanted < rest - 0.005 ? factorFor(wanted, rest, fixedIn(beats) - (reading.length ? held : 0)) : 1
  if (!giving.length || !shorter) return null
  return [
    ...stretch(deck, input, shorter),
    ...giving.map(({ beat, hold }) =>
      setRecord('beats', beat.id, {
        hold: { kind: 'seconds' as const, seconds: Math.min(longest, round(held ? (left * hold) / held : left / giving.length)) },
      }),
    ),
  ]
}

/** The change that gives one part of a cue a length, seconds, whatever it followed from before. */
export function setLength(deck: Deck, id: Id, seconds: number): Change[] {
  const cue = deck.cues[id]
  if (!cue) return []
  const { fixed } = effectNamed(cue.effect, cue.what)
  return [
    setRecord('cues', id, { duration: Math.max(0, Math.min(longest, round(seconds))), ...(fixed ? { options: fixed(cue.options) } : {}) }),
  ]
}
