import { hexOf } from '../color'
import { dressed, layoutParts, lookNamed, lookOf, pageOf, roomIn, standingParts, themeComposing } from '../looks'
import {
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
import { boundsOf, overlap } from '../place'
import { orderLast, type Id } from '../values'
import { themeOn } from '../resolved'
import { familyNamed, type LayoutFamily, type Page, type Place } from '../families'

/** The id of the layout record that a family gets in a deck; `look` is the one that composes it where that is not the deck's. */
export const layoutIdOf = (family: string, look?: string) => `layout-${look ? `${look}-` : ''}${family}`

/** The rule at the foot that stands on every slide of the house's own look. */
export const masterRule = (theme: Theme, page: Page, master: Id): Element => {
  const [width, height] = [96, 8]
  const x = page.runsLeft ? page.width - theme.margin - width : theme.margin
  return {
    id: `${master}-rule`,
    owner: master,
    order: 'a0',
    kind: 'shape',
    name: 'Rule',
    shape: 'rectangle',
    fill: { role: 'accent2' },
    box: { x, y: page.height - theme.margin * 0.55, width, height, angle: 0 },
  }
}

/** Whether a part of a master or layout is one that a look, or the house, has put there: those of teams have other ids. */
export const isStandingPart = (id: Id, owner: Id) => id === `${owner}-rule` || id.startsWith(`${owner}-part`)

/** The look that composes a layout where it is another one than the theme wears. */
const foreignLook = (theme: Theme, { look }: Pick<Layout, 'look'>) => (look === theme.look?.name ? undefined : lookNamed(look))

/**
 * What a layout's record says of the look that its family stands in: its ground, and which parts of the master are not on its slides. What
 * the look has on every slide does not lie across pages that are all of a piece, or that another look composes; what a team has put there
 * does, but over words.
 */
export function standingOf(
  deck: Deck,
  family: LayoutFamily,
  layout: Pick<Layout, 'master' | 'look'>,
): Partial<Pick<Layout, 'ground' | 'without'>> {
  const { master } = layout
  const theme = themeComposing(deckTheme(deck), layout)
  const { ground, bare } = dressed(family, theme)
  const own = ground ? { ground } : {}
  if (!bare && !foreignLook(deckTheme(deck), layout)) return own
  const words = standingPlaces(theme, family, pageOf(deck)).filter(({ kind, placeholder }) => kind === 'text' && placeholder)
  const lies = ({ box }: Element) => !!box && words.some(place => overlap(boundsOf(box), boundsOf(place.box)))
  const gone = elementsOf(deck, master).filter(part => isStandingPart(part.id, master) || lies(part))
  return { ...own, without: gone.map(({ id }) => id) }
}

/** The places that a family keeps on its layout in a theme: in colours as they are seen on the ground that the look gives it. */
export function standingPlaces(theme: Theme, family: LayoutFamily, page: Page): Place[] {
  const own = dressed(family, theme)
  if (!lookOf(theme)) return own.places(roomIn(theme, page))
  const ground = hexOf(own.ground ?? theme.ground, theme.palette)
  return own.places(roomIn(themeOn(theme, ground), page, ground))
}

/** All that stands on a family's layout: its places, and where another look composes it what that has stand on every slide. */
export function layoutPlaces(deck: Deck, family: LayoutFamily, layout: Pick<Layout, 'look'>): Place[] {
  const theme = themeComposing(deckTheme(deck), layout)
  const page = pageOf(deck)
  const places = standingPlaces(theme, family, page)
  const look = foreignLook(deckTheme(deck), layout)
  return look && !dressed(family, theme).bare ? [...standingParts(look, theme, page), ...places] : places
}

/** The records of a family's layout: itself and the places it keeps, as the theme's look has them, or the one that composes it. */
export function layoutRecords(
  deck: Deck,
  family: LayoutFamily,
  { master, order, look }: Pick<Layout, 'master' | 'order' | 'look'>,
): Change[] {
  const id = layoutIdOf(family.name, look)
  const composing = lookNamed(look)
  const record = {
    id,
    order,
    master,
    name: composing ? `${family.label}, ${composing.label}` : family.label,
    family: family.name,
    ...(look ? { look } : {}),
    ...standingOf(deck, family, { master, look }),
  }
  return [
    putRecord('layouts', record),
    ...layoutParts(layoutPlaces(deck, family, { look }), id).map((part): Change => putRecord('elements', part)),
  ]
}

/** The layout of a deck that a family placed, as one look composes it or the deck's own; undefined where the deck has not used it yet. */
export const layoutOfFamily = (deck: Deck, family: string, look?: string) => {
  const own = deck.layouts[layoutIdOf(family, look)]
  return own?.family === family && own.look === look
    ? own
    : layoutsOf(deck).find(layout => layout.family === family && layout.look === look)
}

/**
 * Layouts of a deck that somebody has made or duplicated: those that no family would be laid out in. Layouts of masters with a theme of
 * their own are among them.
 */
export const ownLayouts = (deck: Deck): Layout[] =>
  layoutsOf(deck).filter(layout => !familyNamed(layout.family) || layoutOfFamily(deck, layout.family, layout.look)?.id !== layout.id)

/**
 * The id of a family's layout in a deck, and the changes that put it there where it is not yet. `look`: the one that composes it, where
 * that is another one than the deck wears.
 */
export function withLayout(deck: Deck, family: LayoutFamily, look?: string): { layout: Id; changes: Change[]; deck: Deck } {
  const there = layoutOfFamily(deck, family.name, look)
  const master = mastersOf(deck)[0]
  if (there || !master) return { layout: there?.id ?? layoutIdOf(family.name, look), changes: [], deck }
  const changes = layoutRecords(deck, family, { master: master.id, order: orderLast(layoutsOf(deck)), look })
  return { layout: layoutIdOf(family.name, look), changes, deck: applyChanges(deck, changes) }
}
