import { group } from 'd3-array'
import { boundsOf, boxOf } from '../place'
import { byOrder, elementsOf, type Deck, type Element } from '../model'
import { memoByRecords, type Box, type Id } from '../values'

type Boxed = Element & { readonly box: Box }

/** The elements that stand in a group, back to front. */
export const membersOf = (deck: Deck, group: Id): readonly Element[] => {
  const record = deck.elements[group]
  return record?.kind === 'group' ? elementsOf(deck, record.owner).filter(element => element.parent === group) : []
}

/** All that stands in some elements, groups within groups opened; an element that is no group stands for itself. */
export function leavesOf(deck: Deck, ids: readonly Id[]): Id[] {
  const made = new Set<Id>()
  const visit = (id: Id) => {
    if (deck.elements[id]?.kind !== 'group') made.add(id)
    else for (const member of membersOf(deck, id)) visit(member.id)
  }
  for (const id of ids) visit(id)
  return [...made]
}

/** Elements with everything that stands in them, groups included. */
export function withMembers(deck: Deck, ids: readonly Id[]): Id[] {
  const made = new Set<Id>()
  const visit = (id: Id) => {
    if (made.has(id)) return
    made.add(id)
    for (const member of membersOf(deck, id)) visit(member.id)
  }
  for (const id of ids) visit(id)
  return [...made]
}

/** The groups that an element stands in, outermost first. */
export function groupsAround(deck: Deck, id: Id): Id[] {
  const made: Id[] = []
  for (let at = deck.elements[id]?.parent; at && !made.includes(at); at = deck.elements[at]?.parent) made.unshift(at)
  return made
}

/** What a press on an element means: the outermost group that it stands in, or within an opened group the next one in. */
export function pressed(deck: Deck, id: Id, opened: Id | null): Id {
  const around = groupsAround(deck, id)
  return (opened && around.includes(opened) ? around[around.indexOf(opened) + 1] : around[0]) ?? id
}

/** Whether elements of an owner hold a group; most do not, and need no arranging. */
const hasGroups = memoByRecords(
  (own: readonly Element[]) => [own],
  own => own.some(element => element.kind === 'group'),
)

const boxedGroup = memoByRecords(
  (group: Boxed, ...boxes: Box[]) => [group, undefined, ...boxes],
  (group, ...boxes): Boxed => ({ ...group, box: boxOf(boundsOf(...boxes)) }),
)

/** A group with the box around its members; the very same object while they stay where they are. */
const withBox = <E extends Boxed>(group: E, members: readonly Boxed[]): E => boxedGroup(group, ...members.map(member => member.box)) as E

/**
 * Elements of one owner in the order in which they are drawn: each group followed by what stands in it, with the box around
 * that. What stands in something hidden or locked is so too. A group without members is left out.
 */
export function arrangeGroups<E extends Boxed>(own: readonly Element[], elements: readonly E[]): readonly E[] {
  if (!hasGroups(own)) return elements
  const inside = new Map<Id | undefined, E[]>()
  const groups = new Set(elements.filter(element => element.kind === 'group').map(element => element.id))
  for (const element of elements) {
    const parent = element.parent && groups.has(element.parent) && element.parent !== element.id ? element.parent : undefined
    const list = inside.get(parent)
    if (list) list.push(element)
    else inside.set(parent, [element])
  }
  for (const list of inside.values()) list.sort(byOrder)
  const drawn = new Set<Id>()
  const put = (element: E, under: { hidden?: boolean; locked?: boolean }): E[] => {
    if (drawn.has(element.id)) return []
    drawn.add(element.id)
    const own =
      (under.hidden && !element.hidden) || (under.locked && !element.locked)
        ? { ...element, ...(under.hidden ? { hidden: true } : {}), ...(under.locked ? { locked: true } : {}) }
        : element
    if (element.kind !== 'group') return [own]
    const members = (inside.get(element.id) ?? []).flatMap(member => put(member, { hidden: own.hidden, locked: own.locked }))
    const boxed = members.filter(member => member.parent === element.id)
    return boxed.length ? [withBox(own, boxed), ...members] : []
  }
  return (inside.get(undefined) ?? []).flatMap(element => put(element, {}))
}

/** Elements as a list tells them: what lies in front first, each group above what is in it, but for groups that are folded. */
export function listedByGroup<E extends Pick<Boxed, 'id' | 'parent'>>(
  elements: readonly E[],
  folded: ReadonlySet<Id> = new Set(),
): { element: E; depth: number }[] {
  const ids = new Set(elements.map(element => element.id))
  const inside = group(elements, element => (element.parent !== undefined && ids.has(element.parent) ? element.parent : null))
  const list = (parent: Id | null, depth: number): { element: E; depth: number }[] =>
    [...(inside.get(parent) ?? [])]
      .reverse()
      .flatMap(element => [{ element, depth }, ...(folded.has(element.id) ? [] : list(element.id, depth + 1))])
  return list(null, 0)
}
