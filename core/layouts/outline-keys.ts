import type { OutlineLine, OutlineSlide } from './outline'

/** Where the caret stands in an outline. */
export interface OutlineCaret {
  outline: OutlineSlide
  /** The line that is written in, from 0; −1 for the title. */
  line: number
  /** What its field holds, and from where to where of it is selected, letters. */
  text: string
  from: number
  to: number
  /** The lines of the slide follow from elsewhere: they are read, not written. */
  fixed: boolean
  /** How many lines the slide before has; null where there is none. */
  above: number | null
  /** Whether a slide follows. */
  below: boolean
  /** Whether the slide may go with its last word: it has nothing but words, and others are left. */
  mayGo: boolean
}

/** What a key does in an outline. Focus goes to a line, at its end or its start; null leaves the caret where it is. */
export type OutlineStep =
  /** The slide gets other words. */
  | { readonly do: 'write'; readonly outline: OutlineSlide; readonly focus: { line: number; atEnd: boolean } | null }
  /** A slide follows this one, which gets other words first where there are any. */
  | { readonly do: 'new slide'; readonly outline: OutlineSlide | null }
  /** The slide becomes a line of the one above. */
  | { readonly do: 'join' }
  /** The line becomes a slide, with what stands under it. */
  | { readonly do: 'split'; readonly line: number }
  /** The slide goes. */
  | { readonly do: 'remove' }
  /** The slide moves among the others. */
  | { readonly do: 'move'; readonly by: 1 | -1 }
  /** The caret goes elsewhere: so many slides on, to a line. */
  | { readonly do: 'go'; readonly slides: 1 | 0 | -1; readonly line: number }
  /** The key is the outline's, and nothing can be done. */
  | { readonly do: 'nothing' }

const nothing: OutlineStep = { do: 'nothing' }
const deepest = 9

const lines = (outline: OutlineSlide, make: (line: OutlineLine, index: number) => readonly OutlineLine[]): OutlineSlide => ({
  ...outline,
  lines: outline.lines.flatMap((line, index) => make(line, index)),
})

/** Enter parts what is written in; at the end of a title it begins the next slide, on an empty last line it ends the list. */
function enter({ outline, line, text, from, to, fixed }: OutlineCaret): OutlineStep {
  const [head, tail] = [text.slice(0, from), text.slice(to)]
  if (line < 0) {
    if (fixed || (!tail && !outline.lines.length)) return { do: 'new slide', outline: null }
    return {
      do: 'write',
      outline: { ...outline, title: head, lines: [{ text: tail, level: 1 }, ...outline.lines] },
      focus: { line: 0, atEnd: false },
    }
  }
  if (fixed) return nothing
  if (!outline.lines[line]!.text && line === outline.lines.length - 1)
    return { do: 'new slide', outline: { ...outline, lines: outline.lines.slice(0, -1) } }
  const parted = lines(outline, (entry, index) =>
    index === line
      ? [
          { ...entry, text: head },
          { text: tail, level: entry.level },
        ]
      : [entry],
  )
  return { do: 'write', outline: parted, focus: { line: line + 1, atEnd: false } }
}

/** A line is taken under the one before, or a slide into the one above; `back` brings it out, at last as a slide. */
function indent({ outline, line, fixed }: OutlineCaret, back: boolean): OutlineStep {
  if (line < 0) return back ? nothing : { do: 'join' }
  if (fixed) return nothing
  const { level } = outline.lines[line]!
  if (back && level === 1) return { do: 'split', line }
  const next = Math.min(deepest, Math.max(1, level + (back ? -1 : 1)))
  return { do: 'write', outline: lines(outline, (entry, index) => [index === line ? { ...entry, level: next } : entry]), focus: null }
}

/** Backspace at the start of a line joins it with what stands before; a slide without a word goes. */
function backspace({ outline, line, fixed, mayGo }: OutlineCaret): OutlineStep | null {
  if (line < 0) return !outline.title && !outline.lines.length && mayGo ? { do: 'remove' } : null
  if (fixed) return null
  const { text } = outline.lines[line]!
  const joined = lines({ ...outline, title: line === 0 ? outline.title + text : outline.title }, (entry, index) =>
    index === line ? [] : [index === line - 1 ? { ...entry, text: entry.text + text } : entry],
  )
  return { do: 'write', outline: joined, focus: { line: line - 1, atEnd: true } }
}

/** An arrow at the edge of a field goes to the next one, over slides too. */
function arrow({ outline, line, above, below }: OutlineCaret, by: 1 | -1): OutlineStep | null {
  const to = line + by
  if (to < -1) return above === null ? null : { do: 'go', slides: -1, line: above - 1 }
  if (to >= outline.lines.length) return below ? { do: 'go', slides: 1, line: -1 } : null
  return { do: 'go', slides: 0, line: to }
}

/** A key, and what is held with it; `control` is Control or Command. */
export interface OutlineKey {
  key: string
  shift?: boolean
  alt?: boolean
  control?: boolean
}

/** Whether a key takes a line further in (1) or out (−1): Alt with the arrows, Control with the brackets. Tab goes on to what follows. */
function indentOf({ key, alt, control }: OutlineKey): 1 | -1 | 0 {
  if (alt) return key === 'ArrowRight' ? 1 : key === 'ArrowLeft' ? -1 : 0
  if (control) return key === ']' ? 1 : key === '[' ? -1 : 0
  return 0
}

/**
 * What a key does where the caret stands; null where it does what it does in any field.
 *
 * @example
 * outlineKey(caret, { key: 'Enter' }) // { do: 'write', … }: the line is parted
 */
export function outlineKey(caret: OutlineCaret, pressed: OutlineKey): OutlineStep | null {
  const { key, shift, alt } = pressed
  const by = indentOf(pressed)
  if (by) return indent(caret, by < 0)
  if (key === 'Enter') return shift ? null : enter(caret)
  if (key === 'Backspace') return caret.from === 0 && caret.to === 0 ? backspace(caret) : null
  if (key !== 'ArrowUp' && key !== 'ArrowDown') return null
  const way = key === 'ArrowUp' ? -1 : 1
  if (alt) return { do: 'move', by: way }
  return (way < 0 ? caret.from === 0 : caret.to === caret.text.length) ? arrow(caret, way) : null
}
