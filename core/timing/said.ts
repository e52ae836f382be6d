import { textOf, type Cue, type TextElement } from '../model'
import type { ShownElement } from '../resolved'
import { effectNamed } from './effects'

const saidElements = new WeakMap<Cue, { of: ShownElement; said: TextElement & ShownElement }>()
/** A text with the words of a cue in place of its own, ready to be set. */
export function saidBy(cue: Cue, element: TextElement & ShownElement): TextElement & ShownElement {
  const known = saidElements.get(cue)
  if (known?.of === element) return known.said
  const words = effectNamed(cue.effect, cue.what).says?.words(cue.options) ?? ''
  const said = { ...element, field: undefined, text: textOf(words.split('\n')) }
  saidElements.set(cue, { of: element, said })
  return said
}
