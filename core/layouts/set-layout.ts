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
  type FieldsOf,
  type Slide,
} from '../model'
import { hasRows } from '../charts'
import { dropElements, fillPlaceholder } from '../edits'
import { familyIn } from '../looks'
import { itemPlace, themeUnder } from '../resolved'
import type { Id } from '../values'
import { isFraming, type LayoutFamily } from '../families'
import { agendaSource, setAgenda } from './agenda'
import { buildOf, entriesOf, extendBuild } from './builds'
import { withLayout } from './layout-record'
import { holdsMedia, richLines, waiting, writeLines } from './write-lines'

const isEmpty = (element: Element) =>
  (element.kind === 'text' && isEmptyText(element.text)) ||
  (element.kind === 'chart' && !hasRows(element)) ||
  (element.kind === 'picture' && (!element.media || element.proposed))

/** The places that a layout keeps, by name. */
const placesOf = (deck: Deck, layout: Id) =>
  new Map(elementsOf(deck, layout).flatMap(place => (place.placeholder ? [[place.placeholder, place] as const] : [])))

/**
 * What is changed of an element that fills a place of both layouts, so that it stands as the new one has it. Where that is the same one,
 * what was put elsewhere by hand stays there.
 */
function fieldsInPlace(element: Element, place: Element, isSame: boolean): FieldsOf<'elements'> {
  return {
    ...(element.box && !isSame ? { box: undefined } : {}),
    // Back to front as the new layout has it, so that its panels lie behind the words.
    ...(element.order === place.order ? {} : { order: place.order }),
    ...(element.kind === 'shape' && place.kind === 'shape' && element.shape !== place.shape ? { shape: place.shape } : {}),
  }
}

/** What a slide’s element was that waited for a place: it is seen again. */
const seenAgain = ({ waits }: Element): FieldsOf<'elements'> => (waits ? { hidden: undefined, waits: undefined } : {})

/**
 * An element whose place is gone: it takes the first free one of its kind. Where there is none, one that holds a picture or figures waits,
 * unseen, and words stay where they stood.
 */
function rehoused(element: Element, places: ReadonlyMap<string, Element>, old: Element | undefined, filled: Set<string>): Change[] {
  const free = [...places].find(([name, place]) => place.kind === element.kind && !filled.has(name) && element.kind !== 'text')
  if (free) {
    const [placeholder, { order }] = free
    filled.add(placeholder)
    return [setRecord('elements', element.id, { placeholder, box: undefined, order, ...seenAgain(element) })]
  }
  if (element.waits) return []
  if (holdsMedia(element)) return [setRecord('elements', element.id, waiting(element.box ?? old?.box))]
  const style = element.kind === 'text' && old?.kind === 'text' ? { style: element.style ?? old.style } : {}
  return [setRecord('elements', element.id, { box: element.box ?? old?.box, ...style })]
}

/** What becomes of all that stands on a slide, lines aside; `filled` is told which of the new places are taken. */
function movedInto(
  deck: Deck,
  slide: Slide,
  places: ReadonlyMap<string, Element>,
  { isArranged, isSame }: { isArranged: boolean; isSame: boolean },
  filled: Set<string>,
): Change[] {
  const before = placesOf(deck, slide.layout)
  const changes: Change[] = []
  const homeless: Element[] = []
  for (const element of elementsOf(deck, slide.id)) {
    const name = element.placeholder
    if (element.waits && !name) homeless.push(element)
    if (!name || itemPlace(name) || (name === 'body' && isArranged)) continue
    const place = places.get(name)
    if (place && place.kind === element.kind) {
      filled.add(name)
      const fields = fieldsInPlace(element, place, isSame)
      if (Object.keys(fields).length) changes.push(setRecord('elements', element.id, fields))
    } else if (isEmpty(element) || (isFraming(name) && before.has(name))) changes.push(...dropElements(deck, [element.id]))
    else if (name !== 'body' && !isFraming(name)) homeless.push(element)
  }
  return [...changes, ...homeless.flatMap(element => rehoused(element, places, before.get(element.placeholder ?? ''), filled))]
}

/**
 * Gives a slide another layout. Its lines go into the new one's places, as one text or item by item, and come in in the
 * beats they had; what fills a placeholder that both layouts have goes on filling it, a picture or chart takes the first
 * free place of its kind; what has no place stays on the slide where it stood, unless it is empty.
 */
export function setLayout(deck: Deck, input: { slide: Id; layout: Id }, context: EditContext): Change[] {
  const slide = deck.slides[input.slide]
  const layout = deck.layouts[input.layout]
  if (!slide || !layout) return []
  const lines = richLines(deck, slide.id)
  const [entries, how] = [entriesOf(deck, slide.id), buildOf(deck, slide.id)]
  const family = familyIn(themeUnder(deck, layout.id), layout.family)
  const places = new Map([...placesOf(deck, layout.id)].filter(([, place]) => place.kind !== 'group'))
  const filled = new Set<string>()
  const changes: Change[] = [
    setRecord('slides', slide.id, { layout: layout.id }),
    ...movedInto(deck, slide, places, { isArranged: !!family && family.content !== 'lines', isSame: slide.layout === layout.id }, filled),
  ]
  for (const [name, place] of places) {
    if (!filled.has(name) && !(name === 'body' && lines.length))
      changes.push(putRecord('elements', fillPlaceholder(place, slide.id, context.id())))
  }
  const standing = applyChanges(deck, changes)
  const written = writeLines(standing, standing.slides[slide.id] ?? slide, lines, context, true)
  const done = applyChanges(standing, written)
  return [...changes, ...written, ...extendBuild(done, { slide: slide.id, how, entries }, context)]
}

/**
 * Gives a slide the layout of a family, which comes into the deck where it is not there yet. `look`: the one that composes it, where that
 * is another one than the deck wears.
 */
export function layOut(deck: Deck, input: { slide: Id; family: LayoutFamily; look?: string }, context: EditContext): Change[] {
  const { layout, changes, deck: furnished } = withLayout(deck, input.family, input.look)
  return [...changes, ...setLayout(furnished, { slide: input.slide, layout }, context)]
}

/**
 * Gives a slide the layout of a family as somebody who lays it out would: an agenda without lines of its own follows the deck’s chapters
 * or slides.
 */
export function layOutAs(deck: Deck, input: { slide: Id; family: LayoutFamily; look?: string }, context: EditContext): Change[] {
  const changes = layOut(deck, input, context)
  if (input.family.senses[0] !== 'agenda' || richLines(deck, input.slide).length) return changes
  return [...changes, ...setAgenda(applyChanges(deck, changes), { slide: input.slide, from: agendaSource(deck) }, context)]
}
