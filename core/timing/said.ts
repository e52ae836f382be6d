import { textOf, type Cue, type TextElement } from '../model'
import type { ShownElement } from '../resolved'
import { mostWords } from './effects'

/** The words that a text says from a cue on. */
export const wordsSaid = (cue: Cue) => (typeof cue.options.words === 'string' ? cue.options.words.slice(0, mostWords) : '')

const saidElements = new WeakMap<Cue, { of: ShownElement; said: TextElement & ShownElement }>()
/** A text with the words of a cue in place of its own, ready to be set. */
export function saidBy(cue: Cue, element: TextElement & ShownElement): TextElement & ShownElement {
  const known = saidElements.get(cue)
  if (known?.of === element) return known.said
  const said = { ...element, field: undefined, text: textOf(wordsSaid(cue).split('\n')) }
  saidElements.set(cue, { of: element, said })
  return said
}
