import { infoOf, viewsOf, type Cue, type Deck, type Slide } from '../model'
import { memoByRecords, type Box, type Id } from '../values'
import { cameraOn, cameraSpeed, cameraWay, overviewOf, type Camera, type CameraWay } from './camera'
import { easingOf, namedEasings, type EasingFunction } from './easing'
import { effectNamed } from './effects'
import type { CameraLeg, CameraPlan, ScoreCue } from './score'

type Size = { width: number; height: number }

/** What a camera cue leads to, or a board opens with: a view by id; anything else is all of the board. */
export function cameraAtView(slide: Slide, view: unknown, size: Size): Camera {
  const found = viewsOf(slide).find(one => one.id === view)
  return found ? cameraOn(found.box, size) : overviewOf(slide.board!, size)
}

/** The pace of a camera: a picture that goes in steps would leap. */
export const cameraEase = (cue: Pick<Cue, 'easing'>): EasingFunction =>
  easingOf(cue.easing.kind === 'steps' ? namedEasings['gently both ways'] : cue.easing)

const paceSteps = 240
/** How much faster a pace is at its fastest than on average. */
const peakOf = memoByRecords(
  (ease: EasingFunction) => [ease],
  ease => {
    const speeds = Array.from(
      { length: paceSteps },
      (_, index) => Math.abs(ease((index + 1) / paceSteps) - ease(index / paceSteps)) * paceSteps,
    )
    return Math.max(...speeds)
  },
)

/** Lengths of its way that a camera passes in a second where it is fastest. */
export const fastestOf = (way: CameraWay, cue: Pick<Cue, 'easing'>, seconds: number) =>
  seconds > 0 ? (way.length * peakOf(cameraEase(cue))) / seconds : 0

/** Seconds that a way takes: as is chosen, or as feels unhurried; never so few that the picture rushes by (`cameraSpeed`). */
export function cameraSeconds(way: CameraWay, cue: Pick<Cue, 'effect' | 'easing' | 'duration' | 'options'>): number {
  if (way.length < 1e-6) return 0
  const speed = effectNamed(cue.effect, 'camera').camera?.speed(cue.options) ?? null
  const wished = speed === null ? cue.duration : way.length / (cameraSpeed.easy * speed)
  return Math.max(wished, (way.length * peakOf(cameraEase(cue))) / cameraSpeed.most)
}

const straight = (cue: Pick<Cue, 'effect' | 'options'>) => effectNamed(cue.effect, 'camera').camera?.straight(cue.options) ?? false

/** The ways that the camera cues of a board lead, each from where the one before ends; by cue. */
export function waysOf(deck: Deck, slide: Id, cues: readonly Cue[]): Map<Id, CameraWay> {
  const record = deck.slides[slide]!
  const { size } = infoOf(deck)
  let from = cameraAtView(record, record.opens, size)
  return new Map(
    cues.map(cue => {
      const to = cameraAtView(record, cue.options.view, size)
      const way = cameraWay(from, to, size, straight(cue))
      from = to
      return [cue.id, way]
    }),
  )
}

/** Where a leg has brought the camera so many seconds after it began. */
const onWay = ({ cue, way }: CameraLeg, since: number): Camera =>
  way.at(cue.round === 0 || since >= cue.round ? 1 : cue.ease(since / cue.round))

/** The plan of a board's camera: a leg that begins while another is under way begins where that one is. */
export function planCamera(deck: Deck, slide: Id, cues: readonly ScoreCue[]): CameraPlan {
  const record = deck.slides[slide]!
  const { size } = infoOf(deck)
  const opens = cameraAtView(record, record.opens, size)
  const legs: CameraLeg[] = []
  for (const cue of [...cues].sort((a, b) => a.beat - b.beat || a.start - b.start)) {
    const last = legs.at(-1)
    const from = last ? onWay(last, last.cue.beat === cue.beat ? cue.start - last.cue.start : Infinity) : opens
    legs.push({ cue, way: cameraWay(from, cameraAtView(record, cue.cue.options.view, size), size, straight(cue.cue)) })
  }
  return { opens, legs }
}

/**
 * How large a part of a board is ever shown: the largest scale of the cameras that rest with its middle in the picture; 0 where none does.
 */
export function largestSeen(plan: CameraPlan, box: Box, size: Size): number {
  const [x, y] = [box.x + box.width / 2, box.y + box.height / 2]
  const cameras = [plan.opens, ...plan.legs.map(leg => leg.way.at(1))]
  return Math.max(
    0,
    ...cameras.map(camera => {
      const turn = (-camera.angle * Math.PI) / 180
      const [dx, dy] = [(x - camera.x) * camera.scale, (y - camera.y) * camera.scale]
      const [px, py] = [dx * Math.cos(turn) - dy * Math.sin(turn), dx * Math.sin(turn) + dy * Math.cos(turn)]
      return Math.abs(px) <= size.width / 2 && Math.abs(py) <= size.height / 2 ? camera.scale : 0
    }),
  )
}

/** What is seen of a board; `since` tells the seconds since a cue began, below 0 before. */
export function cameraIn(plan: CameraPlan, since: (cue: ScoreCue) => number): Camera {
  const last = plan.legs.findLast(leg => since(leg.cue) >= 0)
  return last ? onWay(last, since(last.cue)) : plan.opens
}
