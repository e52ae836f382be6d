import {
  infoOf,
  deckTheme,
  dropRecord,
  putRecord,
  setRecord,
  applyChanges,
  elementsOf,
  layoutsOf,
  mastersOf,
  slidesOf,
  type Change,
  type Deck,
  type EditContext,
  type Element,
} from '../model'
import { orderAt, type Id } from '../values'
import { setLayout } from '../layouts'
import type { LayoutFamily } from '../families'

/** The slides that a layout stands behind, in order. */
export const slidesOfLayout = (deck: Deck, layout: Id) => slidesOf(deck).filter(slide => slide.layout === layout)

/** Copies a layout with its parts right after it. The copy's id is the first one asked for. */
export function duplicateLayout(deck: Deck, input: { layout: Id }, context: EditContext): Change[] {
  const layout = deck.layouts[input.layout]
  if (!layout) return []
  const layouts = layoutsOf(deck)
  const id = context.id()
  return [
    putRecord('layouts', { ...layout, id, name: `${layout.name} 2`.slice(0, 120), order: orderAt(layouts, layouts.indexOf(layout) + 1) }),
    ...elementsOf(deck, layout.id).map((element): Change => putRecord('elements', { ...element, id: context.id(), owner: id } as Element)),
  ]
}

/** Puts a new layout at the end: a title and nothing else. Its id is the first one asked for. */
export function addLayout(deck: Deck, input: { master: Id; name: string }, context: EditContext): Change[] {
  const layouts = layoutsOf(deck)
  const id = context.id()
  const { margin } = deckTheme(deck)
  const { width, height } = infoOf(deck).size
  return [
    putRecord('layouts', { id, master: input.master, name: input.name.slice(0, 120), family: '', order: orderAt(layouts, layouts.length) }),
    putRecord('elements', {
      id: context.id(),
      owner: id,
      order: 'a0',
      kind: 'text',
      name: 'Title',
      placeholder: 'title',
      style: 'heading',
      vertical: 'middle',
      prompt: 'What this slide says',
      text: { type: 'doc', content: [{ type: 'paragraph' }] },
      box: { x: margin, y: Math.round(margin * 0.8), width: width - 2 * margin, height: Math.round(height * 0.12), angle: 0 },
    }),
  ]
}

/** Takes a layout away; its slides go to another one, with their words. Nothing where it is the last. */
export function removeLayout(deck: Deck, input: { layout: Id; heir: Id }, context: EditContext): Change[] {
  if (!deck.layouts[input.layout] || !deck.layouts[input.heir] || input.layout === input.heir) return []
  const changes: Change[] = []
  let now = deck
  for (const slide of slidesOfLayout(deck, input.layout)) {
    const moved = setLayout(now, { slide: slide.id, layout: input.heir }, context)
    changes.push(...moved)
    now = applyChanges(now, moved)
  }
  return [
    ...changes,
    ...elementsOf(deck, input.layout).map((element): Change => dropRecord('elements', element.id)),
    dropRecord('layouts', input.layout),
  ]
}

/** Copies a master with its parts; its layouts stay with the one they have. The copy's id is the first one asked for. */
export function duplicateMaster(deck: Deck, input: { master: Id }, context: EditContext): Change[] {
  const master = deck.masters[input.master]
  if (!master) return []
  const masters = mastersOf(deck)
  const id = context.id()
  return [
    putRecord('masters', { ...master, id, name: `${master.name} 2`.slice(0, 120), order: orderAt(masters, masters.indexOf(master) + 1) }),
    ...elementsOf(deck, master.id).map((element): Change => putRecord('elements', { ...element, id: context.id(), owner: id } as Element)),
  ]
}

/** Takes a master away; its layouts go to another one. Nothing where it is the last. */
export function removeMaster(deck: Deck, input: { master: Id; heir: Id }): Change[] {
  if (!deck.masters[input.master] || !deck.masters[input.heir] || input.master === input.heir) return []
  return [
    ...layoutsOf(deck)
      .filter(layout => layout.master === input.master)
      .map((layout): Change => setRecord('layouts', layout.id, { master: input.heir })),
    ...elementsOf(deck, input.master).map((element): Change => dropRecord('elements', element.id)),
    dropRecord('masters', input.master),
  ]
}

/**
 * Lets a layout arrange its slides' lines as the items of a family, within a place for them that is added where it has
 * none; its slides' words go into the new places.
 */
export function arrangeLayout(deck: Deck, input: { layout: Id; family: LayoutFamily }, context: EditContext): Change[] {
  const layout = deck.layouts[input.layout]
  if (!layout || !input.family.arrange) return []
  const { margin } = deckTheme(deck)
  const { width, height } = infoOf(deck).size
  const own = elementsOf(deck, layout.id)
  const y = Math.round(height * 0.24)
  const place: Element = {
    id: context.id(),
    owner: layout.id,
    order: orderAt(own, own.length),
    kind: 'group',
    name: 'Items',
    placeholder: 'items',
    box: { x: margin, y, width: width - 2 * margin, height: height - margin - y, angle: 0 },
  }
  const changes: Change[] = [
    setRecord('layouts', layout.id, { family: input.family.name }),
    ...(own.some(element => element.placeholder === 'items') ? [] : [putRecord('elements', place)]),
    ...own.filter(element => element.placeholder === 'body').map((element): Change => dropRecord('elements', element.id)),
  ]
  let now = applyChanges(deck, changes)
  for (const slide of slidesOfLayout(deck, layout.id)) {
    const moved = setLayout(now, { slide: slide.id, layout: layout.id }, context)
    changes.push(...moved)
    now = applyChanges(now, moved)
  }
  return changes
}
