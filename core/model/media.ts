import type { Deck } from './records'
import type { Element } from './records/element'

const hash = /^[0-9a-f]{64}$/

/** Calls for every media hash in a value: fields named `media` or `picture`. */
function visit(value: unknown, found: (hash: string) => void) {
  if (Array.isArray(value)) for (const item of value) visit(item, found)
  else if (typeof value === 'object' && value !== null) {
    for (const [key, item] of Object.entries(value)) {
      if ((key === 'media' || key === 'picture') && typeof item === 'string' && hash.test(item)) found(item)
      else if (typeof item === 'object') visit(item, found)
    }
  }
}

/** The hashes of all media that records refer to, in order. */
/** Whether a figure's face moves with the voice that is heard: as it says, else where it stands for the speaker. */
export const speaks = (element: Element) => element.kind === 'figure' && (element.speaks ?? element.speaker === true)

/** The voices that faces move with, by hash: none where no figure speaks. */
export const voicesOf = (deck: Deck): string[] =>
  Object.values(deck.elements).some(speaks)
    ? [
        ...new Set(
          Object.values(deck.sounds)
            .filter(sound => sound.use === 'narration')
            .map(sound => sound.media),
        ),
      ]
    : []

export function mediaIn(...records: readonly unknown[]): string[] {
  const found = new Set<string>()
  visit(records, one => found.add(one))
  return [...found].sort()
}

/** The hashes of all media that a deck refers to: pictures, films, sounds, grounds, logos, bullets, font faces. */
export const mediaOf = (deck: Deck) =>
  mediaIn(
    Object.values(deck.elements),
    Object.values(deck.sounds),
    Object.values(deck.theme),
    Object.values(deck.masters),
    Object.values(deck.layouts),
    Object.values(deck.slides),
  )
