import type { Change, EditContext } from '../changes'
import { cuesOfElement, elementsOf } from '../groups'
import type { Deck, Element, Id } from '../records'
import { isEmptyText } from '../text-doc'
import { fillPlaceholder } from './add-slide'

const isEmpty = (element: Element) =>
  (element.kind === 'text' && isEmptyText(element.text)) || (element.kind === 'chart' && !element.chart?.table) || (element.kind === 'picture' && !element.media)

/**
 * Gives a slide another layout. What fills a placeholder that both layouts have goes on filling it; what has no place
 * in the new layout stays on the slide where it stood, unless it is empty; places that are new come in empty.
 */
export function setLayout(deck: Deck, wish: { slide: Id, layout: Id }, context: EditContext): Change[] {
  const slide = deck.slides[wish.slide]
  if (!slide || !deck.layouts[wish.layout]) return []
  const places = new Map(elementsOf(deck, wish.layout).filter(place => place.placeholder).map(place => [place.placeholder!, place]))
  const before = new Map(elementsOf(deck, slide.layout).filter(place => place.placeholder).map(place => [place.placeholder!, place]))
  const changes: Change[] = [{ do: 'set', table: 'slides', id: slide.id, fields: { layout: wish.layout } }]
  const filled = new Set<string>()
  for (const element of elementsOf(deck, slide.id)) {
    const name = element.placeholder
    if (!name) continue
    const place = places.get(name)
    if (place && place.kind === element.kind) {
      filled.add(name)
      if (element.box) changes.push({ do: 'set', table: 'elements', id: element.id, fields: { box: undefined } })
    } else if (isEmpty(element)) {
      for (const cue of cuesOfElement(deck, element.id)) changes.push({ do: 'drop', table: 'cues', id: cue.id })
      changes.push({ do: 'drop', table: 'elements', id: element.id })
    } else {
      const old = before.get(name)
      const style = element.kind === 'text' && old?.kind === 'text' ? { style: element.style ?? old.style } : {}
      changes.push({ do: 'set', table: 'elements', id: element.id, fields: { box: element.box ?? old?.box, placeholder: name, ...style } })
    }
  }
  for (const [name, place] of places) {
    if (!filled.has(name)) changes.push({ do: 'put', table: 'elements', record: fillPlaceholder(place, slide.id, context.id()) })
  }
  return changes
}
