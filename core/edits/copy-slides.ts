import {
  infoOf,
  deckTheme,
  putRecord,
  beatsOf,
  cuesOf,
  elementsOf,
  layoutsOf,
  mastersOf,
  slidesOf,
  statesOf,
  type Change,
  type EditContext,
  type Deck,
  type Element,
} from '../model'
import { orderLast, ordersAt, type Id } from '../values'

/**
 * Copies every slide of `from` with what is its own, under fresh ids, at the orders given. `layoutOf` says which layout a copy takes. The
 * first copy's id is the first one asked for.
 */
export function copySlideRecords(from: Deck, orders: readonly string[], layoutOf: (layout: Id) => Id, context: EditContext): Change[] {
  const renamed = new Map<Id, Id>()
  const rename = (id: Id) => {
    if (!renamed.has(id)) renamed.set(id, context.id())
    return renamed.get(id)!
  }
  return slidesOf(from).flatMap((slide, index) => {
    const changes: Change[] = [
      putRecord('slides', { ...slide, id: rename(slide.id), order: orders[index]!, layout: layoutOf(slide.layout) }),
    ]
    const own = new Set(elementsOf(from, slide.id).map(element => element.id))
    for (const element of elementsOf(from, slide.id)) {
      const parent = element.parent && own.has(element.parent) ? { parent: rename(element.parent) } : {}
      changes.push(putRecord('elements', { ...element, ...parent, id: rename(element.id), owner: rename(slide.id) }))
      for (const state of statesOf(from, element.id))
        changes.push(putRecord('states', { ...state, id: rename(state.id), element: rename(element.id) }))
    }
    for (const beat of beatsOf(from, slide.id)) {
      changes.push(putRecord('beats', { ...beat, id: rename(beat.id), slide: rename(slide.id) }))
      for (const cue of cuesOf(from, beat.id)) {
        const element = cue.element !== null && own.has(cue.element) ? rename(cue.element) : cue.element
        const anchor = cue.anchor.to === 'beat' ? cue.anchor : { ...cue.anchor, cue: rename(cue.anchor.cue) }
        const options =
          typeof cue.options.state === 'string' && from.states[cue.options.state]
            ? { ...cue.options, state: rename(cue.options.state) }
            : cue.options
        changes.push(putRecord('cues', { ...cue, id: rename(cue.id), beat: rename(beat.id), element, anchor, options }))
      }
    }
    return changes
  })
}

/** Copies a layout with its parts onto a master, under fresh ids. */
function copyLayout(from: Deck, layout: Id, master: Id, order: string, id: Id, context: EditContext): Change[] {
  const { without: _, ...record } = from.layouts[layout]!
  return [
    putRecord('layouts', { ...record, id, master, order }),
    ...elementsOf(from, layout).map((element): Change => putRecord('elements', { ...element, id: context.id(), owner: id } as Element)),
  ]
}

/**
 * Takes slides of another deck over, after a slide of this one (first where null). `look` 'ours': they take this deck's
 * theme, and the layouts that it has of the same family; 'theirs': their master comes along with their theme, so that they
 * look as they did.
 */
export function takeSlides(deck: Deck, input: { from: Deck; after: Id | null; look: 'ours' | 'theirs' }, context: EditContext): Change[] {
  const { from } = input
  const siblings = slidesOf(deck)
  const coming = slidesOf(from)
  const orders = ordersAt(siblings, input.after === null ? 0 : siblings.findIndex(slide => slide.id === input.after) + 1, coming.length)
  const changes: Change[] = []
  const layouts = new Map<Id, Id>()
  let order = orderLast(layoutsOf(deck))
  const nextOrder = () => {
    const own = order
    order = orderLast([{ order }])
    return own
  }
  const masterOrders = ordersAt(mastersOf(deck), Infinity, mastersOf(from).length)
  const masters = new Map<Id, Id>()
  mastersOf(from).forEach((master, index) => {
    if (input.look === 'ours') return
    const id = context.id()
    masters.set(master.id, id)
    const theme = master.theme ?? deckTheme(from)
    changes.push(
      putRecord('masters', {
        ...master,
        id,
        order: masterOrders[index]!,
        name: `${master.name} of ${infoOf(from).title}`.slice(0, 120),
        theme,
      }),
    )
    for (const element of elementsOf(from, master.id))
      changes.push(putRecord('elements', { ...element, id: context.id(), owner: id } as Element))
  })
  const own = layoutsOf(deck)
  const firstMaster = mastersOf(deck)[0]?.id ?? ''
  for (const layout of layoutsOf(from)) {
    const same = input.look === 'ours' ? own.find(other => other.family === layout.family && other.family !== '') : undefined
    const id = same?.id ?? context.id()
    layouts.set(layout.id, id)
    if (!same) changes.push(...copyLayout(from, layout.id, masters.get(layout.master) ?? firstMaster, nextOrder(), id, context))
  }
  return [...changes, ...copySlideRecords(from, orders, layout => layouts.get(layout) ?? layout, context)]
}
