import type { DataTable } from '../data'
import type { Ink } from '../drawing'
import type { Measurer } from '../text'
import type { Id } from '../values'

/** What timing needs to know beside the deck. */
export interface TimingContext {
  measurer: Measurer
  table(id: Id): DataTable | undefined
  /** The length of a clip or sound by its hash, seconds; undefined while unknown. */
  mediaLength(hash: string): number | undefined
  /** How words are written and what lines pictures have; absent, what is drawn by hand comes without lines. */
  ink?: Ink
}
