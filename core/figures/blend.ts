import type { Limb, Pose } from './skeleton'

const mix = (a: number, b: number, share: number) => a + (b - a) * share
const limb = (a: Limb, b: Limb, share: number): Limb => [mix(a[0], b[0], share), mix(a[1], b[1], share)]

/** A pose on its way from one to another: joints turn evenly; what is held, the face and the seat change half way. */
export function blendPoses(from: Pose, to: Pose, share: number): Pose {
  if (share <= 0) return from
  if (share === 1) return to
  const nearer = share < 0.5 ? from : to
  return {
    ...nearer,
    name: `${from.name}-${to.name}`,
    lean: mix(from.lean ?? 0, to.lean ?? 0, share),
    nod: mix(from.nod ?? 0, to.nod ?? 0, share),
    arms: { back: limb(from.arms.back, to.arms.back, share), front: limb(from.arms.front, to.arms.front, share) },
    legs: { back: limb(from.legs.back, to.legs.back, share), front: limb(from.legs.front, to.legs.front, share) },
  }
}

/** A pose with some of its limbs elsewhere. */
export const withLimbs = (pose: Pose, more: { lean?: number; nod?: number; face?: Pose['face']; back?: Limb; front?: Limb }): Pose => ({
  ...pose,
  lean: more.lean ?? pose.lean,
  nod: more.nod ?? pose.nod,
  face: more.face ?? pose.face,
  arms: { back: more.back ?? pose.arms.back, front: more.front ?? pose.arms.front },
})

const radians = (degrees: number) => (degrees * Math.PI) / 180

/**
 * Someone in the middle of walking: `strides` walked so far, one is two steps. Arms swing against the legs; a knee bends as its leg comes
 * forward.
 */
export function walking(pose: Pose, strides: number): Pose {
  const turn = strides * 360
  const leg = (phase: number): Limb => {
    const upper = 27 * Math.sin(radians(phase))
    return [upper, upper - 8 - 38 * Math.max(0, Math.cos(radians(phase)))]
  }
  const arm = (phase: number): Limb => {
    const upper = 24 * Math.sin(radians(phase))
    return [upper, upper + 16]
  }
  const free = pose.holds || pose.sits ? pose.arms : { back: arm(turn), front: arm(turn + 180) }
  return {
    ...pose,
    name: `${pose.name}-walking`,
    lean: (pose.lean ?? 0) + 3,
    sits: false,
    arms: free,
    legs: { back: leg(turn + 180), front: leg(turn) },
  }
}
