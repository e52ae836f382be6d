import { putRecord, setRecord, applyChanges, elementsOf, type Change, type EditContext, type Deck, type GroupElement } from '../model'
import { boundsOf } from '../place'
import { leavesOf, membersOf, withMembers, shownElements } from '../resolved'
import { orderLast, type Id } from '../values'
import { clip, pasteClipping, type Clipping } from './clipping'
import { dropElements } from './remove-elements'

/** A piece of the team's shelf: parts with their motion, under a name. */
export interface Piece {
  id: Id
  name: string
  tags: string[]
  content: Clipping
  version: number
}

/** Where the parts of a clipping begin, px of deck space. */
const cornerOf = (clipping: Clipping) => {
  const boxes = clipping.elements.flatMap(element => (element.box && element.kind !== 'group' ? [element.box] : []))
  const bounds = boxes.length ? boundsOf(...boxes) : { left: 0, top: 0 }
  return { x: bounds.left, y: bounds.top }
}

/** What is kept as a piece: the parts as they stand, a bound group as what is in it. */
export function pieceOf(deck: Deck, ids: readonly Id[]): Clipping | null {
  const opened = ids.flatMap(id => {
    const element = deck.elements[id]
    return element?.kind === 'group' && element.piece ? membersOf(deck, id).map(member => member.id) : [id]
  })
  const clipping = clip(deck, opened)
  return (
    clipping && {
      ...clipping,
      elements: clipping.elements.map(element =>
        element.kind === 'group' && element.piece ? (({ piece: _, ...rest }) => rest)(element) : element,
      ),
    }
  )
}

/**
 * Puts a piece onto a slide, in front: free, as parts of its own; or bound, as a group that follows the piece. The changes' elements that
 * stand in no other are what was put.
 */
export function putPiece(deck: Deck, input: { piece: Piece; owner: Id; bound: boolean }, context: EditContext): Change[] {
  if (!input.bound) return pasteClipping(deck, { clipping: input.piece.content, owner: input.owner }, context)
  const id = context.id()
  const group: GroupElement = {
    id,
    owner: input.owner,
    kind: 'group',
    name: input.piece.name,
    order: orderLast(elementsOf(deck, input.owner)),
    piece: { id: input.piece.id, version: input.piece.version },
  }
  const put: Change = putRecord('elements', group)
  return [put, ...pasteClipping(applyChanges(deck, [put]), { clipping: input.piece.content, owner: input.owner, parent: id }, context)]
}

/**
 * Lets bound groups show the newest version of their piece: what was in them goes, the new parts stand where the group began. Their own
 * place, order and motion stay.
 */
export function renewPiece(deck: Deck, input: { piece: Piece; groups?: readonly Id[] }, context: EditContext): Change[] {
  const bound = Object.values(deck.elements).filter(
    (element): element is GroupElement =>
      element.kind === 'group' &&
      element.piece?.id === input.piece.id &&
      element.piece.version !== input.piece.version &&
      (!input.groups || input.groups.includes(element.id)),
  )
  const corner = cornerOf(input.piece.content)
  let at = deck
  const made: Change[] = []
  const take = (changes: readonly Change[]) => {
    made.push(...changes)
    at = applyChanges(at, changes)
  }
  for (const group of bound) {
    const leaves = new Set(leavesOf(at, [group.id]))
    const boxes = shownElements(at, group.owner, true).flatMap(element => (leaves.has(element.id) ? [element.box] : []))
    const before = boxes.length ? boundsOf(...boxes) : { left: corner.x, top: corner.y }
    const old = withMembers(at, [group.id]).filter(id => id !== group.id)
    take(
      pasteClipping(
        at,
        {
          clipping: input.piece.content,
          owner: group.owner,
          parent: group.id,
          offset: { x: before.left - corner.x, y: before.top - corner.y },
        },
        context,
      ),
    )
    take(dropElements(at, old))
    take([setRecord('elements', group.id, { piece: { id: input.piece.id, version: input.piece.version } })])
  }
  return made
}
