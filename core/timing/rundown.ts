import { slidesOf, type Deck, type Purpose } from '../model'
import type { Id } from '../values'
import { clipAfter, spanOfClip, type ClipSpan } from './clips'
import { cueStart, playsOf } from './plays'
import { compileSlide } from './compile'
import { frameAt, type ElementFrame, type Frame, type SlideMoment } from './frame'
import { hiddenPart, restingPart } from './part-frame'
import type { Score } from './score'
import type { TimingContext } from './context'

export interface RundownBeat {
  index: number
  /** Seconds from the deck's start. */
  start: number
  moves: number
  hold: number
  length: number
  /** Whether it stands until the speaker goes on; `length` is then the plan. */
  openEnded: boolean
}

export interface RundownSlide {
  slide: Id
  index: number
  score: Score
  /** Seconds from the deck's start to the beginning of its transition. */
  start: number
  /** Seconds that the slide before takes to become this one. */
  transition: number
  beats: readonly RundownBeat[]
  /** Clips of earlier slides that may show on it: those that still play. */
  running: readonly RunningClip[]
  /** Transition and beats. */
  length: number
}

/** A clip of an earlier slide that is still playing as a slide begins. */
export interface RunningClip {
  element: Id
  span: ClipSpan
  loop: boolean
  /** Seconds that it had played as the slide's transition began. */
  played: number
}

/** The slides of a deck along time. */
export interface Rundown {
  purpose: Purpose
  slides: readonly RundownSlide[]
  length: number
  /** Whether a speaker decides how long it really takes. */
  openEnded: boolean
}

/** A moment of a deck. */
export interface Moment extends SlideMoment {
  slide: Id
}

/**
 * The rundown of a deck: as a talk, where a beat before an advance stands until the speaker goes on and counts with its
 * plan; as a film, which starts without a transition; as a loop, whose first slide follows its last.
 */
export function rundown(deck: Deck, purpose: Purpose, context: TimingContext): Rundown {
  const slides: RundownSlide[] = []
  let start = 0
  let running: RunningClip[] = []
  const shown = slidesOf(deck).filter(slide => !slide.skipped)
  shown.forEach((slide, index) => {
    const score = compileSlide(deck, slide.id, context)
    const transition = index > 0 || (purpose === 'loop' && shown.length > 1) ? (slide.transition?.duration ?? 0) : 0
    let at = start + transition
    const beats = score.beats.map((beat): RundownBeat => {
      const next = score.beats[beat.index + 1]
      const openEnded = purpose === 'talk' && next?.start !== 'self'
      const made = { index: beat.index, start: at, moves: beat.moves, hold: beat.hold, length: beat.length, openEnded }
      at += beat.length
      return made
    })
    const arriving = running.filter(clip => score.elements.some(element => element.id === clip.element && element.owner !== slide.id))
    slides.push({ slide: slide.id, index, score, start, transition, beats, running: arriving, length: at - start })
    running = [...arriving.map(clip => ({ ...clip, played: clip.played + at - start })), ...leaving(score, context)].filter(
      clip => clip.loop || clip.played < clip.span.seconds,
    )
    start = at
  })
  return { purpose, slides, length: start, openEnded: purpose === 'talk' && slides.length > 0 }
}

/** The clips of a slide that run on as it ends, with how much of them has played. */
function leaving(score: Score, context: TimingContext): RunningClip[] {
  return [...score.tracks.values()].flatMap(({ element, cues }): RunningClip[] => {
    if ((element.kind !== 'film' && element.kind !== 'sound') || !element.over || element.owner !== score.slide) return []
    const span = spanOfClip(element, context)
    const last = playsOf(cues, cue => cueStart(score, cue)).at(-1)
    return span && last?.running
      ? [{ element: element.id, span, loop: element.loop === true, played: last.played + score.length - last.start }]
      : []
  })
}

/** What differs from rest on a slide of a rundown at a moment, with the clips of earlier slides that run on over it. */
export function frameIn(slide: RundownSlide, moment: SlideMoment): Frame {
  const frame = frameAt(slide.score, moment)
  const guests = slide.score.elements.filter(
    element => (element.kind === 'film' || element.kind === 'sound') && element.owner !== slide.slide && element.over,
  )
  if (!guests.length) return frame
  let since = slide.transition + moment.seconds
  for (let beat = 0; beat < moment.beat; beat++) since += moment.stood?.[beat] ?? slide.beats[beat]!.length
  const elements = new Map<Id, ElementFrame>(frame.elements)
  for (const guest of guests) {
    const clip = slide.running.find(one => one.element === guest.id)
    const media = clip ? clipAfter(clip.span, clip.played + since, clip.loop) : null
    elements.set(guest.id, {
      whole: media?.running ? restingPart() : hiddenPart(),
      parts: null,
      partsBy: null,
      chart: null,
      media: media?.running ? media : null,
    })
  }
  return { ...frame, elements }
}

/** The moment at some seconds from the start: held within the deck, or round and round in a loop. Null of an empty deck. */
export function momentAt(plan: Rundown, seconds: number): Moment | null {
  if (!plan.slides.length) return null
  const round = plan.purpose === 'loop' && plan.length > 0
  const time = round ? ((seconds % plan.length) + plan.length) % plan.length : Math.min(Math.max(0, seconds), plan.length)
  const slide = plan.slides[lastWhere(plan.slides, time)]!
  const opening = slide.start + slide.transition
  if (time < opening || !slide.beats.length) return { slide: slide.slide, beat: 0, seconds: time - opening }
  const beat = slide.beats[lastWhere(slide.beats, time)]!
  return { slide: slide.slide, beat: beat.index, seconds: time - beat.start }
}

/** The index of the last of some stretches that has started, by bisection. */
function lastWhere(stretches: readonly { start: number }[], time: number): number {
  let low = 0
  let high = stretches.length - 1
  while (low < high) {
    const middle = Math.ceil((low + high) / 2)
    if (stretches[middle]!.start <= time) low = middle
    else high = middle - 1
  }
  return low
}

/** Seconds from the start to a moment; a moment beyond its beat's planned end counts as that end. Null where its slide is not shown. */
export function secondsAt(plan: Rundown, moment: Moment): number | null {
  const slide = plan.slides.find(candidate => candidate.slide === moment.slide)
  if (!slide) return null
  const beat = slide.beats[Math.min(moment.beat, slide.beats.length - 1)]
  if (!beat || (moment.beat === 0 && moment.seconds < 0))
    return slide.start + slide.transition + Math.max(-slide.transition, Math.min(0, moment.seconds))
  return beat.start + Math.min(Math.max(0, moment.seconds), beat.length)
}

/** Progress of the transition that a moment stands in, 0 to 1; 1 when it is over. */
export const transitionProgress = (slide: RundownSlide, moment: SlideMoment) =>
  moment.beat > 0 || moment.seconds >= 0 || slide.transition <= 0 ? 1 : Math.max(0, 1 + moment.seconds / slide.transition)
