import type { FigureLook } from '../model'

export interface Point {
  x: number
  y: number
}

/** The angles of a limb: of its upper and its lower bone, degrees. */
export type Limb = readonly [upper: number, lower: number]

/** How a figure stands: the angles of its joints, and what it holds. */
export interface Pose {
  name: string
  label: string
  /** Other words that it is found by. */
  keywords: string
  /** The back bends forwards by so many degrees. */
  lean?: number
  /** The head bends forwards by so many degrees. */
  nod?: number
  arms: { back: Limb; front: Limb }
  legs: { back: Limb; front: Limb }
  face?: 'smile' | 'open' | 'flat'
  holds?: 'box' | 'phone' | 'book' | 'cup' | 'sign'
  sits?: boolean
}

/** Lengths and widths of a body, in hundredths of a grown person's height. */
export interface Body {
  torso: number
  thigh: number
  shin: number
  upper: number
  fore: number
  neck: number
  head: number
  shoulder: number
  waist: number
  hip: number
  arm: number
  leg: number
}

export const bodies: Readonly<Record<FigureLook['body'], Body>> = {
  slim: {
    torso: 27,
    thigh: 22,
    shin: 22,
    upper: 14.5,
    fore: 13,
    neck: 3.4,
    head: 6.3,
    shoulder: 8,
    waist: 5.6,
    hip: 6.4,
    arm: 2.2,
    leg: 3,
  },
  medium: {
    torso: 28,
    thigh: 21.5,
    shin: 21,
    upper: 14.5,
    fore: 13,
    neck: 3.2,
    head: 6.5,
    shoulder: 9,
    waist: 7,
    hip: 7.4,
    arm: 2.5,
    leg: 3.4,
  },
  broad: {
    torso: 28.5,
    thigh: 21,
    shin: 20.5,
    upper: 14.5,
    fore: 13,
    neck: 2.8,
    head: 6.7,
    shoulder: 10.6,
    waist: 9.6,
    hip: 9.4,
    arm: 2.9,
    leg: 4,
  },
  child: {
    torso: 19,
    thigh: 13.5,
    shin: 13,
    upper: 9.6,
    fore: 8.6,
    neck: 2,
    head: 6.4,
    shoulder: 6,
    waist: 5,
    hip: 5.2,
    arm: 1.9,
    leg: 2.5,
  },
}

/** Where the joints of a posed figure are; y grows downwards, the lower foot stands on 0. */
export interface Joints {
  hip: Point
  neck: Point
  head: Point
  /** Degrees that the back and the head bend. */
  lean: number
  nod: number
  shoulders: { back: Point; front: Point }
  elbows: { back: Point; front: Point }
  hands: { back: Point; front: Point }
  hips: { back: Point; front: Point }
  knees: { back: Point; front: Point }
  feet: { back: Point; front: Point }
}

const radians = (degrees: number) => (degrees * Math.PI) / 180
/** The end of a bone of a length that hangs from a point at an angle. */
const along = (from: Point, angle: number, length: number): Point => ({
  x: from.x + Math.sin(radians(angle)) * length,
  y: from.y + Math.cos(radians(angle)) * length,
})

/**
 * Forward kinematics: from the hips up the back to the head and hands, and down to the feet; then all is moved so that the lower foot
 * stands on the ground.
 */
export function solve(pose: Pose, body: Body): Joints {
  const { lean = 0, nod = 0 } = pose
  const hip = { x: 0, y: 0 }
  const up = 180 - lean
  const neck = along(hip, up, body.torso)
  const head = along(neck, 180 - lean - nod, body.neck + body.head)
  const aside = (from: Point, by: number): Point => ({ x: from.x + Math.cos(radians(lean)) * by, y: from.y + Math.sin(radians(lean)) * by })
  const girdle = along(neck, -lean, body.torso * 0.08)
  const shoulders = { back: aside(girdle, -body.shoulder * 0.86), front: aside(girdle, body.shoulder * 0.86) }
  const hips = { back: { x: -body.hip * 0.46, y: 0 }, front: { x: body.hip * 0.46, y: 0 } }
  const limb = (from: Point, [upper, lower]: Limb, lengths: readonly [number, number]) => {
    const joint = along(from, upper, lengths[0])
    return { joint, end: along(joint, lower, lengths[1]) }
  }
  const arms = {
    back: limb(shoulders.back, pose.arms.back, [body.upper, body.fore]),
    front: limb(shoulders.front, pose.arms.front, [body.upper, body.fore]),
  }
  const legs = {
    back: limb(hips.back, pose.legs.back, [body.thigh, body.shin]),
    front: limb(hips.front, pose.legs.front, [body.thigh, body.shin]),
  }
  const ground = Math.max(legs.back.end.y, legs.front.end.y)
  const lifted = (point: Point): Point => ({ x: point.x, y: point.y - ground })
  const both = <T>(of: { back: T; front: T }, point: (one: T) => Point) => ({
    back: lifted(point(of.back)),
    front: lifted(point(of.front)),
  })
  return {
    hip: lifted(hip),
    neck: lifted(neck),
    head: lifted(head),
    lean,
    nod,
    shoulders: both(shoulders, one => one),
    hips: both(hips, one => one),
    elbows: both(arms, arm => arm.joint),
    hands: both(arms, arm => arm.end),
    knees: both(legs, leg => leg.joint),
    feet: both(legs, leg => leg.end),
  }
}
