import type { Sense } from '../../families'
import type { Features } from './features'

/** How surely lines are something: 0 to 1, for order only, and why in one sentence; null where nothing speaks for it. */
export interface Reading {
  score: number
  reason: string
}

/** Judges whether lines are one kind of thing. */
export interface SenseReader {
  sense: Sense
  read(features: Features): Reading | null
}
