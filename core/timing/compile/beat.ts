import { specInState } from '../../charts'
import type { HandDrawing } from '../../drawing'
import { infoOf, type Cue, type Hold } from '../../model'
import { addReading, countReading, nothingToRead, readingSeconds, type Reading } from '../../text'
import { cameraEase, cameraSeconds } from '../camera-plan'
import { spanOfClip } from '../clips'
import { easingOf } from '../easing'
import { stateIn } from '../effects'
import { partAmounts, partIndices, spanOf } from '../parts'
import { metIn, readingOf } from '../reading'
import type { PartSpan, ScoreBeat, ScoreCue, TimingProblem } from '../score'
import { startsOf } from '../starts'
import { effectOf, elementOf, isCamera, type Work } from './work'
import { listWords } from '../../values'

/** A beat that waits for reading holds at least this long, seconds, so that it is seen as a beat. */
export const leastReadingHold = 1

/** WCAG 2.2, 2.3.1: nothing flashes more than three times in a second. */
const flashesInSecond = 3

/** What a hand draws for a cue; null where it has nothing drawn. */
const drawingFor = (work: Work, cue: Cue): HandDrawing | null =>
  (cue.element !== null && effectOf(cue).byHand && work.drawings.get(cue.element)) || null

/** Seconds that one round of a cue takes: what repeats, or flashes by itself, is held to three flashes in a second. */
function roundOf(work: Work, cue: Cue): number {
  const way = work.ways?.get(cue.id)
  if (way) return cameraSeconds(way, cue)
  const lasts = effectOf(cue).lasts?.(cue.options, drawingFor(work, cue), work.passages.get(cue.id))
  if (lasts !== undefined && lasts !== null) return lasts
  const flashes = effectOf(cue).flashes?.(cue.options) ?? (cue.repeat === 1 ? 0 : 1)
  return cue.duration === 0 ? 0 : Math.max(cue.duration, flashes / flashesInSecond)
}

/** Seconds from a cue's start to the end of its last part. */
function lengthOf(work: Work, cue: Cue, span: PartSpan | null): number {
  if (isCamera(cue)) return roundOf(work, cue)
  const rounds = cue.repeat === 'forever' ? 1 : cue.repeat
  if (span && span.count === 0) return 0
  return roundOf(work, cue) * rounds + (span ? span.stagger * (span.count - 1) : 0)
}

/** How a cue takes the parts of its element one after the other; null where it moves all of it. */
function spanOfCue(work: Work, cue: Cue): PartSpan | null {
  const element = elementOf(work, cue)
  const fine = element && work.fine.get(element.id)
  if (!element || !fine || isCamera(cue) || effectOf(cue).whole) return null
  if (cue.parts) {
    const { by, order } = cue.parts
    const amounts = order ? partAmounts(work.deck, element, by, work.context) : []
    return spanOf(partIndices(work.deck, element, by, fine, work.context), cue.parts, amounts)
  }
  if (!effectOf(cue).fine) return null
  const all = partIndices(work.deck, element, fine, fine, work.context).map(() => 0)
  return spanOf(all, { stagger: 0 })
}

/** The cues of a beat with when they begin and end, in the order in which they begin. */
function scoredCues(work: Work, index: number): { cues: ScoreCue[]; circles: readonly (readonly string[])[] } {
  const cues = work.cues[index] ?? []
  const spans = new Map(cues.map(cue => [cue.id, spanOfCue(work, cue)]))
  const { times, circles } = startsOf(cues, cue => lengthOf(work, cue, spans.get(cue.id) ?? null))
  const made = cues.map((cue): ScoreCue => ({
    cue,
    effect: effectOf(cue),
    ease: isCamera(cue) ? cameraEase(cue) : easingOf(cue.easing),
    beat: index,
    round: roundOf(work, cue),
    // Every cue that was handed to it has its times.
    ...times.get(cue.id)!,
    span: spans.get(cue.id) ?? null,
  }))
  return { cues: made.sort((a, b) => a.start - b.start || (a.cue.order < b.cue.order ? -1 : 1)), circles }
}

function problemOf(work: Work, index: number, circle: readonly string[]): TimingProblem {
  const names = circle.map(id => {
    const cue = work.deck.cues[id]
    const element = cue && elementOf(work, cue)
    return element ? `“${element.name}”` : 'the camera'
  })
  return {
    cue: circle[0] ?? '',
    message:
      `In beat ${index + 1} the cues of ${listWords(names)} wait for each other in a circle. They start with the beat until one ` +
      'of them starts with it.',
  }
}

/** What a cue brings into sight to be read: words that come in, and other words that a text says from it on. */
function readingBrought(work: Work, { cue, effect, span }: ScoreCue): Reading {
  const element = elementOf(work, cue)
  if (!element) return nothingToRead
  const info = infoOf(work.deck)
  if (effect.says) return countReading(effect.says.words(cue.options), info.language)
  if (cue.what === 'data' && element.kind === 'chart' && element.chart) {
    const chart = specInState(work.deck, element.chart, stateIn(cue.options))
    return readingOf({ ...element, chart }, work.deck, work.context, null, null)
  }
  if (cue.what !== 'enter') return nothingToRead
  const { from, to } = { from: cue.parts?.range?.from ?? 0, to: cue.parts?.range?.to ?? Infinity }
  const covered = span && cue.parts ? (part: number) => part >= from && part <= to : null
  return readingOf(element, work.deck, work.context, covered, cue.parts?.by ?? null)
}

/** All that comes into sight to be read in a beat. */
function readingIn(work: Work, index: number, cues: readonly ScoreCue[]): Reading {
  const { deck, slide, context } = work
  const standing = work.elements
    .filter(element => !element.pinned && !work.entered.has(element.id) && metIn(element, deck.slides[slide], work.cues) === index)
    .map(element => readingOf(element, deck, context, null, null))
  return [...standing, ...cues.map(cue => readingBrought(work, cue))].reduce(addReading, nothingToRead)
}

/** Seconds that a clip plays from a cue on; undefined where nothing of it plays, or its length is not known. */
function playedFrom(work: Work, { cue, effect }: ScoreCue): number | undefined {
  const element = elementOf(work, cue)
  if (effect.clip === 'pause' || (element?.kind !== 'film' && element?.kind !== 'sound')) return undefined
  return spanOfClip(element, work.context)?.seconds
}

/** What a beat's hold is reckoned from: where the beat begins after the slide's opening, what happens in it, and when the voices end. */
interface Holding {
  at: number
  moves: number
  reading: number
  cues: readonly ScoreCue[]
  /** Until the voices of the slide have ended, seconds from the beat's start. */
  spoken: number
}

/** Seconds that a beat holds where no speaker decides. */
function holdOf(work: Work, hold: Hold, { at, moves, reading, cues, spoken }: Holding): number {
  if (hold.kind === 'seconds') return hold.seconds
  if (hold.kind === 'reading') return Math.max(leastReadingHold, reading)
  if (hold.kind === 'voice') {
    const voice = work.voices.find(({ sound }) => sound.id === hold.sound)
    return voice ? Math.max(0, voice.start + hold.at - (voice.sound.from ?? 0) - at - moves) : hold.seconds
  }
  const ends = cues.filter(({ cue }) => cue.what === 'media').map(cue => cue.start + (playedFrom(work, cue) ?? 0))
  return Math.max(0, Math.max(spoken, ...ends) - moves)
}

/** Seconds into a beat until what moves has moved: what goes on until the slide ends counts with its first round, clips not at all. */
export const movesUntil = (cues: readonly ScoreCue[]): number =>
  cues.reduce((most, { cue, end }) => (cue.what === 'media' ? most : Math.max(most, end)), 0)

/** One beat of a slide, which begins `at` seconds after the slide's opening, with what cannot be as it is written. */
export function beatOf(work: Work, index: number, at: number): { beat: ScoreBeat; problems: TimingProblem[] } {
  const { deck } = work
  const { cues, circles } = scoredCues(work, index)
  const record = work.beats[index]!
  const moves = movesUntil(cues)
  const read = readingIn(work, index, cues)
  const { language, audience } = infoOf(deck)
  const reading = { ...read, seconds: readingSeconds(read, language, audience) }
  const isLast = index === work.beats.length - 1
  const spoken = isLast ? Math.max(0, ...work.voices.map(voice => voice.start + voice.seconds - at)) : 0
  const hold = holdOf(work, record.hold, { at, moves, reading: reading.seconds, cues, spoken })
  const start = index === 0 ? 'open' : record.start
  return {
    beat: { beat: record, index, start, cues, moves, hold, length: moves + hold, at, reading },
    problems: circles.map(circle => problemOf(work, index, circle)),
  }
}
