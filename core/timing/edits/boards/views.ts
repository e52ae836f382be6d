import {
  infoOf,
  setRecord,
  putRecord,
  beatsOf,
  cuesOf,
  extentOf,
  viewsOf,
  type Beat,
  type Change,
  type Cue,
  type Deck,
  type EditContext,
} from '../../../model'
import { addCue, removeCues } from '../../../edits'
import { ordersAt, type Box, type Id } from '../../../values'
import { goToView } from '../../effects'
import { namedEasings } from '../../easing'
import { working } from './between'

/** Makes a board of a slide, a few times as far across and down, with what stood on the slide in its first view. */
export function makeBoard(deck: Deck, input: { slide: Id; across: number; down: number }, context: EditContext): Change[] {
  const { width, height } = infoOf(deck).size
  const [across, down] = [Math.max(1, input.across), Math.max(1, input.down)]
  return [
    setRecord('slides', input.slide, {
      board: { width: Math.round(width * across), height: Math.round(height * down) },
      views: [{ id: context.id(), name: 'Start', box: { x: 0, y: 0, width, height, angle: 0 } }],
    }),
  ]
}

/** Makes a board a slide again: its views go, and what its camera did; what lies beyond the picture stays where it is. */
export const unmakeBoard = (deck: Deck, input: { slide: Id }): Change[] => [
  ...removeCues(deck, { cues: cameraCues(deck, input.slide).map(cue => cue.id) }),
  setRecord('slides', input.slide, { board: undefined, views: undefined, opens: undefined }),
]

/** Takes a view of a board away, and the moves of the camera that led to it; what stands in it stays. */
export function removeView(deck: Deck, input: { slide: Id; view: Id }): Change[] {
  const slide = deck.slides[input.slide]
  if (!slide?.views?.some(view => view.id === input.view)) return []
  return [
    ...removeCues(deck, {
      cues: cameraCues(deck, slide.id)
        .filter(cue => cue.options.view === input.view)
        .map(cue => cue.id),
    }),
    setRecord('slides', slide.id, {
      views: slide.views.filter(view => view.id !== input.view),
      ...(slide.opens === input.view ? { opens: undefined } : {}),
    }),
  ]
}

const cameraCues = (deck: Deck, slide: Id) =>
  beatsOf(deck, slide).flatMap(beat => cuesOf(deck, beat.id).filter(cue => cue.what === 'camera'))

/** Lets the camera of a board go to a view, or to all of it (`all`), in a beat: after what it does there already. */
export function goInBeat(deck: Deck, input: { beat: Id; view: string }, context: EditContext): Change[] {
  const last = cuesOf(deck, input.beat).findLast(cue => cue.what === 'camera')
  return addCue(
    deck,
    { cue: { ...cameraCue(input.beat, input.view), ...(last ? { anchor: { to: 'end' as const, cue: last.id } } : {}) } },
    context,
  )
}

/** A rectangle in the shape of the picture that holds some boxes with room about them; within the board where that can be. */
export function viewAround(deck: Deck, slide: Id, boxes: readonly Box[]): Box {
  const { size } = infoOf(deck)
  const extent = extentOf(deck, slide)
  const [left, top] = [Math.min(...boxes.map(box => box.x)), Math.min(...boxes.map(box => box.y))]
  const [right, bottom] = [Math.max(...boxes.map(box => box.x + box.width)), Math.max(...boxes.map(box => box.y + box.height))]
  const scale = Math.max((right - left) / size.width, (bottom - top) / size.height) * 1.16
  const [width, height] = [Math.round(size.width * scale), Math.round(size.height * scale)]
  const held = (middle: number, wide: number, whole: number) =>
    Math.round(wide >= whole ? (whole - wide) / 2 : Math.min(whole - wide, Math.max(0, middle - wide / 2)))
  return { x: held((left + right) / 2, width, extent.width), y: held((top + bottom) / 2, height, extent.height), width, height, angle: 0 }
}

/** A cue that lets the camera go to a view of a board, or to all of it (`all`). */
export const cameraCue = (beat: Id, view: string): Omit<Cue, 'id' | 'order'> => ({
  beat,
  element: null,
  what: 'camera',
  effect: goToView.name,
  options: { view },
  anchor: { to: 'beat' },
  delay: 0,
  duration: goToView.duration,
  easing: namedEasings['gently both ways'],
  repeat: 1,
})

/**
 * Lets the camera of a board go through its views in their order, a beat each: the board opens with the first; beats that
 * are there are used before new ones are made. Moves that it made before are replaced. `back`: it ends with all of the board.
 */
export function tourViews(deck: Deck, input: { slide: Id; back: boolean }, context: EditContext): Change[] {
  const [first, ...others] = viewsOf(deck.slides[input.slide])
  if (!first) return []
  const stops = [...others.map(view => view.id), ...(input.back ? ['all'] : [])]
  const beats = beatsOf(deck, input.slide)
  const orders = ordersAt(beats, Infinity, Math.max(0, stops.length - (beats.length - 1)))
  const start = infoOf(deck).purpose === 'talk' ? ('advance' as const) : ('self' as const)
  const fresh = orders.map((order): Beat => ({ id: context.id(), slide: input.slide, order, start, hold: { kind: 'reading' } }))
  const work = working(deck)
  work.do([
    ...removeCues(deck, { cues: cameraCues(deck, input.slide).map(cue => cue.id) }),
    ...fresh.map((record): Change => putRecord('beats', record)),
  ])
  const all = [...beats, ...fresh].slice(1)
  stops.forEach((stop, index) => work.do(addCue(work.now, { cue: cameraCue(all[index]!.id, stop) }, context)))
  work.do([setRecord('slides', input.slide, { opens: first.id })])
  return work.changes
}
