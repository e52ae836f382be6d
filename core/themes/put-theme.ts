import {
  applyChanges,
  infoOf,
  deckTheme,
  putRecord,
  setRecord,
  elementsOf,
  layoutsOf,
  mastersOf,
  onlySlides,
  type Change,
  type Deck,
  type EditContext,
  type Element,
  type Layout,
} from '../model'
import { orderLast, type Id } from '../values'
import { familyNamed, replaceParts, layoutPlaces, standingOf, standSlides } from '../layouts'
import { layoutParts } from '../looks'

/** A theme on the shelf: a deck without slides, with its theme, masters and layouts. */
export const themeDeckOf = (deck: Deck, name: string): Deck => ({
  ...onlySlides(deck, []),
  info: { info: { ...infoOf(deck), title: name } },
  theme: { theme: { ...deckTheme(deck), name } },
  masters: Object.fromEntries(mastersOf(deck).map(({ theme: _, ...master }) => [master.id, master])),
  layouts: deck.layouts,
  elements: Object.fromEntries(Object.entries(deck.elements).filter(([, element]) => !deck.slides[element.owner])),
})

/** Parts of another deck with ids that are free in this one. */
const ownedBy = (deck: Deck, owner: Id, parts: readonly Element[], context: EditContext): Element[] =>
  parts.map(part => ({ ...part, id: deck.elements[part.id] && deck.elements[part.id]!.owner !== owner ? context.id() : part.id }))

/**
 * Puts a whole theme on a deck: colours, fonts, styles, ground, logo and footer; the first master's parts; each layout that
 * the theme has of the same family or name. Layouts that it has not are placed anew by their family, in the new theme.
 * Slides keep their words, their layouts and their own departures.
 */
export function putTheme(deck: Deck, input: { from: Deck }, context: EditContext): Change[] {
  const { from } = input
  const theme = deckTheme(from)
  const changes: Change[] = [putRecord('theme', theme)]
  /** The ids that parts of their master have here: layouts say which of them are not on their slides. */
  const ids = new Map<Id, Id>()
  const without = ({ without: theirs }: Layout) => theirs && theirs.flatMap(id => ids.get(id) ?? [])
  const [master] = mastersOf(deck)
  const [theirs] = mastersOf(from)
  if (master && theirs) {
    changes.push(putRecord('masters', { ...theirs, id: master.id, order: master.order, name: theirs.name }))
    const [brought, parts] = [elementsOf(from, theirs.id), ownedBy(deck, master.id, elementsOf(from, theirs.id), context)]
    brought.forEach((part, index) => ids.set(part.id, parts[index]!.id))
    changes.push(...replaceParts(deck, master.id, parts))
  }
  const mastered = applyChanges(deck, changes)
  const used = new Set<Id>()
  for (const layout of layoutsOf(deck)) {
    if (deck.masters[layout.master]?.theme) continue
    const same = layoutsOf(from).find(
      other => !used.has(other.id) && (layout.family ? other.family === layout.family : other.name === layout.name),
    )
    if (same) {
      used.add(same.id)
      const { id: _, order: __, master: ___, ...look } = same
      const parts = without(same)
      changes.push(
        putRecord('layouts', { ...look, ...(parts ? { without: parts } : {}), id: layout.id, order: layout.order, master: layout.master }),
      )
      changes.push(...replaceParts(deck, layout.id, ownedBy(deck, layout.id, elementsOf(from, same.id), context)))
      continue
    }
    const family = familyNamed(layout.family)
    if (!family) continue
    const standing = standingOf(mastered, family, layout)
    changes.push(setRecord('layouts', layout.id, { ground: standing.ground, without: standing.without }))
    changes.push(...replaceParts(deck, layout.id, layoutParts(layoutPlaces(mastered, family, layout), layout.id)))
  }
  let order = orderLast(layoutsOf(deck))
  for (const layout of layoutsOf(from)) {
    if (used.has(layout.id) || !master || (layout.family && layoutsOf(deck).some(own => own.family === layout.family))) continue
    const id = deck.layouts[layout.id] ? context.id() : layout.id
    const parts = without(layout)
    changes.push(putRecord('layouts', { ...layout, ...(parts ? { without: parts } : {}), id, order, master: master.id }))
    order = orderLast([{ order }])
    for (const element of elementsOf(from, layout.id))
      changes.push(putRecord('elements', { ...element, id: context.id(), owner: id } as Element))
  }
  // What a look arranges has other parts than what stood there.
  if (theme.look?.name === deckTheme(deck).look?.name) return changes
  return [...changes, ...standSlides(deck, applyChanges(deck, changes), context)]
}
