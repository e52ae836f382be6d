import { hexOf } from '../color'
import { dressed, layoutParts, lookOf, roomIn } from '../looks'
import {
  infoOf,
  deckTheme,
  elementsOf,
  putRecord,
  applyChanges,
  layoutsOf,
  mastersOf,
  type Change,
  type Deck,
  type Element,
  type Layout,
  type Theme,
} from '../model'
import { orderLast, type Id } from '../values'
import { themeOn } from '../resolved'
import type { LayoutFamily, LayoutRoom, Place } from './catalogue'

/** The id of the layout record that a family gets in a deck. */
export const layoutIdOf = (family: string) => `layout-${family}`

/** The rule at the foot that stands on every slide of the house's own look. */
export const masterRule = (theme: Theme, size: { height: number }, master: Id): Element => ({
  id: `${master}-rule`,
  owner: master,
  order: 'a0',
  kind: 'shape',
  name: 'Rule',
  shape: 'rectangle',
  fill: { role: 'accent2' },
  box: { x: theme.margin, y: size.height - theme.margin * 0.55, width: 96, height: 8, angle: 0 },
})

/** Whether a part of a master or layout is one that a look, or the house, has put there: those of teams have other ids. */
export const isStandingPart = (id: Id, owner: Id) => id === `${owner}-rule` || id.startsWith(`${owner}-part`)

/** What a layout's record says of the look that its family stands in: its ground, and which parts of the master are not on its slides. */
export function standingOf(deck: Deck, family: LayoutFamily, master: Id): Partial<Pick<Layout, 'ground' | 'without'>> {
  const { ground, bare } = dressed(family, deckTheme(deck))
  return {
    ...(ground ? { ground } : {}),
    ...(bare ? { without: elementsOf(deck, master).flatMap(({ id }) => (isStandingPart(id, master) ? [id] : [])) } : {}),
  }
}

/** The places that a family keeps on its layout in a theme: in colours as they are seen on the ground that the look gives it. */
export function standingPlaces(theme: Theme, family: LayoutFamily, size: LayoutRoom['size']): Place[] {
  const own = dressed(family, theme)
  if (!lookOf(theme)) return own.places(roomIn(theme, size))
  const ground = hexOf(own.ground ?? theme.ground, theme.palette)
  return own.places(roomIn(themeOn(theme, ground), size, ground))
}

/** The records of a family's layout: itself and the places it keeps, as the theme's look has them. */
export function layoutRecords(deck: Deck, family: LayoutFamily, master: Id, order: string): Change[] {
  const id = layoutIdOf(family.name)
  const theme = deckTheme(deck)
  return [
    putRecord('layouts', { id, order, master, name: family.label, family: family.name, ...standingOf(deck, family, master) }),
    ...layoutParts(standingPlaces(theme, family, infoOf(deck).size), id).map((part): Change => putRecord('elements', part)),
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
