import {
  infoOf,
  setRecord,
  putRecord,
  beatsOf,
  cuesOf,
  elementsOf,
  slidesOf,
  type BoardView,
  type Change,
  type Deck,
  type EditContext,
  type Element,
  type Slide,
} from '../../../model'
import { hexOf, type Palette } from '../../../color'
import { addCue, pasteClipping, type Clipping } from '../../../edits'
import { fillOfGround, groundHex, groundOf, styleOf, themeOf, themeUnder } from '../../../resolved'
import { exchanged, orderAt, orderLast, ordersAt, roleNames, type Color, type Id, type Paint } from '../../../values'
import { compileSlide } from '../../compile'
import type { TimingContext } from '../../context'
import { dropSlides, inBeats, relinked, wholeClip, working, type Working } from './between'
import { cameraCue } from './views'

/** Room between the slides that become a board, as a share of a slide's width. */
const gap = 0.14

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

/** The board that slides become: as many columns as rows, or one more, with a view where each slide comes to stand. */
function boardFor(deck: Deck, slides: readonly [Slide, ...Slide[]], context: EditContext): { board: Slide; views: BoardView[] } {
  const { size } = infoOf(deck)
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
  const { backdrop: _, guides: __, agenda: ___, ...rest } = slides[0]
  const board: Slide = {
    ...rest,
    id: context.id(),
    order: orderAt(slidesOf(deck), slidesOf(deck).indexOf(slides[0])),
    notes: slides
      .map(slide => slide.notes)
      .filter(Boolean)
      .join('\n\n')
      .slice(0, 200_000),
    board: { width: room + columns * (size.width + room), height: room + rows * (size.height + room) },
    views,
    opens: views[0]?.id,
  }
  return { board, views }
}

/** A slide's beats after those that the board has; where the slide began by itself or by a press, its first beat does. */
function takeBeats(work: Working, board: Slide, slide: Slide, context: EditContext) {
  const there = beatsOf(work.now, board.id)
  const own = beatsOf(work.now, slide.id)
  const orders = ordersAt(there, Infinity, own.length)
  const onward = infoOf(work.now).purpose === 'talk' ? 'advance' : 'self'
  work.do(
    own.map((beat, at): Change => {
      const start = at > 0 || !there.length ? beat.start : onward
      return putRecord('beats', { ...beat, id: context.id(), slide: board.id, order: orders[at]!, start })
    }),
  )
}

/** What a rectangle is filled with that stands for a slide's ground. Four colours become a gradient across them. */
function paintOfGround(deck: Deck, slide: Slide): Paint {
  const fill = fillOfGround(deck, slide)?.fill
  if (!fill) return groundOf(deck, slide)
  if (fill.kind === 'picture') {
    const { kind, media, natural, view } = fill
    return { kind, media, natural, ...(view ? { view } : {}) }
  }
  if (fill.kind !== 'corners') return fill
  const [topLeft, topRight, bottomRight] = fill.colors
  const stops = [topLeft!, topRight!, bottomRight!].map((color, index) => ({ color, at: index / 2 }))
  return { kind: 'linear', angle: 135, stops }
}

/** A slide's own ground, where it is another than the board's: a rectangle behind its view, with what lies over a picture on it. */
function takeGround(work: Working, board: Slide, slide: Slide, view: BoardView, context: EditContext) {
  const fill = fillOfGround(work.now, slide)?.fill
  if (!fill && groundHex(work.now, slide) === groundHex(work.now, board)) return
  const put = (name: string, paint: Paint) => {
    const element: Element = {
      id: context.id(),
      owner: board.id,
      order: orderLast(elementsOf(work.now, board.id)),
      kind: 'shape',
      shape: 'rectangle',
      name: `${name} of ${view.name}`.slice(0, 200),
      // A ground is not read on itself: its roles are those of the theme, wherever it stands.
      fill: asSeenOn(themeUnder(work.now, slide.id).palette, themeOf(work.now, board).palette, paint),
      box: view.box,
    }
    work.do([putRecord('elements', element)])
  }
  put('Background', paintOfGround(work.now, slide))
  if (fill?.kind === 'picture' && fill.veil) put('Overlay', fill.veil)
}

/**
 * A value with its colours as they were seen by one palette, for where another is seen by: a role whose colour differs there becomes one
 * that has it there, else that colour.
 */
function asSeenOn<T>(before: Palette, after: Palette, value: T): T {
  if (before === after) return value
  const exchange = (color: Record<string, unknown>) => {
    const role = roleNames.find(name => name === color.role)
    if (!role || before[role] === after[role]) return undefined
    const found = roleNames.find(name => after[name] === before[role])
    const { role: _, ...rest } = color
    // A tint is of a role; a colour has it mixed in.
    return found
      ? { ...rest, role: found }
      : { hex: hexOf(color as Color, before), ...(rest.alpha === undefined ? {} : { alpha: rest.alpha }) }
  }
  return exchanged(value, exchange) as T
}

/** Elements as they were seen on their slide, for a board on whose ground roles look otherwise. */
function elementsSeen(deck: Deck, slide: Slide, board: Slide, clipping: Clipping): Clipping {
  const [before, after] = [themeOf(deck, slide).palette, themeOf(deck, board).palette]
  if (before === after) return clipping
  const saying = (element: Element): Element => {
    if (element.kind === 'text' && element.color === undefined) return { ...element, color: styleOf(deck, element).color }
    return element.kind === 'icon' && !element.color ? { ...element, color: { role: 'ink' } } : element
  }
  return { ...clipping, elements: clipping.elements.map(element => asSeenOn(before, after, saying(element))) }
}

/** Lets the camera go to a view as a beat opens; what happened there from the start happens once it has arrived. */
function arriveAt(work: Working, beat: Id, view: BoardView, context: EditContext) {
  const cameraId = context.id()
  const arriving = cuesOf(work.now, beat).filter(cue => cue.anchor.to === 'beat')
  work.do([
    ...addCue(work.now, { cue: cameraCue(beat, view.id) }, { ...context, id: () => cameraId }),
    ...arriving.map((cue): Change => setRecord('cues', cue.id, { anchor: { to: 'end', cue: cameraId } })),
  ])
}

/**
 * Sounds from or until one of the slides run from or until the board: as much later as the
 * slide's first beat is now (`starts`: its index there).
 */
function takeSounds(work: Working, board: Slide, slides: readonly Slide[], starts: readonly number[], context: TimingContext) {
  const { beats } = compileSlide(work.now, board.id, context)
  const places = new Map(slides.map((slide, index) => [slide.id, index]))
  for (const sound of Object.values(work.now.sounds)) {
    const [from, until] = [places.get(sound.fromSlide), places.get(sound.untilSlide)]
    if (from === undefined && until === undefined) continue
    work.do([
      setRecord('sounds', sound.id, {
        ...(from === undefined ? {} : { fromSlide: board.id, delay: sound.delay + (beats[starts[from]!]?.at ?? 0) }),
        ...(until === undefined ? {} : { untilSlide: board.id }),
      }),
    ])
  }
}

/**
 * Turns a run of slides into one board: each becomes a view of it, row by row, and the camera goes from one to the next
 * where one slide followed the other. Beats, motion and sounds come along; what slides had of grounds of their own lies
 * behind their views, and what is set on them keeps the colours in which it was seen. The picture opens on the first view and stays on
 * the last. No changes for fewer than two slides, or boards among them.
 */
export function slidesToBoard(deck: Deck, input: { slides: readonly Id[] }, context: EditContext & TimingContext): Change[] {
  const slides = slidesOf(deck).filter(slide => input.slides.includes(slide.id))
  const [first, ...others] = slides
  if (!first || !others.length || slides.some(slide => slide.board)) return []
  const { board, views } = boardFor(deck, [first, ...others], context)
  const work = working(deck)
  work.do([putRecord('slides', board)])
  const starts = slides.map((slide, index) => {
    const view = views[index]!
    const base = beatsOf(work.now, board.id).length
    takeBeats(work, board, slide, context)
    takeGround(work, board, slide, view, context)
    const clipping = wholeClip(deck, slide.id)
    if (clipping) {
      const { x, y } = view.box
      const seen = elementsSeen(work.now, slide, board, clipping)
      work.do(pasteClipping(work.now, { clipping: inBeats(seen, beat => base + beat), owner: board.id, offset: { x, y } }, context))
    }
    if (index > 0) arriveAt(work, beatsOf(work.now, board.id)[base]!.id, view, context)
    return base
  })
  takeSounds(work, board, slides, starts, context)
  const gone = slides.map(slide => slide.id)
  work.do(relinked(work.now, new Map(gone.map(slide => [slide, board.id]))))
  work.do(dropSlides(work.now, gone))
  return work.changes
}
