import { inlineOf, inlineText, joinInline, sliceInline, type Inline, type Joint, type Paragraph, type TextElement } from '../model'
import type { ItemElements } from '../resolved'
import type { LayoutFamily } from '../families'
import { linesBelong, partLine } from '../phrases'

/** A line of a slide with its look: `attrs` are its paragraph's, apart from the level. */
export interface RichLine {
  content: Inline[]
  /** 1 stands on the slide, 2 under a line, and so on. */
  level: number
  attrs?: Paragraph['attrs']
}

/** An item as its texts hold it. `lead` and `text` absent where it has none; `text` holds what follows, then what is indented. */
export interface ItemContent {
  lead?: Inline[]
  text?: Paragraph[]
  joint?: Joint
  under: ItemContent[]
}

const textIn = (node: ItemElements, slot: string) => {
  const element = node.slots.get(slot)
  return element?.kind === 'text' ? element : undefined
}
const contentOf = (element: TextElement | undefined) =>
  element?.text.content.flatMap((paragraph, index) => [...(index ? inlineOf(' ') : []), ...(paragraph.content ?? [])]) ?? []

/** The lines that an item was made of; the reverse of `itemsOfLines`. */
export function linesOfItem(node: ItemElements, level: number): RichLine[] {
  const lead = textIn(node, 'lead')
  const text = textIn(node, 'text')
  const paragraphs = text?.text.content ?? []
  const lines: RichLine[] = []
  const first = paragraphs[0]?.content ?? []
  let under = paragraphs
  if (!lead && text) {
    lines.push({ content: first, level, attrs: paragraphs[0]?.attrs })
    under = paragraphs.slice(1)
  } else if (lead?.joint && text) {
    const [before, after] = lead.joint.last ? [first, contentOf(lead)] : [contentOf(lead), first]
    if (lead.joint.words.startsWith('\n')) lines.push({ content: before, level }, { content: after, level })
    else lines.push({ content: joinInline(before, inlineOf(lead.joint.words), after), level })
    under = paragraphs.slice(1)
  } else if (lead) lines.push({ content: contentOf(lead), level })
  else if (node.under.length || node.slots.size) lines.push({ content: [], level })
  for (const paragraph of under)
    lines.push({
      content: paragraph.content ?? [],
      level: Math.min(9, level + Math.max(1, paragraph.attrs?.level ?? 1)),
      attrs: paragraph.attrs,
    })
  for (const child of node.under) lines.push(...linesOfItem(child, Math.min(9, level + 1)))
  return lines
}

/** A paragraph at a list level, 0 for none, with what else its look was. */
export function paragraphOf(content: Inline[], level: number, attrs?: Paragraph['attrs']): Paragraph {
  const { level: _, ...rest } = attrs ?? {}
  const kept = level ? { ...rest, level } : rest
  return { type: 'paragraph', ...(Object.keys(kept).length ? { attrs: kept } : {}), ...(content.length ? { content } : {}) }
}

/** Lines gathered under the topmost ones; a line deeper than all before it counts as one of them. */
function gathered(lines: readonly RichLine[]): { line: RichLine; under: RichLine[] }[] {
  const made: { line: RichLine; under: RichLine[] }[] = []
  const top = Math.min(...lines.map(line => line.level))
  for (const line of lines) {
    if (line.level <= top || !made.length) made.push({ line, under: [] })
    else made.at(-1)!.under.push({ ...line, level: line.level - top })
  }
  return made
}

function treeOf(lines: readonly RichLine[]): ItemContent[] {
  if (!lines.length) return []
  return gathered(lines).map(({ line, under }) => ({ lead: line.content, under: treeOf(under) }))
}

/** Lines as the items of a family: each line at the top parted as the family does it, with what is indented beneath it. */
export function itemsOfLines(lines: readonly RichLine[], family: LayoutFamily): ItemContent[] {
  if (!lines.length) return []
  if (family.content === 'tree') return treeOf(lines)
  const split = family.split ?? 'none'
  const groups = gathered(lines)
  const made: ItemContent[] = []
  for (let index = 0; index < groups.length; index++) {
    const { line, under } = groups[index]!
    const next = groups[index + 1]
    const words = inlineText(line.content)
    const beneath = under.map(sub => paragraphOf(sub.content, sub.level, sub.attrs))
    if (!under.length && next && linesBelong(words, inlineText(next.line.content), split)) {
      made.push({
        lead: line.content,
        joint: { words: '\n' },
        text: [paragraphOf(next.line.content, 0), ...next.under.map(sub => paragraphOf(sub.content, sub.level, sub.attrs))],
        under: [],
      })
      index++
      continue
    }
    const parted = partLine(words, split)
    if (parted) {
      const cut = parted.joint.last ? parted.rest.length : parted.lead.length
      const [first, second] = [sliceInline(line.content, 0, cut), sliceInline(line.content, cut + parted.joint.words.length)]
      const [lead, rest] = parted.joint.last ? [second, first] : [first, second]
      made.push({ lead, joint: parted.joint, text: [paragraphOf(rest, 0), ...beneath], under: [] })
    } else if (family.whole === 'text') made.push({ text: [paragraphOf(line.content, 0), ...beneath], under: [] })
    else made.push({ lead: line.content, ...(beneath.length ? { text: beneath } : {}), under: [] })
  }
  return made
}

/** The plain words of an item's first line, by which it is known again. */
export const wordsOfItem = (item: ItemContent): string =>
  inlineText(item.lead) + (item.text ?? []).map(paragraph => inlineText(paragraph.content)).join('\n')
