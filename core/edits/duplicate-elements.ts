import type { Change, EditContext, Deck } from '../model'
import type { Id } from '../values'
import { clip, pasteClipping } from './clipping'

/**
 * Copies elements, with what stands in them and their motion, onto a slide, moved by an offset (px of deck space) and in front of all; the
 * copies no longer fill placeholders.
 */
export function duplicateElements(
  deck: Deck,
  input: { elements: readonly Id[]; slide: Id; offset: { x: number; y: number } },
  context: EditContext,
): Change[] {
  const clipping = clip(deck, input.elements)
  if (!clipping) return []
  const parents = new Set(input.elements.map(id => deck.elements[id]?.parent))
  const parent = parents.size === 1 ? [...parents][0] : undefined
  return pasteClipping(
    deck,
    { clipping, owner: input.slide, offset: input.offset, ...(parent && deck.elements[parent]?.owner === input.slide ? { parent } : {}) },
    context,
  )
}
