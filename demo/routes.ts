import { addBeat, addCue, addElement, setFields } from '../core/edits'
import { beatsOf, slidesOf, type Deck, type ElementWithout, type Logo } from '../core/model'
import type { Box } from '../core/values'
import { roughMeasurer } from '../core/text'
import { namedEasings, slidesToBoard, tourViews, type TimingContext } from '../core/timing'
import type { DemoPicture } from './decks'
import { workbench } from './workbench'

/** A board that the camera goes over: four routes, each in a view of its own, and at the end all of them with their lines drawn by hand. */
export function fourRoutes(pictures: readonly DemoPicture[], logo: Logo): Deck {
  const work = workbench({
    title: 'Four routes from one quay',
    purpose: 'talk',
    prefix: 'routes',
    outline: `Astrel, every hour
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
  Berth 2 from April`,
  })
  work.brand(logo)
  work.layout(0, 'picture')
  work.picture(0, pictures[1] ?? pictures[0]!, 'The ferry to Astrel under the cliffs')
  work.layout(1, 'list')
  work.layout(3, 'picture')
  work.picture(3, pictures[2] ?? pictures[0]!, 'The long crossing to Port Harrow')
  const context: TimingContext & typeof work.context = {
    ...work.context,
    measurer: roughMeasurer,
    table: () => undefined,
    mediaLength: () => undefined,
  }
  work.edit(slidesToBoard(work.deck(), { slides: slidesOf(work.deck()).map(slide => slide.id) }, context))
  const board = slidesOf(work.deck())[0]!
  work.edit(tourViews(work.deck(), { slide: board.id, back: true }, work.context))
  const views = board.views!.map(view => view.box)
  const put = (element: ElementWithout<'id' | 'owner' | 'order'>) => {
    const id = work.context.id()
    work.edit(addElement(work.deck(), { element: { ...element, id, owner: board.id } }))
    return id
  }
  const cue = (
    beat: string,
    element: string,
    what: 'enter' | 'pose',
    effect: string,
    options: Record<string, string | number>,
    more: object = {},
  ) =>
    work.edit(
      addCue(
        work.deck(),
        {
          cue: {
            beat,
            element,
            what,
            effect,
            options,
            anchor: { to: 'beat' },
            delay: 0,
            duration: 2,
            easing: namedEasings.linear,
            repeat: 1,
            ...more,
          },
        },
        work.context,
      ),
    )

  const second = views[1]!
  const figure = put({
    kind: 'figure',
    name: 'Ines',
    pose: 'stand',
    facing: 'left',
    speaker: true,
    alt: 'Ines Rahm waves',
    box: { x: second.x + 1240, y: second.y + 330, width: 440, height: 590, angle: 0 },
  })
  const beats = beatsOf(work.deck(), board.id)
  cue(beats[1]!.id, figure, 'enter', 'walk-in', { from: 'right' }, { duration: 3, delay: 1.5 })
  cue(beats[1]!.id, figure, 'pose', 'gesture', { gesture: 'wave' }, { duration: 2.2, delay: 4.7 })

  // All of it at the end: the lines from quay to quay, as one would draw them on a napkin.
  work.edit(addBeat(work.deck(), { slide: board.id, after: beats.at(-1)!.id, start: 'advance' }, work.context))
  const last = beatsOf(work.deck(), board.id).at(-1)!.id
  const middle = (box: Box) => ({ x: box.x + box.width / 2, y: box.y + box.height / 2 })
  const [a, b, c, d] = views.map(middle) as [
    { x: number; y: number },
    { x: number; y: number },
    { x: number; y: number },
    { x: number; y: number },
  ]
  const line = (name: string, from: { x: number; y: number }, to: { x: number; y: number }) => {
    const box = {
      x: Math.min(from.x, to.x),
      y: Math.min(from.y, to.y),
      width: Math.max(60, Math.abs(to.x - from.x)),
      height: Math.max(60, Math.abs(to.y - from.y)),
      angle: 0,
    }
    const share = (point: { x: number; y: number }): [number, number] => [(point.x - box.x) / box.width, (point.y - box.y) / box.height]
    return put({
      kind: 'shape',
      name,
      shape: 'line',
      line: { way: 'straight', points: [share(from), share(to)] },
      stroke: { color: { role: 'accent2' }, width: 26 },
      ends: { start: 'dot', end: 'arrow' },
      rough: 0.5,
      box,
    })
  }
  const beside = 760
  const lines = [
    line('From Astrel to Quill', { x: a.x + beside + 210, y: a.y }, { x: b.x - beside - 210, y: b.y }),
    line('From Quill to Low Sands', { x: b.x - 800, y: b.y + 570 }, { x: c.x + 800, y: c.y - 570 }),
    line('From Low Sands to Port Harrow', { x: c.x + beside + 210, y: c.y }, { x: d.x - beside - 210, y: d.y }),
  ]
  lines.forEach((id, index) => cue(last, id, 'enter', 'draw', { nib: 'marker', speed: 900 }, { delay: index * 0.9 }))
  work.edit(
    setFields(work.deck(), { table: 'slides', id: board.id, fields: { notes: 'Let them look at all four before the lines are drawn.' } }),
  )
  return work.deck()
}
