import type { Entry, Gathered } from '../data'

/** A moment of a table that is run through, as a chart shows it. */
export interface RunMoment {
  /** 0 is the first moment; between two it is on its way. */
  time: number
  moments: readonly Entry[]
  /** The rows of each moment: what holds all along, such as a scale, follows from all of them. */
  knots: readonly Gathered[]
  /** What each amount that is drawn lies between all the way through, by the name of its column. */
  extents: ReadonlyMap<string, readonly [number, number]>
  /** How many categories stand in their places. */
  rows: number
  /** Where a category stands, from 0; null of what is none. */
  place(key: string): number | null
  /** How much of it is seen, 0 to 1. */
  seen(key: string): number
}
