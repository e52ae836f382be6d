import { doing } from './doing'
import { feeling } from './feeling'
import type { Gesture } from './gesture'
import { telling } from './telling'

export type { Gesture } from './gesture'

/** Every gesture, in the order in which they are offered. */
export const gestures: readonly Gesture[] = [...telling, ...feeling, ...doing]

/** The gesture in which something is held up. */
export const holding = doing.find(gesture => gesture.holds)!

const byName = new Map(gestures.map(gesture => [gesture.name, gesture]))

/** A gesture by name; undefined where this version knows none of that name. */
export const gestureNamed = (name: string): Gesture | undefined => byName.get(name)
