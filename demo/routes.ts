import { addBeat, addCue, addElement } from '../core/edits'
import { beatsOf, slidesOf, type Cue, type Deck, type ElementWithout, type Logo } from '../core/model'
import { centerOf, type Point } from '../core/place'
import type { Box } from '../core/values'
import { roughMeasurer } from '../core/text'
import { namedEasings, slidesToBoard, tourViews, type TimingContext } from '../core/timing'
import type { DemoPicture } from './decks'
import { workbench, type Workbench } from './workbench'

const outline = `Astrel, every hour
  First boat 06:10, last boat 23:10
  Forty minutes along the cliffs
  Cars, bicycles, dogs
Quill, by tide and by night
  A late boat at 22:40
  Shallow water: small boats only
  The lamp on the mole shows the way
Low Sands, with the school bus
  The boat waits for the bus
  Eleven minutes across
  Free for pupils
Port Harrow, the long way
  Two and a half hours, two boats a day
  Breakfast on board
  Berth 2 from April`

/** The four routes as slides. */
function slidesOfRoutes(pictures: readonly DemoPicture[], logo: Logo): Workbench {
  const work = workbench({ title: 'Four routes from one quay', purpose: 'talk', prefix: 'routes', outline })
  work.brand(logo)
  work.layout(0, 'picture')
  work.picture(0, pictures[1] ?? pictures[0]!, 'The ferry to Astrel under the cliffs')
  work.layout(1, 'list')
  work.layout(3, 'picture')
  work.picture(3, pictures[2] ?? pictures[0]!, 'The long crossing to Port Harrow')
  work.look('hill-lines')
  return work
}

/** A board under the hand: elements are put on it, and cues given to them. */
function onBoard(work: Workbench, board: string) {
  return {
    put(element: ElementWithout<'id' | 'owner' | 'order'>) {
      const id = work.context.id()
      work.edit(addElement(work.deck(), { element: { ...element, id, owner: board } }))
      return id
    },
    cue(cue: Pick<Cue, 'beat' | 'element' | 'what' | 'effect' | 'options'> & Partial<Cue>) {
      const usual = { anchor: { to: 'beat' }, delay: 0, duration: 2, easing: namedEasings.linear, repeat: 1 } as const
      work.edit(addCue(work.deck(), { cue: { ...usual, ...cue } }, work.context))
    },
  }
}
type OnBoard = ReturnType<typeof onBoard>

/** The harbour's speaker walks into a view and waves. */
function walkIn({ put, cue }: OnBoard, view: Box, beat: string) {
  const element = put({
    kind: 'figure',
    name: 'Ines',
    pose: 'stand',
    facing: 'left',
    speaker: true,
    alt: 'Ines Rahm waves',
    box: { x: view.x + 1240, y: view.y + 330, width: 440, height: 590, angle: 0 },
  })
  cue({ beat, element, what: 'enter', effect: 'walk-in', options: { from: 'right' }, duration: 3, delay: 1.5 })
  cue({ beat, element, what: 'pose', effect: 'gesture', options: { gesture: 'wave' }, duration: 2.2, delay: 4.7 })
}

/** A line between two places, as one would draw it on a napkin. */
function napkinLine(name: string, from: Point, to: Point): ElementWithout<'id' | 'owner' | 'order'> {
  const box = {
    x: Math.min(from.x, to.x),
    y: Math.min(from.y, to.y),
    width: Math.max(60, Math.abs(to.x - from.x)),
    height: Math.max(60, Math.abs(to.y - from.y)),
    angle: 0,
  }
  const share = (point: Point): [number, number] => [(point.x - box.x) / box.width, (point.y - box.y) / box.height]
  return {
    kind: 'shape',
    name,
    shape: 'line',
    line: { way: 'straight', points: [share(from), share(to)] },
    stroke: { color: { role: 'accent2' }, width: 26 },
    ends: { start: 'dot', end: 'arrow' },
    rough: 0.5,
    box,
  }
}

/** The lines from view to view, one after the other. */
function drawLines({ put, cue }: OnBoard, views: readonly Box[], beat: string) {
  const [a, b, c, d] = views.map(centerOf) as [Point, Point, Point, Point]
  const beside = 970
  const lines = [
    napkinLine('From Astrel to Quill', { x: a.x + beside, y: a.y }, { x: b.x - beside, y: b.y }),
    napkinLine('From Quill to Low Sands', { x: b.x - 800, y: b.y + 570 }, { x: c.x + 800, y: c.y - 570 }),
    napkinLine('From Low Sands to Port Harrow', { x: c.x + beside, y: c.y }, { x: d.x - beside, y: d.y }),
  ].map(put)
  lines.forEach((element, index) =>
    cue({ beat, element, what: 'enter', effect: 'draw', options: { nib: 'marker', speed: 900 }, delay: index * 0.9 }),
  )
}

/** A board that the camera goes over: four routes, each in a view of its own, and at the end all of them with their lines drawn by hand. */
export function fourRoutes(pictures: readonly DemoPicture[], logo: Logo): Deck {
  const work = slidesOfRoutes(pictures, logo)
  const timing: TimingContext = { measurer: roughMeasurer, table: () => undefined, mediaLength: () => undefined }
  const slides = slidesOf(work.deck()).map(slide => slide.id)
  work.edit(slidesToBoard(work.deck(), { slides }, { ...work.context, ...timing }))
  const board = slidesOf(work.deck())[0]!
  work.edit(tourViews(work.deck(), { slide: board.id, back: true }, work.context))
  const views = board.views!.map(view => view.box)
  const beats = beatsOf(work.deck(), board.id)
  walkIn(onBoard(work, board.id), views[1]!, beats[1]!.id)
  // All of it at the end.
  work.edit(addBeat(work.deck(), { slide: board.id, after: beats.at(-1)!.id, start: 'advance' }, work.context))
  drawLines(onBoard(work, board.id), views, beatsOf(work.deck(), board.id).at(-1)!.id)
  work.notes(0, 'Let them look at all four before the lines are drawn.')
  return work.deck()
}
