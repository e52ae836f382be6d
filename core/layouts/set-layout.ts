import {
  putRecord,
  setRecord,
  applyChanges,
  elementsOf,
  isEmptyText,
  type Change,
  type Deck,
  type EditContext,
  type Element,
} from '../model'
import { dropElements, fillPlaceholder } from '../edits'
import { isFraming, itemPlace } from '../resolved'
import type { Id } from '../values'
import { familyNamed, type LayoutFamily } from './catalogue'
import { buildOf, entriesOf, extendBuild } from './builds'
import { withLayout } from './layout-record'
import { richLines, writeLines } from './write-lines'

const isEmpty = (element: Element) =>
  (element.kind === 'text' && isEmptyText(element.text)) ||
  (element.kind === 'chart' && !element.chart?.table) ||
  (element.kind === 'picture' && !element.media)

/**
 * Gives a slide another layout. Its lines go into the new one's places, as one text or item by item, and come in in the
 * beats they had; what fills a placeholder that both layouts have goes on filling it, a picture or chart takes the first
 * free place of its kind; what has no place stays on the slide where it stood, unless it is empty.
 */
export function setLayout(deck: Deck, wish: { slide: Id; layout: Id }, context: EditContext): Change[] {
  const slide = deck.slides[wish.slide]
  const layout = deck.layouts[wish.layout]
  if (!slide || !layout) return []
  const lines = richLines(deck, slide.id)
  const entries = entriesOf(deck, slide.id)
  const build = buildOf(deck, slide.id)
  const family = familyNamed(layout.family)
  const arranged = family && family.content !== 'lines'
  const places = new Map(
    elementsOf(deck, layout.id)
      .filter(place => place.placeholder && place.kind !== 'group')
      .map(place => [place.placeholder!, place]),
  )
  const before = new Map(
    elementsOf(deck, slide.layout)
      .filter(place => place.placeholder)
      .map(place => [place.placeholder!, place]),
  )
  const changes: Change[] = [setRecord('slides', slide.id, { layout: layout.id })]
  const filled = new Set<string>()
  const homeless: Element[] = []
  for (const element of elementsOf(deck, slide.id)) {
    const name = element.placeholder
    if (!name || itemPlace(name) || (name === 'body' && arranged)) continue
    const place = places.get(name)
    if (place && place.kind === element.kind) {
      filled.add(name)
      const fields: Record<string, unknown> = {}
      if (element.box) fields.box = undefined
      // Back to front as the new layout has it, so that its panels lie behind the words.
      if (element.order !== place.order) fields.order = place.order
      if (element.kind === 'shape' && place.kind === 'shape' && element.shape !== place.shape) fields.shape = place.shape
      if (Object.keys(fields).length) changes.push(setRecord('elements', element.id, fields))
    } else if (isEmpty(element) || (isFraming(name) && before.has(name))) changes.push(...dropElements(deck, [element.id]))
    else if (name !== 'body' && !isFraming(name)) homeless.push(element)
  }
  for (const element of homeless) {
    const free = [...places].find(([name, place]) => place.kind === element.kind && !filled.has(name) && element.kind !== 'text')
    const old = before.get(element.placeholder!)
    if (free) {
      filled.add(free[0])
      changes.push(setRecord('elements', element.id, { placeholder: free[0], box: undefined, order: free[1].order }))
    } else
      changes.push(
        setRecord('elements', element.id, {
          box: element.box ?? old?.box,
          ...(element.kind === 'text' && old?.kind === 'text' ? { style: element.style ?? old.style } : {}),
        }),
      )
  }
  for (const [name, place] of places) {
    if (!filled.has(name) && !(name === 'body' && lines.length))
      changes.push(putRecord('elements', fillPlaceholder(place, slide.id, context.id())))
  }
  const standing = applyChanges(deck, changes)
  const written = writeLines(standing, standing.slides[slide.id]!, lines, context, true)
  const done = applyChanges(standing, written)
  return [...changes, ...written, ...extendBuild(done, { slide: slide.id, how: build, entries }, context)]
}

/** Gives a slide the layout of a family, which comes into the deck where it is not there yet. */
export function layOut(deck: Deck, wish: { slide: Id; family: LayoutFamily }, context: EditContext): Change[] {
  const { layout, changes, deck: furnished } = withLayout(deck, wish.family)
  return [...changes, ...setLayout(furnished, { slide: wish.slide, layout }, context)]
}
