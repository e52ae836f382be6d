import {
  infoOf,
  putRecord,
  beatsOf,
  cuesOf,
  elementsOf,
  statesOf,
  cueSchema,
  elementSchema,
  stateSchema,
  type Change,
  type EditContext,
  type Cue,
  type Deck,
  type Element,
} from '../model'
import { z } from 'zod'
import { movedBy, tidyBox } from '../place'
import { groupsAround, withMembers, shownElements } from '../resolved'
import { orderLast, ordersAt, type Id } from '../values'

/** Elements taken off a slide, with their motion and what they draw on: what is copied, and what a piece of the shelf holds. */
export const clippingSchema = z.object({
  hailbank: z.literal('clipping'),
  version: z.literal(1),
  /** Back to front, each with a box of its own. */
  elements: z.array(elementSchema).min(1).max(2000),
  /** Their cues; `beat` is a position from 0 among the beats of the slide. */
  cues: z.array(z.object({ beat: z.int().min(0).max(10_000), cue: cueSchema })).max(10_000),
  states: z.array(stateSchema).max(2000),
  size: z.object({ width: z.number().positive(), height: z.number().positive() }),
})
export type Clipping = z.infer<typeof clippingSchema>

/** Takes elements (and what stands in them) off one owner as a clipping; null where none of them is there. */
export function clip(deck: Deck, ids: readonly Id[]): Clipping | null {
  const owner = ids.map(id => deck.elements[id]?.owner).find(found => found !== undefined)
  if (!owner) return null
  const wanted = new Set(withMembers(deck, ids))
  const elements = shownElements(deck, owner, true)
    .filter(element => wanted.has(element.id) && !element.pinned)
    .map(({ pinned: _, placeholder: __, ...element }) => {
      const { parent, ...rest } = element
      const plain = element.kind === 'text' ? { match: undefined, joint: undefined, prompt: undefined } : {}
      const made = { ...rest, ...plain, ...(parent && wanted.has(parent) ? { parent } : {}) }
      return Object.fromEntries(Object.entries(made).filter(([, value]) => value !== undefined)) as Element
    })
  if (!elements.length) return null
  const cues = beatsOf(deck, owner).flatMap((beat, index) =>
    cuesOf(deck, beat.id)
      .filter(cue => cue.element !== null && wanted.has(cue.element))
      .map(cue => ({ beat: index, cue })),
  )
  return {
    hailbank: 'clipping',
    version: 1,
    elements,
    cues,
    states: elements.flatMap(element => statesOf(deck, element.id)),
    size: infoOf(deck).size,
  }
}

/** A line lets go of what did not come along. */
function heldOnly(element: Element, renamed: ReadonlyMap<Id, Id>): Element {
  if (element.kind !== 'shape' || (!element.from && !element.to)) return element
  const hold = (end: typeof element.from) => (end && renamed.has(end.element) ? { ...end, element: renamed.get(end.element)! } : null)
  return { ...element, from: hold(element.from), to: hold(element.to) }
}

/**
 * Puts a clipping onto a slide (or layout or master), in front of all, moved by an offset (px of deck space), under fresh
 * ids; beats that its motion needs and the slide lacks are added. The changes' first puts are the elements, back to front.
 */
export function pasteClipping(
  deck: Deck,
  input: { clipping: Clipping; owner: Id; offset?: { x: number; y: number }; parent?: Id; withMotion?: boolean },
  context: EditContext,
): Change[] {
  const { clipping, owner, offset = { x: 0, y: 0 } } = input
  const renamed = new Map(clipping.elements.map(element => [element.id, context.id()]))
  const orders = ordersAt(elementsOf(deck, owner), Infinity, clipping.elements.length)
  const changes: Change[] = clipping.elements.map((element, index): Change => {
    const { parent, ...rest } = heldOnly(element, renamed)
    const inGroup = parent && renamed.get(parent) ? { parent: renamed.get(parent)! } : input.parent ? { parent: input.parent } : {}
    return putRecord('elements', {
      ...rest,
      ...inGroup,
      id: renamed.get(element.id)!,
      owner,
      order: orders[index]!,
      ...(element.box ? { box: tidyBox(movedBy(element.box, offset)) } : {}),
    } as Element)
  })
  const states = new Map(clipping.states.map(state => [state.id, context.id()]))
  for (const state of clipping.states) {
    const element = renamed.get(state.element)
    if (element) changes.push(putRecord('states', { ...state, id: states.get(state.id)!, element }))
  }
  if (!deck.slides[owner] || input.withMotion === false) return changes
  return [...changes, ...pasteCues(deck, clipping.cues, { owner, renamed, states }, context)]
}

function pasteCues(
  deck: Deck,
  cues: Clipping['cues'],
  to: { owner: Id; renamed: ReadonlyMap<Id, Id>; states: ReadonlyMap<Id, Id> },
  context: EditContext,
): Change[] {
  const changes: Change[] = []
  const beats = [...beatsOf(deck, to.owner)]
  const ids = new Map(cues.map(({ cue }) => [cue.id, context.id()]))
  const beatOf = new Map(cues.map(({ cue, beat }) => [cue.id, beat]))
  const lastOrder = new Map<Id, string>()
  for (const { beat: index, cue } of cues) {
    while (beats.length <= index) {
      const beat = {
        id: context.id(),
        slide: to.owner,
        order: orderLast(beats),
        start: 'advance' as const,
        hold: { kind: 'reading' as const },
      }
      beats.push(beat)
      changes.push(putRecord('beats', beat))
    }
    const beat = beats[index]!
    const order = orderLast(lastOrder.has(beat.id) ? [{ order: lastOrder.get(beat.id)! }] : cuesOf(deck, beat.id))
    lastOrder.set(beat.id, order)
    const anchored = cue.anchor.to !== 'beat' && ids.has(cue.anchor.cue) && beatOf.get(cue.anchor.cue) === index
    const anchor: Cue['anchor'] = anchored && cue.anchor.to !== 'beat' ? { ...cue.anchor, cue: ids.get(cue.anchor.cue)! } : { to: 'beat' }
    const options =
      typeof cue.options.state === 'string' && to.states.has(cue.options.state)
        ? { ...cue.options, state: to.states.get(cue.options.state)! }
        : cue.options
    changes.push(
      putRecord('cues', {
        ...cue,
        id: ids.get(cue.id)!,
        beat: beat.id,
        element: to.renamed.get(cue.element!) ?? null,
        order,
        anchor,
        options,
      }),
    )
  }
  return changes.filter(change => change.do !== 'put' || change.table !== 'cues' || change.record.element !== null)
}

/** The elements that a paste puts at the top, to be selected: those in no group that came along. */
export function pastedTops(deck: Deck, changes: readonly Change[]): Id[] {
  const put = changes.flatMap(change => (change.do === 'put' && change.table === 'elements' ? [change.record] : []))
  const ids = new Set(put.map(element => element.id))
  return put.filter(element => !element.parent || !ids.has(element.parent)).map(element => element.id)
}

/** Elements of a choice that stand in no other one of it: what is moved, copied and taken away as one. */
export const topsOf = (deck: Deck, ids: readonly Id[]) =>
  ids.filter(id => deck.elements[id] && !groupsAround(deck, id).some(group => ids.includes(group)))
