import { memoByRecords } from '../values'
import { textOf, type Cue, type TextElement } from '../model'
import type { ShownElement } from '../resolved'
import { effectNamed } from './effects'

/** A text with the words of a cue in place of its own, ready to be set. */
export const saidBy = memoByRecords(
  (cue: Cue, element: TextElement & ShownElement) => [cue, element],
  (cue, element): TextElement & ShownElement => {
    const words = effectNamed(cue.effect, cue.what).says?.words(cue.options) ?? ''
    return { ...element, field: undefined, text: textOf(words.split('\n')) }
  },
)
