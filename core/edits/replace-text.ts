import {
  setRecord,
  slidesOf,
  plainText,
  writtenIn,
  type Change,
  type Deck,
  type Element,
  type Inline,
  type Paragraph,
  type TextDoc,
} from '../model'
import type { Id } from '../values'

export interface TextSearch {
  words: string
  /** Capital and small letters are told apart. */
  exactCase?: boolean
  wholeWords?: boolean
}

/** A text that holds what is looked for, and how often. */
export interface TextMatch {
  element: Id
  /** Null on a layout or master. */
  slide: Id | null
  count: number
  text: string
}

function patternOf({ words, exactCase, wholeWords }: TextSearch): RegExp | null {
  if (!words) return null
  const plain = words.replace(/[.*+?^${}()|[\]\\]/g, '\\$&')
  return new RegExp(wholeWords ? `(?<![\\p{L}\\p{N}_])${plain}(?![\\p{L}\\p{N}_])` : plain, exactCase ? 'gu' : 'giu')
}

const hasText = (element: Element): element is Element & { text: TextDoc } =>
  writtenIn(element) !== null && !('field' in element && element.field)

/** Where words stand: every text of the deck that holds them, in the order of the slides. */
export function findText(deck: Deck, search: TextSearch): TextMatch[] {
  const pattern = patternOf(search)
  if (!pattern) return []
  const places = new Map(slidesOf(deck).map((slide, index) => [slide.id, index]))
  return Object.values(deck.elements)
    .flatMap((element): TextMatch[] => {
      if (!hasText(element)) return []
      const count = element.text.content.reduce((sum, paragraph) => sum + [...lineOf(paragraph).matchAll(pattern)].length, 0)
      return count
        ? [{ element: element.id, slide: deck.slides[element.owner] ? element.owner : null, count, text: plainText(element.text) }]
        : []
    })
    .sort((a, b) => (places.get(a.slide ?? '') ?? Infinity) - (places.get(b.slide ?? '') ?? Infinity))
}

const lineOf = (paragraph: Paragraph) => (paragraph.content ?? []).map(node => (node.type === 'text' ? node.text : '\n')).join('')

/** A paragraph with matches replaced. New words take the marks of the first letter that they replace. */
function replaced(paragraph: Paragraph, pattern: RegExp, by: string): Paragraph {
  const nodes = paragraph.content ?? []
  const line = lineOf(paragraph)
  const matches = [...line.matchAll(pattern)].filter(match => match[0].length)
  if (!matches.length) return paragraph
  const made: Inline[] = []
  const put = (node: Inline) => {
    const last = made.at(-1)
    if (node.type === 'text' && last?.type === 'text' && JSON.stringify(last.marks ?? []) === JSON.stringify(node.marks ?? []))
      made[made.length - 1] = { ...last, text: last.text + node.text }
    else made.push(node)
  }
  let at = 0
  let next = 0
  for (const node of nodes) {
    const text = node.type === 'text' ? node.text : '\n'
    const end = at + text.length
    let from = at
    while (next < matches.length && matches[next]!.index < end) {
      const match = matches[next]!
      if (match.index >= at) {
        if (match.index > from && node.type === 'text') put({ ...node, text: text.slice(from - at, match.index - at) })
        if (by && node.type === 'text') put({ ...node, text: by })
      }
      const after = match.index + match[0].length
      from = Math.min(end, Math.max(from, after))
      if (after > end) break
      next++
    }
    if (node.type === 'text') {
      if (from < end) put({ ...node, text: text.slice(from - at) })
    } else if (from <= at) put(node)
    at = end
  }
  return { ...paragraph, content: made.length ? made : undefined }
}

/** Replaces words in all texts, or in some; the texts' marks stay. Answers with the changes and how many places they touch. */
export function replaceText(
  deck: Deck,
  input: TextSearch & { by: string; elements?: readonly Id[] },
): { changes: Change[]; count: number } {
  const pattern = patternOf(input)
  const matches = findText(deck, input).filter(match => !input.elements || input.elements.includes(match.element))
  if (!pattern) return { changes: [], count: 0 }
  const changes = matches.map((match): Change => {
    const element = deck.elements[match.element] as Element & { text: TextDoc }
    return setRecord('elements', element.id, {
      text: { type: 'doc', content: element.text.content.map(paragraph => replaced(paragraph, pattern, input.by)) },
    })
  })
  return { changes, count: matches.reduce((sum, match) => sum + match.count, 0) }
}
