import { elementsOf, plainText, type Deck, type Element, type Slide } from '../model'
import { familyIn, pageOf, roomIn } from '../looks'
import { atStyleSize, type Frame, type Item, type LayoutFamily, type LayoutRoom } from '../families'
import { fieldText } from './fields'
import { memoByRecords, type Id } from '../values'
import { themeOfLayout, themeOn } from './seen-theme'

/** What a placeholder names of an item: `item2-1-lead` is the lead of the first item under the second. */
export interface ItemPlace {
  /** Positions from the top, each from 1. */
  path: readonly number[]
  slot: string
}

const pattern = /^item(\d{1,5}(?:-\d{1,5})*)-([a-z][a-z0-9-]*)$/

/** Reads a placeholder as the place of an item; null where it is another one. */
export function itemPlace(placeholder: string | undefined): ItemPlace | null {
  const match = placeholder ? pattern.exec(placeholder) : null
  return match ? { path: match[1]!.split('-').map(Number), slot: match[2]! } : null
}

/** An item that stands on a slide: its elements by slot. `at` is its position as the placeholders have it. */
export interface ItemElements {
  at: number
  slots: Map<string, Element>
  under: ItemElements[]
}

/** The items among elements, by their placeholders, in order. */
export function itemElements(elements: readonly Element[]): ItemElements[] {
  const top: ItemElements[] = []
  for (const element of elements) {
    const place = itemPlace(element.placeholder)
    if (!place) continue
    let level = top
    let node: ItemElements | undefined
    for (const at of place.path) {
      node = level.find(other => other.at === at)
      if (!node) level.push((node = { at, slots: new Map(), under: [] }))
      level = node.under
    }
    node!.slots.set(place.slot, element)
  }
  const sort = (nodes: ItemElements[]) => {
    nodes.sort((a, b) => a.at - b.at)
    for (const node of nodes) sort(node.under)
  }
  sort(top)
  return top
}

const wordsIn = (node: ItemElements, slot: 'lead' | 'text') => {
  const element = node.slots.get(slot)
  return element?.kind === 'text' ? { [slot]: plainText(element.text) } : {}
}

/** Items as a family arranges them: their plain words. */
const plainItem = (node: ItemElements): Item => ({ ...wordsIn(node, 'lead'), ...wordsIn(node, 'text'), under: node.under.map(plainItem) })

/** Positions as the placeholders have them; where some are missing the same words have other places. */
const positions = (node: ItemElements): unknown => [node.at, node.under.map(positions)]

/** The path that the placeholders have, for a path that the arrangement counted without gaps. */
function ownPath(nodes: readonly ItemElements[], path: readonly number[]): string {
  let level = nodes
  return path
    .map(at => {
      const node = level[at - 1]
      level = node?.under ?? []
      return node?.at ?? at
    })
    .join('-')
}

export type Places = ReadonlyMap<string, Element>

/** How a slide's items are placed: the family that arranges them, the area it has, and what it stands on. */
export interface Arranging {
  family: LayoutFamily
  area: Frame
  room: LayoutRoom
}

/** How items are arranged on slides of a layout; families that arrange nothing set them in rows. `ground` is the slide's, #rrggbb. */
export function arrangingOf(deck: Deck, layout: Id | undefined, ground: string): Arranging {
  const theme = themeOfLayout(deck, deck.layouts[layout ?? ''])
  const size = pageOf(deck)
  const found = familyIn(theme, deck.layouts[layout ?? '']?.family ?? '')
  const kept = layout ? elementsOf(deck, layout) : []
  return {
    family: found?.arrange ? found : familyIn(theme, 'lead-rows')!,
    area: kept.find(element => element.placeholder === 'items')?.box ?? {
      x: theme.margin,
      y: size.height * 0.24,
      width: size.width - 2 * theme.margin,
      height: size.height * 0.76 - theme.margin,
    },
    room: roomIn(themeOn(theme, ground), size, ground),
  }
}

const none: Places = new Map()
/** What the arranging of a slide's items reads of its deck. */
function groundsOf(deck: Deck, slide: Slide) {
  const layout = deck.layouts[slide.layout]
  const theme = themeOfLayout(deck, layout)
  return { layout, theme, kept: layout ? elementsOf(deck, layout.id) : elementsOf(deck, slide.id), size: pageOf(deck) }
}

/** Slides of one layout with the same words have the same places: kept side by side, so many of each layout. */
const keptPlaces = 400

/** The places of items with the same words, in the same layout and theme, on the same ground. */
const placesOf = memoByRecords(
  (deck: Deck, slide: Slide, nodes: readonly ItemElements[], items: readonly Item[], ground: string) => {
    const { layout, theme, kept, size } = groundsOf(deck, slide)
    const words = JSON.stringify([layout?.family, items, nodes.map(positions), ground, slide.layout])
    return [kept, words, theme, size.width, size.height, size.runsLeft]
  },
  (deck, slide, nodes, items, ground): Places => {
    const { family, area, room } = arrangingOf(deck, deck.layouts[slide.layout]?.id, ground)
    const made = new Map<string, Element>()
    atStyleSize(family.arrange!([...items], area, room), [...items], room).forEach((place, index) => {
      const item = itemPlace(place.placeholder)
      const placeholder = item ? `item${ownPath(nodes, item.path)}-${item.slot}` : place.placeholder
      const text = place.kind === 'text' && place.field === 'item-number' && item ? { text: fieldText(String(item.path.at(-1))) } : {}
      made.set(placeholder, { ...place, ...text, placeholder, id: placeholder, owner: slide.layout, order: `a${index}` } as Element)
    })
    return made
  },
  { keep: keptPlaces },
)

/** The places that the slide's layout family gives to its items, by placeholder. `ground` is the slide's, #rrggbb. */
export const arrangedPlaces = memoByRecords(
  (deck: Deck, slide: Slide, ground: string) => {
    const { layout, theme, kept, size } = groundsOf(deck, slide)
    return [elementsOf(deck, slide.id), kept, layout?.family, theme, size.width, size.height, size.runsLeft, ground]
  },
  (deck, slide, ground): Places => {
    const nodes = itemElements(elementsOf(deck, slide.id))
    return nodes.length ? placesOf(deck, slide, nodes, nodes.map(plainItem), ground) : none
  },
)
