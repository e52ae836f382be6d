import { bodies, blendPoses, figureLook, gestureNamed, poseNamed, solve, walking, type Pose } from '../figures'
import type { Deck, FigureElement } from '../model'
import { themeUnder, type ShownElement } from '../resolved'
import { makeGesture, optionOf, takePose, walkIn } from './effects'
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
  const gesture = gestureNamed('hold-up')!
  const { hands } = solve(gesture.at(poseNamed(element.pose), 0.5), body)
  const scale = Math.min(element.box.width / 98, element.box.height / 122)
  const across = ((hands.back.x + hands.front.x) / 2) * scale * (element.facing === 'left' ? -1 : 1)
  return {
    x: element.box.x + element.box.width / 2 + across,
    y: element.box.y + element.box.height + (-3 + (hands.back.y + hands.front.y) / 2) * scale,
  }
}

/** A gesture under way: which, how far, and what it holds. */
export interface GestureUnderWay {
  share: number
  name: string
  holds: string | null
}

/** The gesture that a cue makes so many seconds after it began; null once it is over. */
export function gestureAt(cue: ScoreCue, since: number): GestureUnderWay | null {
  const { repeat } = cue.cue
  if (cue.effect !== makeGesture || since < 0 || cue.round === 0 || (repeat !== 'forever' && since >= cue.round * repeat)) return null
  const holds = cue.cue.options.holds
  return {
    share: cue.ease((since % cue.round) / cue.round),
    name: optionOf<string>(makeGesture, cue.cue.options, 'gesture'),
    holds: typeof holds === 'string' && holds ? holds : null,
  }
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
    if (cue.effect !== takePose) continue
    const seconds = since(cue)
    if (seconds < 0) continue
    moved = true
    pose = blendPoses(
      pose,
      poseNamed(optionOf<string>(takePose, cue.cue.options, 'pose')),
      cue.round === 0 || seconds >= cue.round ? 1 : cue.ease(seconds / cue.round),
    )
  }
  for (const cue of cues) {
    const under = gestureAt(cue, since(cue))
    const gesture = under && gestureNamed(under.name)
    if (!under || !gesture) continue
    moved = true
    pose = gesture.at(pose, under.share)
    lift += gesture.lift?.(under.share) ?? 0
  }
  if (!strides) return moved ? { pose, lift } : null
  // It looks where it goes, and sets its feet forwards whether it comes or leaves.
  const walk = cues.findLast(cue => cue.effect === walkIn && since(cue) >= 0)?.cue
  const comes = walk?.what !== 'exit'
  const faces = (optionOf<string>(walkIn, walk?.options ?? {}, 'from') === 'left') === comes ? ('right' as const) : ('left' as const)
  return {
    pose: blendPoses(pose, walking(pose, comes ? strides.count : -strides.count), strides.share),
    lift,
    ...(strides.share > 0.5 ? { faces } : {}),
  }
}
