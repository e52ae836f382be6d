import { infoOf, beatsOf, cuesOf, extentOf, soundsFrom, type Cue, type Deck, type Hold, type Parts, type TextElement } from '../model'
import { shownElements, themeUnder, type ShownElement } from '../resolved'
import type { Id } from '../values'
import { handDrawingOf, type HandDrawing } from '../drawing'
import { addReading, countReading, layoutOfElement, linePlaces, nothingToRead, readingSeconds } from '../text'
import { cameraEase, cameraSeconds, planCamera, waysOf } from './camera-plan'
import { spanOfClip } from './clips'
import { fitOfTrack } from './plays'
import type { ClipFit, PartSpan, Score, ScoreBeat, ScoreCue, TimingProblem, Track } from './score'
import { easingOf } from './easing'
import { changeText, effectNamed, makeGesture, type Place } from './effects'
import { handsOf } from './figure-moment'
import { finest, partIndices, spanOf } from './parts'
import { metIn, readingOf } from './reading'
import { saidBy, wordsSaid } from './said'
import type { TimingContext } from './context'
import { startsOf } from './starts'

/** A beat that waits for reading holds at least this long, seconds, so that it is seen as a beat. */
export const leastReadingHold = 1

/** Whether a cue has its element drawn. */
const byHand = (cue: Cue) => effectNamed(cue.effect, cue.what).byHand === true
const isCamera = (cue: Cue) => cue.what === 'camera'
const isPresence = (cue: Cue) => cue.what === 'enter' || cue.what === 'exit'

/** WCAG 2.2, 2.3.1: nothing flashes more than three times in a second. */
const flashesInSecond = 3

/** Seconds that one round of a cue takes: what repeats, or flashes by itself, is held to three flashes in a second. */
function roundOf(cue: Cue, drawing: HandDrawing | null): number {
  const lasts = effectNamed(cue.effect, cue.what).lasts?.(cue.options, drawing)
  if (lasts !== undefined && lasts !== null) return lasts
  const flashes = effectNamed(cue.effect, cue.what).flashes?.(cue.options) ?? (cue.repeat === 1 ? 0 : 1)
  return cue.duration === 0 ? 0 : Math.max(cue.duration, flashes / flashesInSecond)
}

/** Seconds from a cue's start to the end of its last part. */
function lengthOf(cue: Cue, span: PartSpan | null, drawing: HandDrawing | null): number {
  const rounds = cue.repeat === 'forever' ? 1 : cue.repeat
  if (span && span.count === 0) return 0
  return roundOf(cue, drawing) * rounds + (span ? span.stagger * (span.count - 1) : 0)
}

/** The finest parts that the cues of an element tell apart; typing tells letters apart. */
function finestOf(element: ShownElement, cues: readonly Cue[]): Parts['by'] | null {
  const ways = cues.flatMap(cue =>
    cue.effect === 'type' && element.kind === 'text'
      ? ['letter' as const]
      : cue.parts && !effectNamed(cue.effect, cue.what).whole
        ? [cue.parts.by]
        : [],
  )
  if (!ways.length) return null
  return element.kind === 'text'
    ? finest(ways)
    : element.kind === 'chart'
      ? 'mark'
      : element.kind === 'diagram'
        ? 'item'
        : element.kind === 'table'
          ? 'mark'
          : null
}

/** The lines of a text where it has words, else the whole of the box. */
function linesOf(deck: Deck, element: ShownElement, context: TimingContext): readonly Place[] {
  const whole = [{ x: 0, y: 0, width: element.box.width, height: element.box.height }]
  if (element.kind !== 'text') return whole
  const lines = linePlaces(element, layoutOfElement(deck, element, context.measurer))
  return lines.length ? lines : whole
}

function holdOf(
  hold: Hold,
  moves: number,
  reading: number,
  cues: readonly ScoreCue[],
  mediaOf: (cue: ScoreCue) => number | undefined,
  spoken: number,
): number {
  if (hold.kind === 'seconds') return hold.seconds
  if (hold.kind === 'reading') return Math.max(leastReadingHold, reading)
  const ends = cues.filter(cue => cue.cue.what === 'media').map(cue => cue.start + (mediaOf(cue) ?? 0))
  return Math.max(0, Math.max(spoken, ...ends) - moves)
}

function compile(deck: Deck, slideId: Id, elements: readonly ShownElement[], context: TimingContext): Score {
  const info = infoOf(deck)
  const problems: TimingProblem[] = []
  const byId = new Map(elements.map(element => [element.id, element]))
  const beats = beatsOf(deck, slideId)
  const isBoard = !!deck.slides[slideId]?.board
  const cues = beats.map(beat =>
    cuesOf(deck, beat.id).filter(cue => (cue.element === null ? isBoard && cue.what === 'camera' : byId.has(cue.element))),
  )
  const ways = isBoard ? waysOf(deck, slideId, cues.flat().filter(isCamera)) : null
  const cuesByElement = new Map<Id, Cue[]>()
  for (const cue of cues.flat()) {
    if (isCamera(cue)) continue
    const list = cuesByElement.get(cue.element!)
    if (list) list.push(cue)
    else cuesByElement.set(cue.element!, [cue])
  }
  const fineOf = new Map([...cuesByElement].map(([id, list]) => [id, finestOf(byId.get(id)!, list)]))
  const spanOfCue = (cue: Cue): PartSpan | null => {
    if (isCamera(cue)) return null
    const element = byId.get(cue.element!)!
    const fine = fineOf.get(element.id)
    if (!fine || effectNamed(cue.effect, cue.what).whole) return null
    if (cue.parts) return spanOf(partIndices(deck, element, cue.parts.by, fine, context), cue.parts)
    if (cue.effect !== 'type') return null
    return spanOf(
      partIndices(deck, element, fine, fine, context).map(() => 0),
      { stagger: 0 },
    )
  }
  const drawings = new Map<Id, HandDrawing | null>()
  for (const [id, list] of cuesByElement)
    if (context.ink && list.some(byHand)) drawings.set(id, handDrawingOf(deck, byId.get(id)!, { ...context, ink: context.ink }))
  const drawingFor = (cue: Cue) => (byHand(cue) ? (drawings.get(cue.element!) ?? null) : null)
  const clipOf = (element: ShownElement | undefined) =>
    element?.kind === 'film' || element?.kind === 'sound' ? spanOfClip(element, context) : null
  const mediaOf = ({ cue, effect }: ScoreCue) => (effect.name === 'clip-pause' ? undefined : clipOf(byId.get(cue.element!))?.seconds)
  /** Voices that begin with the slide: its last beat may hold for them. */
  const voices = soundsFrom(deck, slideId)
    .filter(sound => sound.use === 'narration')
    .flatMap(sound => {
      const span = spanOfClip(sound, context)
      return span ? [{ sound, start: sound.delay, seconds: span.seconds }] : []
    })

  const tracks = new Map<Id, ScoreCue[]>()
  const entered = new Set<Id>()
  for (const list of cuesByElement.values()) {
    const first = list.find(isPresence)
    if (first?.what === 'enter') entered.add(first.element!)
  }
  let at = 0
  const made = beats.map((beat, index): ScoreBeat => {
    const spans = new Map(cues[index]!.map(cue => [cue.id, spanOfCue(cue)]))
    const { times, circles } = startsOf(cues[index]!, cue =>
      isCamera(cue) ? cameraSeconds(ways!.get(cue.id)!, cue) : lengthOf(cue, spans.get(cue.id)!, drawingFor(cue)),
    )
    for (const circle of circles) {
      const names = circle.map(id => (isCamera(deck.cues[id]!) ? 'the camera' : `“${byId.get(deck.cues[id]!.element!)!.name}”`)).join(', ')
      problems.push({
        cue: circle[0]!,
        message: `In beat ${index + 1} the cues of ${names} wait for each other in a circle. They start with the beat until one of them starts with it.`,
      })
    }
    const scored = cues[index]!.map((cue): ScoreCue => ({
      cue,
      effect: effectNamed(cue.effect, cue.what),
      ease: isCamera(cue) ? cameraEase(cue) : easingOf(cue.easing),
      beat: index,
      round: isCamera(cue) ? cameraSeconds(ways!.get(cue.id)!, cue) : roundOf(cue, drawingFor(cue)),
      ...times.get(cue.id)!,
      span: spans.get(cue.id)!,
    })).sort((a, b) => a.start - b.start || (a.cue.order < b.cue.order ? -1 : 1))
    const finite = scored.filter(({ cue }) => cue.repeat !== 'forever' && cue.what !== 'media')
    const moves = finite.reduce((most, cue) => Math.max(most, cue.end), 0)
    let reading = nothingToRead
    for (const element of elements) {
      if (!element.pinned && !entered.has(element.id) && metIn(element, deck.slides[slideId], cues) === index)
        reading = addReading(reading, readingOf(element, deck, context, info, null, null))
    }
    for (const { cue, span } of scored) {
      if (isCamera(cue)) continue
      const list = tracks.get(cue.element!)
      if (cue.effect === 'change-text') reading = addReading(reading, countReading(wordsSaid(cue), info.language))
      if (cue.what === 'enter') {
        const from = cue.parts?.range?.from ?? 0
        const to = cue.parts?.range?.to ?? Infinity
        const covered = span && cue.parts ? (part: number) => part >= from && part <= to : null
        reading = addReading(reading, readingOf(byId.get(cue.element!)!, deck, context, info, covered, cue.parts?.by ?? null))
      }
      const entry = scored.find(other => other.cue === cue)!
      if (list) list.push(entry)
      else tracks.set(cue.element!, [entry])
    }
    const seconds = readingSeconds(reading, info.language, info.audience)
    const spoken = index === beats.length - 1 ? Math.max(0, ...voices.map(voice => voice.start + voice.seconds - at)) : 0
    const hold = holdOf(beat.hold, moves, seconds, scored, mediaOf, spoken)
    const score: ScoreBeat = {
      beat,
      index,
      start: index === 0 ? 'open' : beat.start,
      cues: scored,
      moves,
      hold,
      length: moves + hold,
      at,
      reading: { ...reading, seconds },
    }
    at += score.length
    return score
  })

  const trackOf = (id: Id, list: ScoreCue[]): Track => {
    const presence = list.filter(({ cue, span }) => isPresence(cue) && (!span || span.count > 0))
    const spans = list.map(cue => cue.span).filter(span => span !== null)
    const partCount = spans[0]?.place.length ?? 0
    const first = presence[0]
    const everyPartEnters = () => {
      const all = presence.filter(({ cue, span }) => cue.what === 'enter' && span)
      return Array.from({ length: partCount }, (_, part) => all.some(({ span }) => span!.place[part]! >= 0)).every(Boolean)
    }
    const hiddenBefore = first?.cue.what === 'enter' && (!first.span || everyPartEnters())
    const shown = byId.get(id)!
    const soonest = list.reduce((best, cue) => (cue.beat < best.beat || (cue.beat === best.beat && cue.start < best.start) ? cue : best))
    const comesAndStays = list.every(
      ({ cue, effect }) => cue.repeat !== 'forever' && (cue.what === 'enter' || (cue.what === 'emphasis' && !effect.stays?.(cue.options))),
    )
    const lastBeat = Math.max(...list.map(cue => cue.beat))
    const rests = comesAndStays
      ? { beat: lastBeat, seconds: Math.max(...list.filter(cue => cue.beat === lastBeat).map(cue => cue.end)) }
      : null
    const said = list.filter(({ effect }) => effect === changeText).map(({ cue }) => saidBy(cue, shown as TextElement & ShownElement))
    const hands = shown.kind === 'figure' && list.some(({ effect }) => effect === makeGesture) ? handsOf(deck, shown) : null
    return {
      element: shown,
      lines: linesOf(deck, shown, context),
      cues: list,
      presence,
      partsBy: fineOf.get(id) ?? null,
      partCount,
      clip: clipOf(shown),
      looping: (shown as { loop?: boolean }).loop === true,
      said,
      drawing: drawings.get(id) ?? null,
      hands,
      hiddenBefore,
      begins: { beat: soonest.beat, seconds: soonest.start },
      rests,
    }
  }
  const board = isBoard
    ? {
        extent: extentOf(deck, slideId),
        camera: planCamera(
          deck,
          slideId,
          made.flatMap(entry => entry.cues.filter(({ cue }) => isCamera(cue))),
        ),
      }
    : null
  const byElement = new Map([...tracks].map(([id, list]) => [id, trackOf(id, list)]))
  const beyond = [...byElement]
    .filter(([, track]) => track.hands || track.cues.some(({ effect }) => effect.applyToOthers || effect.applyToCamera))
    .map(([id]) => id)
  const score = {
    slide: slideId,
    size: info.size,
    board,
    beyond,
    beats: made,
    tracks: byElement,
    elements,
    length: at,
    problems,
    clips: [] as ClipFit[],
  }
  for (const track of score.tracks.values()) {
    const fit = fitOfTrack(score, track, context)
    if (fit) score.clips.push(fit)
  }
  for (const { sound, start, seconds } of voices)
    if (sound.untilSlide === slideId && !sound.loop)
      score.clips.push({ element: null, sound: sound.id, name: sound.name, beat: 0, start, seconds, beyond: start + seconds - at })
  return score
}

const known = new WeakMap<object, { parts: readonly unknown[]; score: Score }>()

/**
 * A slide's score. Kept with the slide's record and made anew only when something it was made from has changed: its
 * elements (with what they inherit), beats, cues, the theme, the tables it draws.
 */
export function compileSlide(deck: Deck, slideId: Id, context: TimingContext): Score {
  const slide = deck.slides[slideId]
  if (!slide)
    return {
      slide: slideId,
      size: infoOf(deck).size,
      board: null,
      beyond: [],
      beats: [],
      tracks: new Map(),
      elements: [],
      length: 0,
      problems: [],
      clips: [],
    }
  const elements = shownElements(deck, slideId)
  const beats = beatsOf(deck, slideId)
  const parts: unknown[] = [deck.info.info, themeUnder(deck, slideId), context.measurer, beats, ...elements]
  for (const beat of beats) {
    const cues = cuesOf(deck, beat.id)
    parts.push(cues)
    if (cues.some(byHand)) parts.push(context.ink)
  }
  for (const sound of soundsFrom(deck, slideId)) if (sound.use === 'narration') parts.push(sound, context.mediaLength(sound.media))
  for (const element of elements) {
    if (element.kind === 'chart' && element.chart?.table) parts.push(context.table(element.chart.table))
    else if (element.kind === 'table' && element.table) parts.push(context.table(element.table))
    else if ((element.kind === 'film' || element.kind === 'sound') && element.media) parts.push(context.mediaLength(element.media))
  }
  const last = known.get(slide)
  if (last && last.parts.length === parts.length && last.parts.every((part, index) => part === parts[index])) return last.score
  const score = compile(deck, slideId, elements, context)
  known.set(slide, { parts, score })
  return score
}
