import { atStyleSize, familyNamed, type Frame, type Item, type LayoutFamily, type LayoutRoom } from '../layouts/catalogue'
import { fieldText } from './fields'
import { elementsOf } from './groups'
import type { Deck, Element, Id, Slide, Theme } from './records'
import { themeOn } from './seen-theme'
import { plainText } from './text-doc'

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

/** Whether a placeholder belongs to the layout's own drawing and not to the words. */
export const isFraming = (placeholder: string | undefined) => placeholder?.startsWith('frame-') ?? false

interface Node extends Item {
  lead?: string
  text?: string
  under: Node[]
  /** Its own position as the placeholders have it; the arrangement counts without gaps. */
  at: number
}

/** The items that stand on a slide, by the placeholders of its elements. */
export function itemsOf(elements: readonly Element[]): Node[] {
  const top: Node[] = []
  for (const element of elements) {
    const place = itemPlace(element.placeholder)
    if (!place) continue
    let level = top
    let node: Node | undefined
    for (const at of place.path) {
      node = level.find(other => other.at === at)
      if (!node) level.push((node = { at, under: [] }))
      level = node.under
    }
    if (element.kind === 'text' && (place.slot === 'lead' || place.slot === 'text')) node![place.slot] = plainText(element.text)
  }
  const sort = (nodes: Node[]) => {
    nodes.sort((a, b) => a.at - b.at)
    for (const node of nodes) sort(node.under)
  }
  sort(top)
  return top
}

/** The path that the placeholders have, for a path that the arrangement counted without gaps. */
function ownPath(nodes: readonly Node[], path: readonly number[]): string {
  let level = nodes
  return path.map(at => {
    const node = level[at - 1]
    level = node?.under ?? []
    return node?.at ?? at
  }).join('-')
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
  const theme = deck.masters[deck.layouts[layout ?? '']?.master ?? '']?.theme ?? deck.theme.theme!
  const size = deck.info.info!.size
  const found = familyNamed(deck.layouts[layout ?? '']?.family ?? '')
  const kept = layout ? elementsOf(deck, layout) : []
  return {
    family: found?.arrange ? found : familyNamed('lead-rows')!,
    area: kept.find(element => element.placeholder === 'items')?.box ?? { x: theme.margin, y: size.height * 0.24, width: size.width - 2 * theme.margin, height: size.height * 0.76 - theme.margin },
    room: { theme: themeOn(theme, ground), size, ground },
  }
}

const none: Places = new Map()
const bySlide = new WeakMap<readonly Element[], { parts: readonly unknown[], places: Places }>()
const byWords = new WeakMap<readonly Element[], Map<string, Places>>()

/** The places that the slide's layout family gives to its items, by placeholder. `ground` is the slide's, #rrggbb. */
export function arrangedPlaces(deck: Deck, slide: Slide, ground: string): Places {
  const own = elementsOf(deck, slide.id)
  const layout = deck.layouts[slide.layout]
  const kept = layout ? elementsOf(deck, layout.id) : own
  const theme = deck.masters[layout?.master ?? '']?.theme ?? deck.theme.theme!
  const size = deck.info.info!.size
  const parts = [kept, layout?.family, theme, size.width, size.height, ground]
  const last = bySlide.get(own)
  if (last && last.parts.every((part, index) => part === parts[index])) return last.places
  const places = arrange()
  bySlide.set(own, { parts, places })
  return places

  function arrange(): Places {
    const items = itemsOf(own)
    if (!items.length) return none
    const key = JSON.stringify([layout?.family, items, ground])
    const known = byWords.get(kept)
    const same = known?.get(key)
    if (same && madeIn.get(same) === theme) return same
    const { family, area, room } = arrangingOf(deck, layout?.id, ground)
    const made = new Map<string, Element>()
    atStyleSize(family.arrange!(items, area, room), items, room).forEach((place, index) => {
      const item = itemPlace(place.placeholder)
      const placeholder = item ? `item${ownPath(items, item.path)}-${item.slot}` : place.placeholder
      const text = place.kind === 'text' && place.field === 'item-number' && item ? { text: fieldText(String(item.path.at(-1))) } : {}
      made.set(placeholder, { ...place, ...text, placeholder, id: placeholder, owner: slide.layout, order: `a${index}` } as Element)
    })
    madeIn.set(made, theme)
    if (!known || known.size > 400) byWords.set(kept, new Map([[key, made]]))
    else known.set(key, made)
    return made
  }
}

/** The theme that places were made in: another one makes them anew. */
const madeIn = new WeakMap<Places, Theme>()
