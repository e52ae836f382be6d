import type { Inline, Mark } from '../model'

/** A number with its sign, and the unit that stands at it or behind a blank: a sign, or letters up to the next blank. */
const numberWithUnit = /([+\-−]?\d(?:[\d.,'’\u00a0\u202f]*\d)?)([ \u00a0\u202f]?)(%|‰|°[CFK]?|[€£$¥]|\p{L}{1,12})(?![\p{L}\d])/gu

/** From so many letters on a unit is a word. */
const leastWord = 4

const none: readonly Mark[] = []
const alone = new Map<number, readonly Mark[]>()
/** The marks of a unit: those of its number, and its size. */
function marksOfUnit(marks: readonly Mark[], share: number): readonly Mark[] {
  const small: Mark = { type: 'size', attrs: { factor: share } }
  if (marks.length) return [...marks, small]
  const found = alone.get(share) ?? [small]
  alone.set(share, found)
  return found
}

/**
 * The inline nodes of a paragraph with the units of its numbers set smaller, `share` of the size; a number and its unit are never on two
 * lines. The words have as many letters as before.
 */
export function withSmallUnits(content: readonly Inline[], share: number): readonly Inline[] {
  return content.flatMap((node): Inline[] => {
    if (node.type !== 'text') return [node]
    const made: Inline[] = []
    let from = 0
    for (const found of node.text.matchAll(numberWithUnit)) {
      const until = found.index + found[1]!.length
      // What is a word stands as far off as words do; a sign stands close.
      const apart = found[2] && found[3]!.length >= leastWord ? '\u00a0' : ''
      made.push({ ...node, text: node.text.slice(from, until) + apart })
      const unit = `${found[2] && !apart ? '\u202f' : ''}${found[3]!}`
      made.push({ ...node, text: unit, marks: marksOfUnit(node.marks ?? none, share) as Mark[] })
      from = found.index + found[0].length
    }
    if (!made.length) return [node]
    return from < node.text.length ? [...made, { ...node, text: node.text.slice(from) }] : made
  })
}
