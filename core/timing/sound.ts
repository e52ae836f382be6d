import { slidesOf, soundsOf, type Deck, type Sound } from '../model'
import type { Id } from '../values'
import { roundOf, spanOfClip, type ClipSpan } from './clips'
import { cueStart, playsOf } from './plays'
import type { Rundown, RundownSlide } from './rundown'
import type { TimingContext } from './context'

/** One file that is heard over a stretch of a deck's time. */
export interface Sounding {
  /** The same at every computation: the element and its cue, or the sound. */
  id: string
  media: string
  /** A film is heard with its picture, a clip is a sound that a cue plays. */
  kind: 'film' | 'clip' | Sound['use']
  /** The element that shows it; null of the deck's sounds. */
  element: Id | null
  /** The slide that it begins on. */
  slide: Id
  /** Seconds from the deck's start. */
  start: number
  end: number
  span: ClipSpan
  loop: boolean
  /** Seconds of it that had played before `start`. */
  played: number
  /** 0 to 1. */
  volume: number
  fadeIn: number
  fadeOut: number
  /** What stays of its volume under a voice, 0 to 1. */
  duck: number
}

/** Everything that is heard in a deck, along its planned time. */
export interface SoundPlan {
  length: number
  soundings: readonly Sounding[]
  /** Stretches in which somebody speaks, seconds, in order, apart from each other. */
  voices: readonly { start: number; end: number }[]
}

export const usualDuck = 0.3
/** Seconds before a voice in which music steps back, and after it in which it returns. */
const stepsBack = 0.4
const returns = 0.8

const isVoice = ({ kind, volume }: Sounding) => volume > 0 && (kind === 'narration' || kind === 'film')

function merged(stretches: readonly { start: number; end: number }[]): { start: number; end: number }[] {
  const made: { start: number; end: number }[] = []
  for (const { start, end } of [...stretches].sort((a, b) => a.start - b.start)) {
    const last = made.at(-1)
    if (last && start <= last.end) last.end = Math.max(last.end, end)
    else made.push({ start, end })
  }
  return made
}

/** What the films and sounds on a slide let be heard. */
function ofSlide(plan: Rundown, slide: RundownSlide, context: TimingContext): Sounding[] {
  const opening = slide.start + slide.transition
  const ends = slide.start + slide.length
  return [...slide.score.tracks.values()].flatMap(({ element, cues }): Sounding[] => {
    if ((element.kind !== 'film' && element.kind !== 'sound') || element.media === undefined) return []
    const span = spanOfClip(element, context)
    if (!span) return []
    const volume = element.volume ?? 1
    const plays = playsOf(cues, cue => cueStart(slide.score, cue))
    return plays.flatMap((play, index): Sounding[] => {
      if (!play.running) return []
      const start = opening + play.start
      const over = index === plays.length - 1 ? (element.over ?? 0) : 0
      const last = over ? Math.max(...plan.slides.slice(slide.index, slide.index + over + 1).map(one => one.start + one.length)) : ends
      const end = Math.min(opening + play.until, last, element.loop ? Infinity : start + span.seconds - play.played)
      if (end <= start) return []
      // What blends goes round sooner; its sound does so without a blend.
      const heard = span.blend ? { ...span, seconds: roundOf(span), until: span.from + roundOf(span) * span.speed } : span
      return [
        {
          id: `${element.id}:${play.cue.cue.id}`,
          media: element.media!,
          kind: element.kind === 'film' ? 'film' : 'clip',
          element: element.id,
          slide: slide.slide,
          start,
          end,
          span: heard,
          loop: element.loop === true,
          played: play.played,
          volume,
          fadeIn: 0,
          fadeOut: 0,
          duck: 1,
        },
      ]
    })
  })
}

/** What one of the deck's sounds lets be heard: a bed from where its first slide begins to come, all else from where it has opened. */
function ofSound(deck: Deck, plan: Rundown, places: ReadonlyMap<Id, number>, sound: Sound, context: TimingContext): Sounding[] {
  const { first, last: end } = slidesUnder(deck, sound)
  const under = plan.slides.filter(slide => places.get(slide.slide)! >= first && places.get(slide.slide)! <= end)
  const [from, last] = [under[0], under.at(-1)]
  const span = spanOfClip(sound, context)
  if (!from || !last || !span || first < 0) return []
  const start = from.start + (sound.use === 'bed' ? 0 : from.transition) + sound.delay
  const until = Math.min(last.start + last.length, sound.loop ? Infinity : start + span.seconds)
  if (until <= start) return []
  return [
    {
      id: sound.id,
      media: sound.media,
      kind: sound.use,
      element: null,
      slide: from.slide,
      start,
      end: until,
      span,
      loop: sound.loop,
      played: 0,
      volume: sound.volume,
      fadeIn: sound.fadeIn,
      fadeOut: sound.fadeOut,
      duck: sound.use === 'bed' ? (sound.duck ?? usualDuck) : 1,
    },
  ]
}

/** Everything that is heard in a deck. What refers to files of unknown length waits until they are known. */
export function soundPlan(deck: Deck, plan: Rundown, context: TimingContext): SoundPlan {
  const places = new Map(slidesOf(deck).map((slide, index) => [slide.id, index]))
  const soundings = [
    ...plan.slides.flatMap(slide => ofSlide(plan, slide, context)),
    ...soundsOf(deck).flatMap(sound => ofSound(deck, plan, places, sound, context)),
  ].sort((a, b) => a.start - b.start || (a.id < b.id ? -1 : 1))
  return { length: plan.length, soundings, voices: merged(soundings.filter(isVoice)) }
}

/** How far music has stepped back at a second, 0 (not) to 1, for voices that are in order. */
function underVoice(voices: SoundPlan['voices'], seconds: number): number {
  let most = 0
  for (const { start, end } of voices) {
    if (start - stepsBack > seconds) break
    if (seconds >= end + returns) continue
    most = Math.max(most, Math.min(1, (seconds - start + stepsBack) / stepsBack, (end + returns - seconds) / returns))
  }
  return most
}

/** How loud a sounding is at a second of the deck, 0 to 1: its volume, its fades, and how far it steps back under a voice. */
export function gainAt(plan: SoundPlan, sounding: Sounding, seconds: number): number {
  const { start, end, volume, fadeIn, fadeOut, duck } = sounding
  if (seconds < start || seconds >= end) return 0
  const fade = Math.min(1, fadeIn > 0 ? (seconds - start) / fadeIn : 1, fadeOut > 0 ? (end - seconds) / fadeOut : 1)
  const under = duck < 1 ? underVoice(plan.voices, seconds) : 0
  return volume * fade * (1 - (1 - duck) * under)
}

/** How much of a sounding has played at a second, in seconds of playing. */
export const playedAt = (sounding: Sounding, seconds: number) => sounding.played + seconds - sounding.start

/** Something that is heard at a moment: how much of it has played, seconds, and how loud it is, 0 to 1. */
export interface Heard {
  sounding: Sounding
  played: number
  gain: number
}

/** What is heard at a second of the deck. */
export const heardAt = (plan: SoundPlan, seconds: number): Heard[] =>
  plan.soundings
    .filter(sounding => seconds >= sounding.start && seconds < sounding.end)
    .map(sounding => ({ sounding, played: playedAt(sounding, seconds), gain: gainAt(plan, sounding, seconds) }))

/** The numbers, from 0, of the slides that a sound lies over. */
export function slidesUnder(deck: Deck, sound: Pick<Sound, 'fromSlide' | 'untilSlide'>): { first: number; last: number } {
  const order = slidesOf(deck)
  const first = order.findIndex(slide => slide.id === sound.fromSlide)
  return {
    first,
    last: Math.max(
      first,
      order.findIndex(slide => slide.id === sound.untilSlide),
    ),
  }
}
