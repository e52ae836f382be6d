import type { Pose } from '../skeleton'
import { calm } from './calm'
import { lively } from './lively'
import { moving } from './moving'

/** Every pose, in the order in which they are offered. */
export const poses: readonly Pose[] = [...calm, ...lively, ...moving]

const byName = new Map(poses.map(pose => [pose.name, pose]))

/** A pose by name; one that this version does not know stands. */
export const poseNamed = (name: string): Pose => byName.get(name) ?? poses[0]!
