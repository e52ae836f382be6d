import type { TextElement } from '../model'
import type { Item, LayoutRoom, Place } from './family'

type TextPlace = Extract<Place, { kind: 'text' }>

/** A letter's width and a list's indent, in multiples of the size: a rough reckoning that errs towards wide, since no font is at hand. */
const letter = 0.54
const slack = 0.86

function textAt(items: readonly Item[], placeholder: string): string | undefined {
  const match = /^item([\d-]+)-text$/.exec(placeholder)
  if (!match) return undefined
  let level = items
  let found: Item | undefined
  for (const at of match[1]!.split('-')) {
    found = level[Number(at) - 1]
    level = found?.under ?? []
  }
  return found?.text
}

/** Whether words go into a box at a size, by the rough reckoning. */
function goesIn(words: string, box: { width: number; height: number }, size: number, lineHeight: number, spacing: number): boolean {
  const paragraphs = words.split('\n')
  const lines = paragraphs.reduce(
    (sum, paragraph) => sum + Math.max(1, Math.ceil((paragraph.length * letter * size) / (box.width - 1.1 * size))),
    0,
  )
  const widest = Math.max(...words.split(/\s+/).map(word => word.length)) * letter * size
  return widest <= box.width && (lines * lineHeight + (paragraphs.length - 1) * spacing) * size <= box.height * slack
}

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
    if (!goesIn(textAt(items, place.placeholder)!, place.box, style.size, style.lineHeight, style.paragraphSpacing)) tight.add(place.match)
  }
  return places.map(place => {
    if (!smaller(place) || tight.has(place.match)) return place
    const { size: _, ...rest } = place
    return rest
  })
}
