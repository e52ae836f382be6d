import { group } from 'd3-array'
import { passageOfStates } from '../../charts'
import { handDrawingOf, type HandDrawing } from '../../drawing'
import { beatsOf, cuesOf, soundsFrom, type Beat, type Cue, type Deck, type Parts, type Sound } from '../../model'
import type { ShownElement } from '../../resolved'
import type { Id } from '../../values'
import type { CameraWay } from '../camera'
import { waysOf } from '../camera-plan'
import { spanOfClip } from '../clips'
import type { TimingContext } from '../context'
import { effectNamed, stateIn } from '../effects'
import { finestOf } from '../parts'

/** What the steps of compiling one slide work on. */
export interface Work {
  deck: Deck
  slide: Id
  context: TimingContext
  elements: readonly ShownElement[]
  byId: ReadonlyMap<Id, ShownElement>
  beats: readonly Beat[]
  /** The cues of each beat that something can come of: those of elements that show, and of the camera of a board. */
  cues: readonly (readonly Cue[])[]
  cuesByElement: ReadonlyMap<Id, readonly Cue[]>
  /** By element: the finest parts that its cues tell apart; null where it moves as a whole. */
  fine: ReadonlyMap<Id, Parts['by'] | null>
  /** By element: what a hand draws of it, where a cue asks for that. */
  drawings: ReadonlyMap<Id, HandDrawing | null>
  /** By cue: how long the way takes by itself that a chart goes by it, seconds. */
  passages: ReadonlyMap<Id, number>
  /** Elements that a cue brings in. */
  entered: ReadonlySet<Id>
  /** Of a board: the way of each camera cue. */
  ways: ReadonlyMap<Id, CameraWay> | null
  voices: readonly Voice[]
}

/** A voice that begins with the slide: its last beat may hold for it. Times in seconds. */
export interface Voice {
  sound: Sound
  start: number
  seconds: number
}

export const isCamera = (cue: Cue) => cue.what === 'camera'
export const isPresence = (cue: Cue) => cue.what === 'enter' || cue.what === 'exit'
export const effectOf = (cue: Cue) => effectNamed(cue.effect, cue.what)
/** Whether a cue has its element drawn. */
export const byHand = (cue: Cue) => effectOf(cue).byHand === true

/** The element that a cue is about, where it shows; null for a camera's. */
export const elementOf = (work: Pick<Work, 'byId'>, cue: Cue): ShownElement | null =>
  (cue.element !== null && work.byId.get(cue.element)) || null

function voicesOf(deck: Deck, slide: Id, context: TimingContext): Voice[] {
  return soundsFrom(deck, slide)
    .filter(sound => sound.use === 'narration')
    .flatMap(sound => {
      const span = spanOfClip(sound, context)
      return span ? [{ sound, start: sound.delay, seconds: span.seconds }] : []
    })
}

/** How long the ways take that charts go from state to state, by the cue that leads there; cues in the order in which they come. */
function passagesOf(deck: Deck, byId: ReadonlyMap<Id, ShownElement>, cues: readonly Cue[], context: TimingContext): Map<Id, number> {
  const made = new Map<Id, number>()
  const states = new Map<Id, Id | null>()
  for (const cue of cues) {
    const element = cue.what === 'data' && cue.element !== null ? byId.get(cue.element) : undefined
    if (element?.kind !== 'chart') continue
    const way = { from: states.get(element.id) ?? null, to: stateIn(cue.options) }
    states.set(element.id, way.to)
    const passage = passageOfStates(deck, element, way, context.table, context.measurer)
    if (passage) made.set(cue.id, passage.seconds)
  }
  return made
}

/** Gathers what a slide's score is made from. */
export function workOn(deck: Deck, slide: Id, elements: readonly ShownElement[], context: TimingContext): Work {
  const byId = new Map(elements.map(element => [element.id, element]))
  const beats = beatsOf(deck, slide)
  const isBoard = !!deck.slides[slide]?.board
  const cues = beats.map(beat =>
    cuesOf(deck, beat.id).filter(cue => (cue.element === null ? isBoard && isCamera(cue) : byId.has(cue.element))),
  )
  const cuesByElement = group(
    cues.flat().filter(cue => cue.element !== null && !isCamera(cue)),
    cue => cue.element as Id,
  )
  const fine = new Map<Id, Parts['by'] | null>()
  const drawings = new Map<Id, HandDrawing | null>()
  const entered = new Set<Id>()
  for (const [id, list] of cuesByElement) {
    const element = byId.get(id)
    if (!element) continue
    fine.set(id, finestOf(element, list))
    if (context.ink && list.some(byHand)) drawings.set(id, handDrawingOf(deck, element, { ...context, ink: context.ink }))
    if (list.find(isPresence)?.what === 'enter') entered.add(id)
  }
  const ways = isBoard ? waysOf(deck, slide, cues.flat().filter(isCamera)) : null
  return {
    deck,
    slide,
    context,
    elements,
    byId,
    beats,
    cues,
    cuesByElement,
    fine,
    drawings,
    passages: passagesOf(deck, byId, cues.flat(), context),
    entered,
    ways,
    voices: voicesOf(deck, slide, context),
  }
}
