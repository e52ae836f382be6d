import type { TextElement, TextStyle } from '../model'
import type { Item, LayoutRoom, Place } from './family'
import { letterWidth, needed, slack, wordsAt } from './reckoning'

type TextPlace = Extract<Place, { kind: 'text' }>

/** Whether words go into a box at the size of a style, by the rough reckoning. */
function goesIn(words: string, box: { width: number; height: number }, style: TextStyle): boolean {
  const widest = Math.max(...words.split(/\s+/).map(word => word.length)) * letterWidth * style.size
  return widest <= box.width && needed(words, box.width, style) <= box.height * slack
}
/** What follows in an item, where a place is for it. */
const textAt = (items: readonly Item[], placeholder: string) => (placeholder.endsWith('-text') ? wordsAt(items, placeholder) : undefined)

/** Words that an arrangement sets smaller than their style stand in the style's own size where all that match them have room for it. */
export function atStyleSize(places: readonly Place[], items: readonly Item[], { theme }: LayoutRoom): Place[] {
  const tight = new Set<TextElement['match']>()
  const smaller = (place: Place): place is TextPlace => {
    const style = place.kind === 'text' ? theme.textStyles[place.style ?? 'body'] : undefined
    return (
      !!style &&
      place.kind === 'text' &&
      place.size !== undefined &&
      place.size < style.size &&
      textAt(items, place.placeholder) !== undefined
    )
  }
  for (const place of places) {
    if (!smaller(place)) continue
    const style = theme.textStyles[place.style ?? 'body']!
    if (!goesIn(textAt(items, place.placeholder)!, place.box, style)) tight.add(place.match)
  }
  return places.map(place => {
    if (!smaller(place) || tight.has(place.match)) return place
    const { size: _, ...rest } = place
    return rest
  })
}
