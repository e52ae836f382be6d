import type { Deck, Element, ElementKind, Parts } from '../../model'
import type { ShownElement } from '../../resolved'
import type { Reading } from '../../text'
import type { TimingContext } from '../context'

export type ShownKind<K extends ElementKind> = Extract<ShownElement, { kind: K }>
export type By = Parts['by']

/** What timing needs to know of a kind of elements that have parts: one file a kind. */
export interface TimedKind<E extends ShownElement = ShownElement> {
  /** Ways of telling its parts apart, as they are offered. */
  ways(element: Extract<Element, { kind: E['kind'] }>): readonly By[]
  /** The finest parts that some ways of telling them apart need. */
  finest(ways: readonly By[]): By
  /** For each finest part, the index of the part that it belongs to, told apart another way. */
  indices(deck: Deck, element: E, by: By, fine: By, context: TimingContext): number[]
  /** What each of its parts amounts to, where they can come in that order. */
  amounts?(deck: Deck, element: E, by: By, context: TimingContext): readonly (number | null)[]
  /** What there is to read of it: of all, or of the parts that are `covered`, told apart `by`. */
  reading(deck: Deck, element: E, context: TimingContext, covered: ((part: number) => boolean) | null, by: By | null): Reading
  /** What each of its finest parts says. */
  words(deck: Deck, element: E, fine: By, context: TimingContext): readonly string[]
  /** What one of its parts is called, as in “bar by bar”. */
  partName(element: Extract<Element, { kind: E['kind'] }>, by: By): string
}
