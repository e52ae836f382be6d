import { deckTheme, infoOf, setRecord, applyChanges, elementsOf, type Change, type Deck, type Element } from '../model'
import type { Box } from '../values'
import { familyNamed } from '../families'
import { layoutRecords } from './layout-record'
import { standLayouts } from './wear-look'

type Size = Deck['info'][string]['size']

/** Shapes of a picture that decks are delivered in, by width over height. */
export const shapes = { wide: 16 / 9, square: 1, upright: 4 / 5, tall: 9 / 16 } as const
export type Shape = keyof typeof shapes

/** The deck space of a shape: as much room as the deck has now, in whole px. */
export function sizeOfShape(size: Size, shape: Shape): Size {
  const area = size.width * size.height
  const height = Math.sqrt(area / shapes[shape])
  return { width: Math.round(height * shapes[shape]), height: Math.round(height) }
}

/** A box carried to another size: its middle in proportion, itself grown or shrunk evenly; what spans the whole goes on doing so. */
function carried(box: Box, from: Size, to: Size): Box {
  const [sx, sy] = [to.width / from.width, to.height / from.height]
  const spansX = box.width >= from.width * 0.98
  const spansY = box.height >= from.height * 0.98
  const scale = Math.min(sx, sy)
  const width = spansX ? box.width * sx : box.width * scale
  const height = spansY ? box.height * sy : box.height * scale
  return { ...box, x: (box.x + box.width / 2) * sx - width / 2, y: (box.y + box.height / 2) * sy - height / 2, width, height }
}

const same = (a: Box | undefined, b: Box | undefined) =>
  !!a &&
  !!b &&
  Math.abs(a.x - b.x) < 0.5 &&
  Math.abs(a.y - b.y) < 0.5 &&
  Math.abs(a.width - b.width) < 0.5 &&
  Math.abs(a.height - b.height) < 0.5

/** The places of a layout as its family lays them at a size, by the name of the place. */
function placesAt(deck: Deck, layout: Deck['layouts'][string]): ReadonlyMap<string, Element> {
  const family = familyNamed(layout.family)
  if (!family || layout.family === '') return new Map()
  return new Map(
    layoutRecords(deck, family, layout).flatMap(change =>
      change.do === 'put' && change.table === 'elements' && change.record.placeholder ? [[change.record.placeholder, change.record]] : [],
    ),
  )
}

/**
 * A deck at another size: what its layouts place is placed anew by their families, what was put somewhere by hand keeps its
 * place in proportion and its own shape. Words keep their size where they find room, and shrink as their style lets them.
 */
export function refit(deck: Deck, size: Size): Deck {
  const from = infoOf(deck).size
  if (from.width === size.width && from.height === size.height) return deck
  const sized: Deck = { ...deck, info: { info: { ...infoOf(deck), size } } }
  const changes: Change[] = []
  const box = (element: Element, next: Box | undefined) => changes.push(setRecord('elements', element.id, { box: next }))
  for (const layout of Object.values(deck.layouts)) {
    const [before, after] = [placesAt(deck, layout), placesAt(sized, layout)]
    for (const element of elementsOf(deck, layout.id)) {
      const place = element.placeholder
      if (place && after.has(place) && same(element.box, before.get(place)?.box)) box(element, after.get(place)!.box)
      else if (element.box) box(element, carried(element.box, from, size))
    }
  }
  // A board stays as it is: its camera shows each view whole in whatever shape.
  for (const element of Object.values(deck.elements))
    if (!deck.layouts[element.owner] && !deck.slides[element.owner]?.board && element.box) box(element, carried(element.box, from, size))
  const made = applyChanges(sized, changes)
  // What a look draws on layouts follows from their shape.
  return deckTheme(deck).look ? applyChanges(made, standLayouts(made)) : made
}
