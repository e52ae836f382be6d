import { blendPoses } from '../blend'
import { poseNamed } from '../poses'
import type { Pose } from '../skeleton'

/** Something that a figure does and comes back from. */
export interface Gesture {
  name: string
  label: string
  /** Seconds that it takes once, unless chosen otherwise. */
  seconds: number
  /** How it stands in the middle of it: `share` 0 to 1 of the gesture, beginning and ending as it stood. */
  at(standing: Pose, share: number): Pose
  /** Whether it holds something up between its hands. */
  holds?: true
  /** How high it is off the ground, as a share of a grown person's height; absent is not at all. */
  lift?(share: number): number
}

const smooth = (share: number) => share * share * (3 - 2 * share)
/** Comes, stands and goes: 0 at both ends, 1 from `rise` to 1 − `rise`. */
export const held = (share: number, rise = 0.25) => smooth(Math.min(1, Math.max(0, Math.min(share / rise, (1 - share) / rise))))
/** To and fro about the middle so many times; 0 at both ends. */
export const swing = (share: number, times: number) => Math.sin(share * times * 2 * Math.PI)

/** Into a pose of the catalogue, standing in it, and back; the legs stay where they are. */
export const intoPose = (name: string, label: string, pose: string, seconds: number): Gesture => ({
  name,
  label,
  seconds,
  at: (standing, share) => blendPoses(standing, { ...poseNamed(pose), legs: standing.legs, sits: standing.sits }, held(share)),
})
