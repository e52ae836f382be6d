import type { Change } from '../changes'
import { cuesOfElement, statesOf } from '../groups'
import type { Deck, Id } from '../records'
import { dropCues } from './remove-cues'

/** Drops elements with what is in them, the cues that move them and the states they keep. */
export function dropElements(deck: Deck, elements: readonly Id[]): Change[] {
  if (!elements.length) return []
  const gone = new Set(elements.filter(id => deck.elements[id]))
  const groups = [...gone].some(id => deck.elements[id]!.kind === 'group')
  if (groups) for (const element of Object.values(deck.elements)) if (element.parent && gone.has(element.parent)) gone.add(element.id)
  const cues = [...gone].flatMap(id => cuesOfElement(deck, id).map(cue => cue.id))
  return [
    ...dropCues(deck, cues),
    ...[...gone].flatMap(id => statesOf(deck, id).map(state => ({ do: 'drop' as const, table: 'states' as const, id: state.id }))),
    ...[...gone].map(id => ({ do: 'drop' as const, table: 'elements' as const, id })),
  ]
}

/** Takes elements away, with the cues that move them and the states they keep. */
export const removeElements = (deck: Deck, wish: { elements: readonly Id[] }) => dropElements(deck, wish.elements)
