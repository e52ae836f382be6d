import { deckTheme, setRecord, type Change, type Deck, type TextElement, type TextStyle } from '../model'
import { departures, shownElement, styleNamed, themeUnder } from '../resolved'
import type { Id } from '../values'

const ownFields = ['size', 'color', 'align', 'weight', 'family', 'lineHeight', 'letterSpacing', 'case'] as const

/** A text that departs from its style, and in what. */
export interface Departure {
  element: TextElement
  style: string
  fields: Partial<TextStyle>
}

/** The departures of one text element itself; null where it follows its style. What its layout says is no departure. */
export function departureOf(deck: Deck, id: Id): Departure | null {
  const element = deck.elements[id]
  if (element?.kind !== 'text' || !deck.slides[element.owner]) return null
  const fields = departures(element)
  return Object.keys(fields).length ? { element, style: styleOfPlace(deck, element), fields } : null
}

/** The name of the style that a text on a slide is set in: its own or that of the place it fills. */
export function styleOfPlace(deck: Deck, element: TextElement): string {
  const shown = shownElement(deck, element.id)
  return shown?.kind === 'text' && shown.style ? shown.style : 'body'
}

/** All texts on slides that depart from their style. */
export const departuresOf = (deck: Deck): Departure[] => Object.keys(deck.elements).flatMap(id => departureOf(deck, id) ?? [])

/** Lets texts follow their styles again. */
export const returnToStyle = (deck: Deck, input: { elements: readonly Id[] }): Change[] =>
  input.elements.flatMap(id => {
    const departure = departureOf(deck, id)
    return departure
      ? [
          setRecord(
            'elements',
            id,
            Object.fromEntries(ownFields.filter(field => departure.element[field] !== undefined).map(field => [field, undefined])),
          ),
        ]
      : []
  })

/** Takes what a text has of its own into its style, so that all texts of the style follow. */
export function takeIntoStyle(deck: Deck, input: { element: Id }): Change[] {
  const departure = departureOf(deck, input.element)
  if (!departure) return []
  const name = departure.style
  const { element } = departure
  const theme = themeUnder(deck, element.owner)
  const before = styleNamed(theme, name)
  const { case: letters, ...fields } = departure.fields
  const next: TextStyle = { ...before, ...fields }
  if (element.case === 'none') delete next.case
  else if (letters) next.case = letters
  next.leastSize = Math.min(before.leastSize, next.size)
  const styles = { ...theme.textStyles, [name]: next }
  const master = deck.layouts[deck.slides[element.owner]?.layout ?? '']?.master
  const own = master && deck.masters[master]?.theme
  return [
    own ? setRecord('masters', master, { theme: { ...own, textStyles: styles } }) : setRecord('theme', 'theme', { textStyles: styles }),
    ...returnToStyle(deck, { elements: [element.id] }),
  ]
}

/** Where a style of a deck's theme is used: texts on slides and places of layouts. */
export const usesOfStyle = (deck: Deck, name: string): Id[] =>
  Object.values(deck.elements).flatMap(element => (element.kind === 'text' && element.style === name ? [element.id] : []))

/** Takes a style away; texts of it are set in another. */
export function removeStyle(deck: Deck, input: { style: string; heir: string }): Change[] {
  const theme = deckTheme(deck)
  const { [input.style]: gone, ...styles } = theme.textStyles
  if (!gone || !styles[input.heir]) return []
  return [
    setRecord('theme', 'theme', { textStyles: styles }),
    ...usesOfStyle(deck, input.style).map((id): Change => setRecord('elements', id, { style: input.heir })),
  ]
}
