import { putRecord, setRecord, cuesOfElement, type Change, type Deck, type DiagramElement, type TextDoc, type TextElement } from '../model'
import { shownElement } from '../resolved'
import type { Id } from '../values'

const levels = (text: TextDoc) => text.content.map(paragraph => paragraph.attrs?.level ?? 0)

/** A text's lines as an outline: each is an item, its indentation as it was. Empty lines go. */
function asOutline(text: TextDoc): TextDoc {
  const written = { ...text, content: text.content.filter(paragraph => paragraph.content?.length) }
  const least = Math.min(...levels(written))
  const content = written.content.map(paragraph => ({
    ...paragraph,
    attrs: { ...paragraph.attrs, level: Math.min(9, (paragraph.attrs?.level ?? 0) + (least < 1 ? 1 : 0)) },
  }))
  return content.length ? { type: 'doc', content } : text
}

/** Cues by line become cues by item and the other way round. */
const turnCues = (deck: Deck, id: Id, from: string, to: 'item' | 'paragraph'): Change[] =>
  cuesOfElement(deck, id).flatMap((cue): Change[] =>
    !cue.parts
      ? []
      : cue.parts.by === from || to === 'item' || cue.parts.by === 'item'
        ? [setRecord('cues', cue.id, { parts: { ...cue.parts, by: to } })]
        : [],
  )

const shared = ({
  id,
  owner,
  name,
  order,
  box,
  flip,
  opacity,
  hidden,
  shows,
  locked,
  shadow,
  alt,
  placeholder,
  parent,
}: TextElement | DiagramElement) =>
  Object.fromEntries(
    Object.entries({ id, owner, name, order, box, flip, opacity, hidden, shows, locked, shadow, alt, placeholder, parent }).filter(
      ([, value]) => value !== undefined,
    ),
  )

/** Turns a text into a diagram of a family: the same words, the same place, its motion kept. */
export function textToDiagram(deck: Deck, input: { element: Id; family: string }): Change[] {
  const element = deck.elements[input.element]
  if (element?.kind !== 'text') return []
  const least = shownElement(deck, element.id)?.box
  // A diagram needs more room than a line of text; a box of its own grows to it.
  const box =
    element.box && least && (least.height < 200 || least.width < 300)
      ? { box: { ...least, width: Math.max(least.width, 900), height: Math.max(least.height, 560) } }
      : {}
  return [
    putRecord('elements', {
      ...shared(element),
      ...box,
      kind: 'diagram',
      family: input.family,
      text: asOutline(element.text),
    } as DiagramElement),
    ...turnCues(deck, element.id, 'paragraph', 'item'),
  ]
}

/** Turns a diagram back into a list, no word lost. */
export function diagramToText(deck: Deck, input: { element: Id }): Change[] {
  const element = deck.elements[input.element]
  if (element?.kind !== 'diagram') return []
  return [
    putRecord('elements', { ...shared(element), kind: 'text', style: 'body', text: element.text } as TextElement),
    ...turnCues(deck, element.id, 'item', 'paragraph'),
  ]
}
