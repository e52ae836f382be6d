import type { Change } from '../changes'
import { cuesOfElement, statesOf } from '../groups'
import type { Deck, Id } from '../records'
import { dropCues } from './remove-cues'

/** Takes elements away, with the cues that move them and the states they keep. */
export function removeElements(deck: Deck, wish: { elements: readonly Id[] }): Change[] {
  const gone = new Set(wish.elements.filter(id => deck.elements[id]))
  const children = Object.values(deck.elements).filter(element => element.parent && gone.has(element.parent))
  for (const child of children) gone.add(child.id)
  const cues = [...gone].flatMap(id => cuesOfElement(deck, id).map(cue => cue.id))
  return [
    ...dropCues(deck, cues),
    ...[...gone].flatMap(id => statesOf(deck, id).map(state => ({ do: 'drop' as const, table: 'states' as const, id: state.id }))),
    ...[...gone].map(id => ({ do: 'drop' as const, table: 'elements' as const, id })),
  ]
}
