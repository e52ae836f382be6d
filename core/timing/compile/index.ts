import { group } from 'd3-array'
import { beatsOf, cuesOf, extentOf, infoOf, soundsFrom, statesOf, tablesDrawn, type Deck, type Slide } from '../../model'
import { shownElements, themeUnder, type ShownElement } from '../../resolved'
import { memoByRecords, type Id } from '../../values'
import { planCamera } from '../camera-plan'
import type { TimingContext } from '../context'
import { fitOfTrack } from '../plays'
import type { ClipFit, Score, ScoreBeat, TimingProblem, Track } from '../score'
import { beatOf } from './beat'
import { trackOf } from './track'
import { byHand, isCamera, workOn, type Work } from './work'

export { leastReadingHold, movesUntil } from './beat'

/** The beats of a slide one after the other, with what in them cannot be as it is written. */
function beatsIn(work: Work): { beats: ScoreBeat[]; problems: TimingProblem[]; length: number } {
  const beats: ScoreBeat[] = []
  const problems: TimingProblem[] = []
  let at = 0
  for (const index of work.beats.keys()) {
    const made = beatOf(work, index, at)
    beats.push(made.beat)
    problems.push(...made.problems)
    at += made.beat.length
  }
  return { beats, problems, length: at }
}

/** What happens to each element that any cue is about. */
function tracksIn(work: Work, beats: readonly ScoreBeat[]): Map<Id, Track> {
  const cues = group(
    beats.flatMap(beat => beat.cues).filter(({ cue }) => cue.element !== null && !isCamera(cue)),
    ({ cue }) => cue.element as Id,
  )
  const tracks = new Map<Id, Track>()
  for (const [id, list] of cues) {
    const element = work.byId.get(id)
    if (element) tracks.set(id, trackOf(work, element, list))
  }
  return tracks
}

/** How the clips of a slide that are played once, and its voices, fit into its length. */
function clipsIn(work: Work, score: Score): ClipFit[] {
  const clips = [...score.tracks.values()].flatMap(track => fitOfTrack(score, track, work.context) ?? [])
  const voices = work.voices
    .filter(({ sound }) => sound.untilSlide === work.slide && !sound.loop)
    .map(({ sound, start, seconds }) => {
      const beyond = start + seconds - score.length
      return { element: null, sound: sound.id, name: sound.name, beat: 0, start, seconds, beyond }
    })
  return [...clips, ...voices]
}

function compile(deck: Deck, slide: Id, elements: readonly ShownElement[], context: TimingContext): Score {
  const work = workOn(deck, slide, elements, context)
  const { beats, problems, length } = beatsIn(work)
  const tracks = tracksIn(work, beats)
  const legs = beats.flatMap(beat => beat.cues.filter(({ cue }) => isCamera(cue)))
  const board = work.ways ? { extent: extentOf(deck, slide), camera: planCamera(deck, slide, legs) } : null
  const reaches = (track: Track) => track.hands || track.cues.some(({ effect }) => effect.applyToOthers || effect.applyToCamera)
  const beyond = [...tracks].filter(([, track]) => reaches(track)).map(([id]) => id)
  const score: Score = { slide, size: infoOf(deck).size, board, beyond, beats, tracks, elements, length, problems, clips: [] }
  return { ...score, clips: clipsIn(work, score) }
}

/** The states of a chart with the tables that they draw, where they draw others. */
const statesShown = (deck: Deck, element: Id, context: TimingContext): unknown[] =>
  statesOf(deck, element).flatMap(state => [state, ...tablesDrawn(state.chart).map(context.table)])

/**
 * All that a slide's score is made from: its elements with what they inherit, beats, cues, the theme, and what is at hand of tables and
 * media.
 */
function keysOf(slide: Slide, deck: Deck, context: TimingContext): [object, ...unknown[]] {
  const elements = shownElements(deck, slide.id)
  const beats = beatsOf(deck, slide.id)
  const keys: [object, ...unknown[]] = [slide, deck.info.info, themeUnder(deck, slide.id), context.measurer, beats, ...elements]
  for (const beat of beats) {
    const cues = cuesOf(deck, beat.id)
    keys.push(cues)
    if (cues.some(byHand)) keys.push(context.ink)
  }
  for (const sound of soundsFrom(deck, slide.id)) if (sound.use === 'narration') keys.push(sound, context.mediaLength(sound.media))
  for (const element of elements) {
    if (element.kind === 'chart') keys.push(...tablesDrawn(element.chart).map(context.table), ...statesShown(deck, element.id, context))
    else if (element.kind === 'table' && element.table) keys.push(context.table(element.table))
    else if ((element.kind === 'film' || element.kind === 'sound') && element.media) keys.push(context.mediaLength(element.media))
  }
  return keys
}

const scoreOf = memoByRecords(keysOf, (slide, deck, context): Score => compile(deck, slide.id, shownElements(deck, slide.id), context))

const noScore = (deck: Deck, slide: Id): Score => ({
  slide,
  size: infoOf(deck).size,
  board: null,
  beyond: [],
  beats: [],
  tracks: new Map(),
  elements: [],
  length: 0,
  problems: [],
  clips: [],
})

/** A slide's score; an empty one where there is no such slide. Made anew only when something that it was made from has changed. */
export function compileSlide(deck: Deck, slideId: Id, context: TimingContext): Score {
  const slide = deck.slides[slideId]
  return slide ? scoreOf(slide, deck, context) : noScore(deck, slideId)
}
