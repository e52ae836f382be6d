import { bodies, blendPoses, figureLook, holding, poseNamed, solve, walking, type Pose } from '../figures'
import type { Deck, FigureElement } from '../model'
import { themeUnder, type ShownElement } from '../resolved'
import type { Id } from '../values'
import type { PartFrame } from './part-frame'
import type { ScoreCue } from './score'

/** How a figure stands at a moment: its pose, and how high it is off the ground, as a share of its box's height. */
export interface FigureMoment {
  pose: Pose
  lift: number
  /** Where it looks as it walks; absent as composed. */
  faces?: 'left' | 'right'
}

/** Where, px of the slide, a figure holds up what it holds: the middle between its hands. */
export function handsOf(deck: Deck, element: FigureElement & ShownElement): { x: number; y: number } {
  const body = bodies[figureLook(element, themeUnder(deck, element.owner)).body]
  const { hands } = solve(holding.at(poseNamed(element.pose), 0.5), body)
  const scale = Math.min(element.box.width / 98, element.box.height / 122)
  const across = ((hands.back.x + hands.front.x) / 2) * scale * (element.facing === 'left' ? -1 : 1)
  return {
    x: element.box.x + element.box.width / 2 + across,
    y: element.box.y + element.box.height + (-3 + (hands.back.y + hands.front.y) / 2) * scale,
  }
}

/** What a figure does and does not keep, under way: how far, and what it holds up. */
export interface GestureUnderWay {
  share: number
  holds: Id | null
}

/** The gesture that a cue makes so many seconds after it began; null once it is over. */
export function gestureAt(cue: ScoreCue, since: number): GestureUnderWay | null {
  const { repeat, options } = cue.cue
  const { figure } = cue.effect
  if (!figure || figure.keeps || since < 0 || cue.round === 0 || (repeat !== 'forever' && since >= cue.round * repeat)) return null
  return { share: cue.ease((since % cue.round) / cue.round), holds: figure.holds?.(options) ?? null }
}

/** How a figure stands, by its cues and whether it walks; null as composed. `since`: seconds since a cue began, below 0 before. */
export function figureAt(
  element: FigureElement,
  cues: readonly ScoreCue[],
  strides: PartFrame['strides'],
  since: (cue: ScoreCue) => number,
): FigureMoment | null {
  let pose = poseNamed(element.pose)
  let lift = 0
  let moved = false
  for (const cue of cues) {
    const { figure } = cue.effect
    const seconds = since(cue)
    if (!figure?.keeps || seconds < 0) continue
    moved = true
    pose = figure.at(pose, cue.round === 0 || seconds >= cue.round ? 1 : cue.ease(seconds / cue.round), cue.cue.options).pose
  }
  for (const cue of cues) {
    const under = gestureAt(cue, since(cue))
    const made = under && cue.effect.figure?.at(pose, under.share, cue.cue.options)
    if (!made) continue
    moved = true
    pose = made.pose
    lift += made.lift
  }
  if (!strides) return moved ? { pose, lift } : null
  // It looks where it goes, and sets its feet forwards whether it comes or leaves.
  const walk = cues.findLast(cue => cue.effect.walks && since(cue) >= 0)
  const comes = walk?.cue.what !== 'exit'
  const side = walk?.effect.walks?.(walk.cue.options) ?? 'left'
  const faces = (side === 'left') === comes ? ('right' as const) : ('left' as const)
  return {
    pose: blendPoses(pose, walking(pose, comes ? strides.count : -strides.count), strides.share),
    lift,
    ...(strides.share > 0.5 ? { faces } : {}),
  }
}
