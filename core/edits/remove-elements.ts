import { dropRecord, setRecord, cuesOfElement, elementsOf, statesOf, type Change, type Deck } from '../model'
import type { Id } from '../values'
import { groupsAround, membersOf, withMembers } from '../resolved'
import { dropCues } from './remove-cues'

/**
 * Drops elements with what is in them, the groups that they leave empty, the cues that move them and the states they keep. Lines that held
 * on to them stay where they are.
 */
export function dropElements(deck: Deck, elements: readonly Id[]): Change[] {
  const gone = new Set(
    withMembers(
      deck,
      elements.filter(id => deck.elements[id]),
    ),
  )
  if (!gone.size) return []
  for (const id of [...gone])
    for (const group of groupsAround(deck, id).reverse()) if (membersOf(deck, group).every(member => gone.has(member.id))) gone.add(group)
  const cues = [...gone].flatMap(id => cuesOfElement(deck, id).map(cue => cue.id))
  const owners = new Set([...gone].map(id => deck.elements[id]!.owner))
  const letGo = [...owners]
    .flatMap(owner => elementsOf(deck, owner))
    .flatMap((element): Change[] => {
      if (gone.has(element.id) || element.kind !== 'shape') return []
      const fields = {
        ...(element.from && gone.has(element.from.element) ? { from: undefined } : {}),
        ...(element.to && gone.has(element.to.element) ? { to: undefined } : {}),
      }
      return Object.keys(fields).length ? [setRecord('elements', element.id, fields)] : []
    })
  return [
    ...dropCues(deck, cues),
    ...[...gone].flatMap(id => statesOf(deck, id).map(state => dropRecord('states', state.id))),
    ...letGo,
    ...[...gone].map(id => dropRecord('elements', id)),
  ]
}

/** Takes elements away, with the cues that move them and the states they keep. */
export const removeElements = (deck: Deck, input: { elements: readonly Id[] }) => dropElements(deck, input.elements)
