import { infoOf, deckTheme, putRecord, applyChanges, layoutsOf, mastersOf, type Change, type Deck, type Element } from '../model'
import { orderLast, ordersAt, type Id } from '../values'
import type { LayoutFamily } from './catalogue'

/** The id of the layout record that a family gets in a deck. */
export const layoutIdOf = (family: string) => `layout-${family}`

/** The records of a family's layout: itself and the places it keeps. */
export function layoutRecords(deck: Pick<Deck, 'theme' | 'info'>, family: LayoutFamily, master: Id, order: string): Change[] {
  const id = layoutIdOf(family.name)
  const places = family.places({ theme: deckTheme(deck), size: infoOf(deck).size })
  const orders = ordersAt([], 0, places.length)
  return [
    putRecord('layouts', {
      id,
      order,
      master,
      name: family.label,
      family: family.name,
      ...(family.ground ? { ground: family.ground } : {}),
    }),
    ...places.map((place, index): Change =>
      putRecord('elements', { ...place, id: `${id}-${place.placeholder}`, owner: id, order: orders[index]! } as Element),
    ),
  ]
}

/** The layout of a deck that a family placed; undefined where the deck has not used it yet. */
export const layoutOfFamily = (deck: Deck, family: string) => {
  const own = deck.layouts[layoutIdOf(family)]
  return own?.family === family ? own : layoutsOf(deck).find(layout => layout.family === family)
}

/** The id of a family's layout in a deck, and the changes that put it there where it is not yet. */
export function withLayout(deck: Deck, family: LayoutFamily): { layout: Id; changes: Change[]; deck: Deck } {
  const there = layoutOfFamily(deck, family.name)
  const master = mastersOf(deck)[0]
  if (there || !master) return { layout: there?.id ?? layoutIdOf(family.name), changes: [], deck }
  const changes = layoutRecords(deck, family, master.id, orderLast(layoutsOf(deck)))
  return { layout: layoutIdOf(family.name), changes, deck: applyChanges(deck, changes) }
}
