import {
  infoOf,
  dropRecord,
  putRecord,
  setRecord,
  applyChanges,
  beatsOf,
  cuesOf,
  elementsOf,
  extentOf,
  slidesOf,
  soundsFrom,
  viewsOf,
  type Beat,
  type BoardView,
  type Change,
  type Cue,
  type Deck,
  type EditContext,
  type Element,
  type Slide,
} from '../../model'
import { addCue, clip, pasteClipping, removeCues, type Clipping } from '../../edits'
import { groundHex, groundOf } from '../../resolved'
import { orderAt, orderLast, ordersAt, type Box, type Id } from '../../values'
import { compileSlide } from '../compile'
import { goToView } from '../effects'
import { namedEasings } from '../easing'
import type { TimingContext } from '../context'

/** Room between the slides that become a board, as a share of a slide's width. */
const gap = 0.14

/** Collects changes on a deck that follows them. */
function working(deck: Deck) {
  const changes: Change[] = []
  return {
    changes,
    now: deck,
    do(more: readonly Change[]) {
      changes.push(...more)
      this.now = applyChanges(this.now, more)
    },
  }
}

/** Makes a board of a slide, a few times as far across and down, with what stood on the slide in its first view. */
export function makeBoard(deck: Deck, wish: { slide: Id; across: number; down: number }, context: EditContext): Change[] {
  const { width, height } = infoOf(deck).size
  const [across, down] = [Math.max(1, wish.across), Math.max(1, wish.down)]
  return [
    setRecord('slides', wish.slide, {
      board: { width: Math.round(width * across), height: Math.round(height * down) },
      views: [{ id: context.id(), name: 'Start', box: { x: 0, y: 0, width, height, angle: 0 } }],
    }),
  ]
}

/** Makes a board a slide again: its views go, and what its camera did; what lies beyond the picture stays where it is. */
export const unmakeBoard = (deck: Deck, wish: { slide: Id }): Change[] => [
  ...removeCues(deck, { cues: cameraCues(deck, wish.slide).map(cue => cue.id) }),
  setRecord('slides', wish.slide, { board: undefined, views: undefined, opens: undefined }),
]

/** Takes a view of a board away, and the moves of the camera that led to it; what stands in it stays. */
export function removeView(deck: Deck, wish: { slide: Id; view: Id }): Change[] {
  const slide = deck.slides[wish.slide]
  if (!slide?.views?.some(view => view.id === wish.view)) return []
  return [
    ...removeCues(deck, {
      cues: cameraCues(deck, slide.id)
        .filter(cue => cue.options.view === wish.view)
        .map(cue => cue.id),
    }),
    setRecord('slides', slide.id, {
      views: slide.views.filter(view => view.id !== wish.view),
      ...(slide.opens === wish.view ? { opens: undefined } : {}),
    }),
  ]
}

const cameraCues = (deck: Deck, slide: Id) =>
  beatsOf(deck, slide).flatMap(beat => cuesOf(deck, beat.id).filter(cue => cue.what === 'camera'))

/** Lets the camera of a board go to a view, or to all of it (`all`), in a beat: after what it does there already. */
export function goInBeat(deck: Deck, wish: { beat: Id; view: string }, context: EditContext): Change[] {
  const last = cuesOf(deck, wish.beat).findLast(cue => cue.what === 'camera')
  return addCue(
    deck,
    { cue: { ...cameraCue(wish.beat, wish.view), ...(last ? { anchor: { to: 'end' as const, cue: last.id } } : {}) } },
    context,
  )
}

/** The words that a slide is known by: of its title, else its number. */
function nameOf(deck: Deck, slide: Id, index: number): string {
  const title = elementsOf(deck, slide).find(element => element.kind === 'text' && element.placeholder === 'title')
  const words =
    title?.kind === 'text'
      ? title.text.content
          .flatMap(paragraph => (paragraph.content ?? []).map(run => ('text' in run ? run.text : ' ')))
          .join('')
          .trim()
      : ''
  return (words || `Slide ${index + 1}`).slice(0, 120)
}

const wholeClip = (deck: Deck, slide: Id): Clipping | null =>
  clip(
    deck,
    elementsOf(deck, slide).map(element => element.id),
  )
/** The same clipping, its cues in other beats. */
const inBeats = (clipping: Clipping, beatOf: (index: number) => number): Clipping => ({
  ...clipping,
  cues: clipping.cues.flatMap(({ beat, cue }) => (beatOf(beat) < 0 ? [] : [{ beat: beatOf(beat), cue }])),
})

/**
 * Turns a run of slides into one board: each becomes a view of it, row by row, and the camera goes from one to the next
 * where one slide followed the other. Beats, motion and sounds come along; what slides had of grounds of their own lies
 * behind their views. The picture opens on the first view and stays on the last.
 */
export function slidesToBoard(deck: Deck, wish: { slides: readonly Id[] }, context: EditContext & TimingContext): Change[] {
  const slides = slidesOf(deck).filter(slide => wish.slides.includes(slide.id))
  const [first] = slides
  if (!first || slides.length < 2 || slides.some(slide => slide.board)) return []
  const { size, purpose } = infoOf(deck)
  const columns = Math.ceil(Math.sqrt(slides.length))
  const rows = Math.ceil(slides.length / columns)
  const room = Math.round(size.width * gap)
  const views = slides.map((slide, index): BoardView => ({
    id: context.id(),
    name: nameOf(deck, slide.id, index),
    box: {
      x: room + (index % columns) * (size.width + room),
      y: room + Math.floor(index / columns) * (size.height + room),
      width: size.width,
      height: size.height,
      angle: 0,
    },
  }))
  // What lay behind the first slide lies behind its view, and not behind the whole board.
  const { backdrop: _, guides: __, agenda: ___, ...rest } = first
  const board: Slide = {
    ...rest,
    id: context.id(),
    order: orderAt(slidesOf(deck), slidesOf(deck).indexOf(first)),
    notes: slides
      .map(slide => slide.notes)
      .filter(Boolean)
      .join('\n\n')
      .slice(0, 200_000),
    board: { width: room + columns * (size.width + room), height: room + rows * (size.height + room) },
    views,
    opens: views[0]!.id,
  }
  const work = working(deck)
  work.do([putRecord('slides', board)])
  const ground = groundHex(work.now, board)
  const starts: number[] = []
  slides.forEach((slide, index) => {
    const base = beatsOf(work.now, board.id).length
    starts.push(base)
    const own = beatsOf(deck, slide.id)
    const orders = ordersAt(beatsOf(work.now, board.id), Infinity, own.length)
    work.do(
      own.map((beat, at): Change =>
        putRecord('beats', {
          ...beat,
          id: context.id(),
          slide: board.id,
          order: orders[at]!,
          start: at > 0 || index === 0 ? beat.start : purpose === 'talk' ? 'advance' : 'self',
        }),
      ),
    )
    const { x, y } = views[index]!.box
    if (groundHex(deck, slide) !== ground) {
      const backdrop: Element = {
        id: context.id(),
        owner: board.id,
        order: orderLast(elementsOf(work.now, board.id)),
        kind: 'shape',
        shape: 'rectangle',
        name: `Ground of ${views[index]!.name}`.slice(0, 200),
        fill: groundOf(deck, slide),
        box: views[index]!.box,
      }
      work.do([putRecord('elements', backdrop)])
    }
    const clipping = wholeClip(deck, slide.id)
    if (clipping)
      work.do(pasteClipping(work.now, { clipping: inBeats(clipping, beat => base + beat), owner: board.id, offset: { x, y } }, context))
    if (index === 0) return
    const opening = beatsOf(work.now, board.id)[base]!
    const cameraId = context.id()
    const arriving = cuesOf(work.now, opening.id).filter(cue => cue.anchor.to === 'beat')
    work.do([
      ...addCue(work.now, { cue: cameraCue(opening.id, views[index]!.id) }, { ...context, id: () => cameraId }),
      ...arriving.map((cue): Change => setRecord('cues', cue.id, { anchor: { to: 'end', cue: cameraId } })),
    ])
  })
  const at = compileSlide(work.now, board.id, context).beats
  const places = new Map(slides.map((slide, index) => [slide.id, index]))
  for (const sound of Object.values(deck.sounds)) {
    const [from, until] = [places.get(sound.fromSlide), places.get(sound.untilSlide)]
    if (from === undefined && until === undefined) continue
    work.do([
      setRecord('sounds', sound.id, {
        ...(from === undefined ? {} : { fromSlide: board.id, delay: sound.delay + (at[starts[from]!]?.at ?? 0) }),
        ...(until === undefined ? {} : { untilSlide: board.id }),
      }),
    ])
  }
  work.do(relinked(work.now, new Map(slides.map(slide => [slide.id, board.id]))))
  work.do(
    dropSlides(
      work.now,
      slides.map(slide => slide.id),
    ),
  )
  return work.changes
}

/** Words that lead to slides which become others lead to those. */
function relinked(deck: Deck, to: ReadonlyMap<Id, Id>): Change[] {
  return Object.values(deck.elements).flatMap((element): Change[] => {
    if (element.kind !== 'text') return []
    const before = JSON.stringify(element.text)
    const after = before.replace(/"href":"#([^"]+)"/g, (whole, id: Id) => (to.has(id) ? `"href":"#${to.get(id)}"` : whole))
    return after === before ? [] : [setRecord('elements', element.id, { text: JSON.parse(after) as typeof element.text })]
  })
}

/** Everything of some slides, taken away; what was said of their sounds stays as it is. */
const dropSlides = (deck: Deck, slides: readonly Id[]): Change[] =>
  slides.flatMap((slide): Change[] => [
    ...beatsOf(deck, slide).flatMap((beat): Change[] => [
      ...cuesOf(deck, beat.id).map((cue): Change => dropRecord('cues', cue.id)),
      dropRecord('beats', beat.id),
    ]),
    ...elementsOf(deck, slide).flatMap((element): Change[] => [
      ...Object.values(deck.states)
        .filter(state => state.element === element.id)
        .map((state): Change => dropRecord('states', state.id)),
      dropRecord('elements', element.id),
    ]),
    dropRecord('slides', slide),
  ])

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

/**
 * Turns the views of a board into slides, in the order of the telling. Each takes what has its middle in it, as large as
 * the view showed it; what stands in none goes to the nearest. A beat comes along with what happens in it; the camera has
 * no more to do.
 */
export function boardToSlides(deck: Deck, wish: { slide: Id }, context: EditContext & TimingContext): Change[] {
  const board = deck.slides[wish.slide]
  const views = viewsOf(board)
  if (!board || !views.length) return []
  const { size, purpose } = infoOf(deck)
  const siblings = slidesOf(deck)
  const orders = ordersAt(siblings, siblings.findIndex(slide => slide.id === board.id) + 1, views.length)
  const whole = wholeClip(deck, board.id)
  /** The view that something goes with: the first that holds its middle, else the nearest. */
  const homeOf = (box: Box): number => {
    const off = views.map(view => {
      const { x, y } = placeIn(view.box, middleOf(box))
      return Math.max(0, -x, x - 1, -y, y - 1)
    })
    return off.indexOf(Math.min(...off))
  }
  const inGroup = new Map((whole?.elements ?? []).map(element => [element.id, element.parent]))
  const top = (id: Id): Id => (inGroup.get(id) ? top(inGroup.get(id)!) : id)
  const boxes = new Map((whole?.elements ?? []).map(element => [element.id, element.box]))
  const home = new Map(
    (whole?.elements ?? []).map(element => [
      element.id,
      homeOf(boxes.get(top(element.id)) ?? element.box ?? { x: 0, y: 0, ...size, angle: 0 }),
    ]),
  )
  const beats = beatsOf(deck, board.id)
  const work = working(deck)
  const made: Id[] = []
  views.forEach((view, index) => {
    const { board: _, views: __, opens: ___, chapter, ...rest } = board
    const slide: Slide = {
      ...rest,
      id: context.id(),
      order: orders[index]!,
      notes: index === 0 ? board.notes : '',
      ...(index === 0 && chapter ? { chapter } : {}),
      ...(index === 0 ? {} : { transition: undefined }),
    }
    made.push(slide.id)
    work.do([putRecord('slides', JSON.parse(JSON.stringify(slide)) as Slide)])
    const own = (cue: { element: Id | null; what: string; options: Readonly<Record<string, unknown>> }) =>
      cue.element === null ? cue.what === 'camera' && cue.options.view === view.id : home.get(cue.element) === index
    const kept = beats.flatMap((beat, at) => (cuesOf(deck, beat.id).some(own) ? [{ beat, at }] : []))
    const told: readonly { beat: Beat; at: number }[] = kept.length
      ? kept
      : [{ beat: { ...beats[0]!, start: purpose === 'talk' ? 'advance' : 'self', hold: { kind: 'reading' } }, at: -1 }]
    const beatOrders = ordersAt([], 0, told.length)
    work.do(told.map(({ beat }, at): Change => putRecord('beats', { ...beat, id: context.id(), slide: slide.id, order: beatOrders[at]! })))
    const elements = (whole?.elements ?? []).filter(element => home.get(element.id) === index)
    if (!whole || !elements.length) return
    const by = Math.min(size.width / view.box.width, size.height / view.box.height)
    const moved = elements.map(element => {
      if (!element.box) return element
      const at = placeIn(view.box, middleOf(element.box))
      const [width, height] = [element.box.width * by, element.box.height * by]
      const middle = { x: size.width / 2 + (at.x - 0.5) * view.box.width * by, y: size.height / 2 + (at.y - 0.5) * view.box.height * by }
      return enlarged(
        {
          ...element,
          box: { x: middle.x - width / 2, y: middle.y - height / 2, width, height, angle: element.box.angle - view.box.angle },
        },
        by,
      )
    })
    const ids = new Set(elements.map(element => element.id))
    const clipping: Clipping = {
      ...whole,
      elements: moved,
      cues: whole.cues.filter(({ cue }) => cue.element !== null && ids.has(cue.element)),
      states: whole.states.filter(state => ids.has(state.element)),
    }
    work.do(
      pasteClipping(work.now, { clipping: inBeats(clipping, beat => told.findIndex(one => one.at === beat)), owner: slide.id }, context),
    )
  })
  for (const sound of [
    ...soundsFrom(deck, board.id),
    ...Object.values(deck.sounds).filter(one => one.untilSlide === board.id && one.fromSlide !== board.id),
  ]) {
    work.do([
      setRecord('sounds', sound.id, {
        ...(sound.fromSlide === board.id ? { fromSlide: made[0]! } : {}),
        ...(sound.untilSlide === board.id ? { untilSlide: made.at(-1)! } : {}),
      }),
    ])
  }
  work.do(relinked(work.now, new Map([[board.id, made[0]!]])))
  work.do(dropSlides(work.now, [board.id]))
  return work.changes
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
const cameraCue = (beat: Id, view: string): Omit<Cue, 'id' | 'order'> => ({
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
export function tourViews(deck: Deck, wish: { slide: Id; back: boolean }, context: EditContext): Change[] {
  const [first, ...others] = viewsOf(deck.slides[wish.slide])
  if (!first) return []
  const stops = [...others.map(view => view.id), ...(wish.back ? ['all'] : [])]
  const beats = beatsOf(deck, wish.slide)
  const orders = ordersAt(beats, Infinity, Math.max(0, stops.length - (beats.length - 1)))
  const start = infoOf(deck).purpose === 'talk' ? ('advance' as const) : ('self' as const)
  const fresh = orders.map((order): Beat => ({ id: context.id(), slide: wish.slide, order, start, hold: { kind: 'reading' } }))
  const work = working(deck)
  work.do([
    ...removeCues(deck, { cues: cameraCues(deck, wish.slide).map(cue => cue.id) }),
    ...fresh.map((record): Change => putRecord('beats', record)),
  ])
  const all = [...beats, ...fresh].slice(1)
  stops.forEach((stop, index) => work.do(addCue(work.now, { cue: cameraCue(all[index]!.id, stop) }, context)))
  work.do([setRecord('slides', wish.slide, { opens: first.id })])
  return work.changes
}
