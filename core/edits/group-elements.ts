import { dropRecord, putRecord, setRecord, elementsOf, type Change, type EditContext, type Deck, type Element } from '../model'
import { membersOf } from '../resolved'
import { orderAt, type Id } from '../values'

/**
 * Groups elements of one owner that stand side by side in the same group or in none. The group stands where the frontmost of them stood.
 * Its id is the first one asked for; nothing where fewer than two would be in it.
 */
export function groupElements(deck: Deck, input: { elements: readonly Id[]; name?: string }, context: EditContext): Change[] {
  const first = deck.elements[input.elements[0] ?? '']
  if (!first) return []
  const parent = first.parent
  const among = elementsOf(deck, first.owner)
  const chosen = among.filter(element => input.elements.includes(element.id) && element.parent === parent)
  if (chosen.length < 2) return []
  const siblings = among.filter(element => element.parent === parent)
  const id = context.id()
  const order = orderAt(siblings, siblings.indexOf(chosen.at(-1)!) + 1)
  const group = { id, owner: first.owner, kind: 'group', name: input.name ?? 'Group', order, ...(parent ? { parent } : {}) } as Element
  return [putRecord('elements', group), ...chosen.map((element): Change => setRecord('elements', element.id, { parent: id }))]
}

/** Opens groups: what stood in them stands in what they stood in, where they stood. Cues of the groups go. */
export function ungroupElements(deck: Deck, input: { groups: readonly Id[] }): Change[] {
  return input.groups.flatMap((id): Change[] => {
    const group = deck.elements[id]
    if (group?.kind !== 'group') return []
    const siblings = elementsOf(deck, group.owner).filter(element => element.parent === group.parent && element.id !== id)
    const behind = siblings.filter(element => element.order <= group.order).length
    let before = siblings.slice(0, behind)
    const after = siblings.slice(behind)
    const changes: Change[] = []
    for (const member of membersOf(deck, id)) {
      const order = orderAt([...before, ...after], before.length)
      changes.push(setRecord('elements', member.id, { parent: group.parent, order }))
      before = [...before, { ...member, order }]
    }
    return [...changes, dropRecord('elements', id)]
  })
}
