import { setRecord, type Change, type Deck } from '../model'
import { tidyBox } from '../place'
import type { Box, Id } from '../values'

/**
 * Gives elements their boxes, px of deck space to a hundredth, and what of them is mirrored. Locked ones stay. A group has no box of its
 * own: place what stands in it.
 */
export function placeElements(
  deck: Deck,
  input: { boxes: Readonly<Record<Id, Box>>; flips?: Readonly<Record<Id, { across: boolean; down: boolean }>> },
): Change[] {
  return Object.entries(input.boxes).flatMap(([id, box]): Change[] => {
    const element = deck.elements[id]
    if (!element || element.locked || element.kind === 'group') return []
    const flip = input.flips?.[id]
    return [setRecord('elements', id, { box: tidyBox(box), ...(flip ? { flip: flip.across || flip.down ? flip : undefined } : {}) })]
  })
}
