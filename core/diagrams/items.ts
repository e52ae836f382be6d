import { memoByRecords } from '../values'
import { inlineText, type DrawnIcon, type Paragraph, type TextDoc } from '../model'

/** A line of the outline with what stands under it. */
export interface DiagramItem {
  paragraph: Paragraph
  words: string
  icon: DrawnIcon | null
  /** The one that is emphasised. */
  highlighted: boolean
  children: DiagramItem[]
}

/**
 * The lines of a text as a forest, by their levels; empty lines are left out. A line deeper than one step stands under the line above it
 * all the same.
 */
export const readItems = memoByRecords((text: TextDoc) => [text], itemsOf)

function itemsOf(text: TextDoc): readonly DiagramItem[] {
  const roots: DiagramItem[] = []
  const open: { level: number; item: DiagramItem }[] = []
  for (const paragraph of text.content) {
    const words = inlineText(paragraph.content).trim()
    if (!words) continue
    const level = Math.max(1, paragraph.attrs?.level ?? 0)
    const item: DiagramItem = {
      paragraph,
      words,
      icon: paragraph.attrs?.icon ?? null,
      highlighted: !!paragraph.attrs?.highlighted,
      children: [],
    }
    while (open.length && open.at(-1)!.level >= level) open.pop()
    ;(open.at(-1)?.item.children ?? roots).push(item)
    open.push({ level, item })
  }
  return roots
}

/** A root with all else beneath it: the one top line, or the first of several, whose fellows follow its own children. */
export function rooted(items: readonly DiagramItem[]): DiagramItem | null {
  const [first, ...others] = items
  return first ? (others.length ? { ...first, children: [...first.children, ...others] } : first) : null
}

/** Items down to a depth (1 the top alone), in the order of the outline. */
export function flat(items: readonly DiagramItem[], depth = Infinity): DiagramItem[] {
  return items.flatMap(item => [item, ...(depth > 1 ? flat(item.children, depth - 1) : [])])
}

/** What stands under an item as a text of its own, its levels counted anew; null of nothing. */
export const textBelow = memoByRecords((item: DiagramItem) => [item.children], textOfChildren)

function textOfChildren(item: DiagramItem): TextDoc | null {
  const lines = (items: readonly DiagramItem[], level: number): Paragraph[] =>
    items.flatMap(child => [
      { type: 'paragraph' as const, attrs: { level }, ...(child.paragraph.content ? { content: child.paragraph.content } : {}) },
      ...lines(child.children, level + 1),
    ])
  const plain = item.children.length === 1 && !item.children[0]!.children.length
  return item.children.length ? { type: 'doc', content: lines(item.children, plain ? 0 : 1) } : null
}

/** The item's own line as a text. */
export const headText = memoByRecords(
  (paragraph: Paragraph) => [paragraph],
  (paragraph): TextDoc => ({
    type: 'doc',
    content: [{ type: 'paragraph', ...(paragraph.content ? { content: paragraph.content } : {}) }],
  }),
)
