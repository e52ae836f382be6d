import type { Deck, Element, Parts } from '../model'
import type { TimingContext } from './context'
import { timedKind } from './kinds'
import type { PartSpan, Track } from './score'

/** Ways of telling the parts of an element apart, as they are offered; none of what moves as a whole. */
export const partWays = (element: Element | null | undefined): readonly Parts['by'][] =>
  (element && timedKind(element)?.ways(element)) || []

/** Whether the parts of an element can come by what they amount to. */
export const partsHaveAmounts = (element: Element | null | undefined): boolean => !!element && !!timedKind(element)?.amounts

/** What one of the parts of an element is called that are told apart in a way, as in “bar by bar”. */
export const partName = (element: Element | null | undefined, by: Parts['by']): string =>
  (element && timedKind(element)?.partName(element, by)) ?? 'part'

/** What each part says that a cue moves on its own, in the order in which they take their turns. */
export function partWords(deck: Deck, track: Track, span: PartSpan, context: TimingContext): string[] {
  const finest = (track.partsBy && timedKind(track.element)?.words(deck, track.element, track.partsBy, context)) || []
  const joint = track.partsBy === 'letter' ? '' : ' '
  const made = Array.from({ length: span.count }, (): string[] => [])
  span.place.forEach((place, part) => made[place]?.push(finest[part] ?? ''))
  return made.map(words => words.join(joint).replace(/\s+/g, ' ').trim())
}
