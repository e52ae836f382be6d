import type { Element } from './records/element'
import type { Inline, Paragraph, TextDoc } from './records/text'

/** A text of one empty paragraph. */
export const emptyText = (): TextDoc => ({ type: 'doc', content: [{ type: 'paragraph' }] })

/** A text of plain lines; `level` 0 is plain text, 1 to 9 a list level. */
export const textOf = (lines: readonly (string | { text: string; level: number })[]): TextDoc => {
  const content = lines.map((line): Paragraph => {
    const { text, level } = typeof line === 'string' ? { text: line, level: 0 } : line
    return { type: 'paragraph', ...(level ? { attrs: { level } } : {}), ...(text ? { content: [{ type: 'text', text }] } : {}) }
  })
  return content.length ? { type: 'doc', content } : emptyText()
}

/** The words of a run of inline nodes; a forced break is a line feed. */
export const inlineText = (content: readonly Inline[] | undefined) =>
  (content ?? []).map(node => (node.type === 'text' ? node.text : '\n')).join('')

/** The plain words of each paragraph. */
export const paragraphTexts = (doc: TextDoc) => doc.content.map(paragraph => inlineText(paragraph.content))

/** All words of a text, paragraphs apart by line feeds. */
export const plainText = (doc: TextDoc) => paragraphTexts(doc).join('\n')

export const isEmptyText = (doc: TextDoc) => doc.content.every(paragraph => inlineText(paragraph.content).trim() === '')

/** The words that an element is written in: those of a text, a diagram, a chart of lines; null of all else. */
export const writtenIn = (element: Element): TextDoc | null => ('text' in element && element.text) || null
