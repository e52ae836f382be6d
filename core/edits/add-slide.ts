import { putRecord, elementsOf, slidesOf, emptyText, type Change, type EditContext, type Deck, type Element } from '../model'
import { orderAt, type Id } from '../values'

/** A slide's own, empty element for a placeholder of its layout: it inherits place and style, and keeps only content. */
export function fillPlaceholder(place: Element, owner: Id, id: Id): Element {
  const base = { id, owner, name: place.name, order: place.order, placeholder: place.placeholder }
  if (place.kind === 'text') return { ...base, kind: 'text', text: emptyText() }
  if (place.kind === 'chart') return { ...base, kind: 'chart' }
  if (place.kind === 'picture') return { ...base, kind: 'picture' }
  if (place.kind === 'shape') return { ...base, kind: 'shape', shape: place.shape }
  const { box: _, ...rest } = place
  return { ...rest, ...base } as Element
}

/** Puts a new slide of a layout after another slide, or first where `after` is null. Its id is the first one asked for. */
export function addSlide(deck: Deck, input: { after: Id | null; layout: Id }, context: EditContext): Change[] {
  const slides = slidesOf(deck)
  const index = input.after === null ? 0 : slides.findIndex(slide => slide.id === input.after) + 1
  const id = context.id()
  const before = slides[Math.max(0, index - 1)]
  return [
    putRecord('slides', {
      id,
      order: orderAt(slides, index),
      layout: input.layout,
      notes: '',
      ...(before?.transition ? { transition: before.transition } : {}),
    }),
    putRecord('beats', { id: context.id(), slide: id, order: 'a0', start: 'advance', hold: { kind: 'reading' } }),
    ...elementsOf(deck, input.layout)
      .filter(element => element.placeholder && element.kind !== 'group')
      .map(place => putRecord('elements', fillPlaceholder(place, id, context.id()))),
  ]
}
