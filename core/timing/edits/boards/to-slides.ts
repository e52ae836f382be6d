import {
  infoOf,
  setRecord,
  putRecord,
  beatsOf,
  cuesOf,
  slidesOf,
  viewsOf,
  type Beat,
  type BoardView,
  type Change,
  type Cue,
  type Deck,
  type EditContext,
  type Element,
  type Slide,
} from '../../../model'
import { pasteClipping, type Clipping } from '../../../edits'
import { ordersAt, type Box, type Id, type Size } from '../../../values'
import type { TimingContext } from '../../context'
import { dropSlides, inBeats, relinked, wholeClip, working } from './between'

const middleOf = (box: Box) => ({ x: box.x + box.width / 2, y: box.y + box.height / 2 })

/** A place on a board as seen in a view: as fractions of the view's width and height from its top left, turned with it. */
function placeIn(view: Box, point: { x: number; y: number }): { x: number; y: number } {
  const middle = middleOf(view)
  const turn = (-view.angle * Math.PI) / 180
  const [dx, dy] = [point.x - middle.x, point.y - middle.y]
  return {
    x: 0.5 + (dx * Math.cos(turn) - dy * Math.sin(turn)) / view.width,
    y: 0.5 + (dx * Math.sin(turn) + dy * Math.cos(turn)) / view.height,
  }
}

/** An element made so many times as large, with what of it is told in px. */
function enlarged(element: Element, by: number): Element {
  if (Math.abs(by - 1) < 0.001) return element
  const stroke = 'stroke' in element && element.stroke ? { stroke: { ...element.stroke, width: element.stroke.width * by } } : {}
  const radius = 'radius' in element && typeof element.radius === 'number' ? { radius: element.radius * by } : {}
  const size =
    (element.kind === 'text' || element.kind === 'table') && element.size
      ? { size: Math.min(element.kind === 'text' ? 1000 : 400, element.size * by) }
      : {}
  return { ...element, ...stroke, ...radius, ...size } as Element
}

/** The view (its index) that each element of a board goes with: the first that holds its middle, else the nearest; groups stay whole. */
function homesOf(whole: Clipping | null, views: readonly BoardView[], size: Size): Map<Id, number> {
  const elements = new Map((whole?.elements ?? []).map(element => [element.id, element]))
  const top = (element: Element): Element => {
    const parent = element.parent ? elements.get(element.parent) : undefined
    return parent ? top(parent) : element
  }
  const homeOf = (box: Box) => {
    const off = views.map(view => {
      const { x, y } = placeIn(view.box, middleOf(box))
      return Math.max(0, -x, x - 1, -y, y - 1)
    })
    return off.indexOf(Math.min(...off))
  }
  return new Map([...elements].map(([id, element]) => [id, homeOf(top(element).box ?? element.box ?? { x: 0, y: 0, ...size, angle: 0 })]))
}

/** The slide that the view of an index becomes: the first takes the notes, the chapter and the way in. */
function slideFor(board: Slide, index: number, order: string, context: EditContext): Slide {
  const { board: _, views: __, opens: ___, chapter, ...rest } = board
  const first = index === 0
  return JSON.parse(
    JSON.stringify({
      ...rest,
      id: context.id(),
      order,
      notes: first ? board.notes : '',
      ...(first && chapter ? { chapter } : {}),
      ...(first ? {} : { transition: undefined }),
    }),
  ) as Slide
}

/** An element of a board as a slide shows it that is filled by a view. */
function seenIn(view: Box, element: Element, size: Size): Element {
  if (!element.box) return element
  const by = Math.min(size.width / view.width, size.height / view.height)
  const at = placeIn(view, middleOf(element.box))
  const [width, height] = [element.box.width * by, element.box.height * by]
  const middle = { x: size.width / 2 + (at.x - 0.5) * view.width * by, y: size.height / 2 + (at.y - 0.5) * view.height * by }
  const box = { x: middle.x - width / 2, y: middle.y - height / 2, width, height, angle: element.box.angle - view.angle }
  return enlarged({ ...element, box }, by)
}

/** What of a board's clipping goes with the elements that `stays` names. */
function partOf(whole: Clipping, stays: (element: Id) => boolean): Clipping {
  return {
    ...whole,
    elements: whole.elements.filter(element => stays(element.id)),
    cues: whole.cues.filter(({ cue }) => cue.element !== null && stays(cue.element)),
    states: whole.states.filter(state => stays(state.element)),
  }
}

/** Sounds from or until a board run from its first slide and until its last. */
function soundsBetween(deck: Deck, board: Id, first: Id, last: Id): Change[] {
  return Object.values(deck.sounds)
    .filter(sound => sound.fromSlide === board || sound.untilSlide === board)
    .map(sound =>
      setRecord('sounds', sound.id, {
        ...(sound.fromSlide === board ? { fromSlide: first } : {}),
        ...(sound.untilSlide === board ? { untilSlide: last } : {}),
      }),
    )
}

/**
 * Turns the views of a board into slides, in the order of the telling. Each takes what has its middle in it, as large as
 * the view showed it; what stands in none goes to the nearest. A beat comes along with what happens in it; the camera has
 * no more to do. No changes where the slide is no board, or has no view.
 */
export function boardToSlides(deck: Deck, input: { slide: Id }, context: EditContext & TimingContext): Change[] {
  const board = deck.slides[input.slide]
  const views = viewsOf(board)
  const beats = board ? beatsOf(deck, board.id) : []
  const [opening] = beats
  if (!board || !views.length || !opening) return []
  const { size, purpose } = infoOf(deck)
  const siblings = slidesOf(deck)
  const orders = ordersAt(siblings, siblings.findIndex(slide => slide.id === board.id) + 1, views.length)
  const whole = wholeClip(deck, board.id)
  const homes = homesOf(whole, views, size)
  const work = working(deck)
  const made = views.map((view, index): Id => {
    const slide = slideFor(board, index, orders[index]!, context)
    work.do([putRecord('slides', slide)])
    const own = (cue: Cue) =>
      cue.element === null ? cue.what === 'camera' && cue.options.view === view.id : homes.get(cue.element) === index
    const kept = beats.flatMap((beat, at) => (cuesOf(deck, beat.id).some(own) ? [{ beat, at }] : []))
    const quiet: Beat = { ...opening, start: purpose === 'talk' ? 'advance' : 'self', hold: { kind: 'reading' } }
    const told = kept.length ? kept : [{ beat: quiet, at: -1 }]
    const beatOrders = ordersAt([], 0, told.length)
    work.do(told.map(({ beat }, at): Change => putRecord('beats', { ...beat, id: context.id(), slide: slide.id, order: beatOrders[at]! })))
    const part = whole && partOf(whole, element => homes.get(element) === index)
    if (part?.elements.length) {
      const clipping = { ...part, elements: part.elements.map(element => seenIn(view.box, element, size)) }
      const beatOf = (beat: number) => told.findIndex(one => one.at === beat)
      work.do(pasteClipping(work.now, { clipping: inBeats(clipping, beatOf), owner: slide.id }, context))
    }
    return slide.id
  })
  const [first, last] = [made[0]!, made.at(-1)!]
  work.do(soundsBetween(deck, board.id, first, last))
  work.do(relinked(work.now, new Map([[board.id, first]])))
  work.do(dropSlides(work.now, [board.id]))
  return work.changes
}
