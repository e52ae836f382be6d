import { formatVersion, ordersAt, type Deck, type EditContext, type Element, type Info, type Purpose } from '../deck'
import { addSlide, applyChanges, textOf } from '../deck'
import { families } from './catalogue'
import { houseTheme } from './house-theme'

/** The id of the layout record that a family gets in a new deck. */
export const layoutIdOf = (family: string) => `layout-${family}`

/** A new deck: the house theme, a master with a rule at its foot, a layout for each family, and one title slide. */
export function newDeck(wish: { title: string, purpose: Purpose, language?: string, audience?: Info['audience'], size?: Info['size'] }, context: EditContext): Deck {
  const size = wish.size ?? { width: 1920, height: 1080 }
  const room = { theme: houseTheme, size }
  const orders = ordersAt([], 0, families.length)
  const elements: Record<string, Element> = {
    'master-rule': {
      id: 'master-rule', owner: 'master', order: 'a0', kind: 'shape', name: 'Rule', shape: 'rectangle', fill: { role: 'accent2' },
      box: { x: houseTheme.margin, y: size.height - houseTheme.margin * 0.55, width: 96, height: 8, angle: 0 },
    },
  }
  for (const family of families) {
    const places = family.places(room)
    const placeOrders = ordersAt([], 0, places.length)
    places.forEach((place, index) => {
      const id = `${layoutIdOf(family.name)}-${place.placeholder}`
      elements[id] = { ...place, id, owner: layoutIdOf(family.name), order: placeOrders[index]! } as Element
    })
  }
  const empty: Deck = {
    info: { info: { id: 'info', format: formatVersion, title: wish.title, purpose: wish.purpose, language: wish.language ?? 'en', audience: wish.audience ?? 'public', size } },
    theme: { theme: houseTheme },
    masters: { master: { id: 'master', order: 'a0', name: 'Master' } },
    layouts: Object.fromEntries(families.map((family, index) => {
      const id = layoutIdOf(family.name)
      return [id, { id, order: orders[index]!, master: 'master', name: family.label, family: family.name, ...(family.ground ? { ground: family.ground } : {}) }]
    })),
    slides: {}, elements, beats: {}, cues: {}, sounds: {}, states: {},
  }
  const opened = applyChanges(empty, addSlide(empty, { after: null, layout: layoutIdOf('title') }, context))
  const title = Object.values(opened.elements).find(element => element.placeholder === 'title' && opened.slides[element.owner])!
  return applyChanges(opened, [{ do: 'set', table: 'elements', id: title.id, fields: { text: textOf([wish.title]) } }])
}
