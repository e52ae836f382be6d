import type { Inline } from './records/text'

/** The letters `from` to `to` (UTF-16, `to` not included) of a paragraph's content, with their marks; a forced break counts as one. */
export function sliceInline(content: readonly Inline[], from: number, to = Infinity): Inline[] {
  const made: Inline[] = []
  let at = 0
  for (const node of content) {
    const length = node.type === 'text' ? node.text.length : 1
    const start = Math.max(0, from - at)
    const end = Math.min(length, to - at)
    at += length
    if (end <= start) continue
    if (node.type !== 'text') made.push(node)
    else made.push(start === 0 && end === length ? node : { ...node, text: node.text.slice(start, end) })
  }
  return made
}

/** Contents one after the other; neighbours of the same look become one. */
export function joinInline(...contents: readonly (readonly Inline[])[]): Inline[] {
  const made: Inline[] = []
  for (const node of contents.flat()) {
    const last = made.at(-1)
    if (last?.type === 'text' && node.type === 'text' && JSON.stringify(last.marks ?? []) === JSON.stringify(node.marks ?? []))
      made[made.length - 1] = { ...last, text: last.text + node.text }
    else made.push(node)
  }
  return made
}

/** Plain words as the content of a paragraph. */
export const inlineOf = (text: string): Inline[] => (text ? [{ type: 'text', text }] : [])
