import { growBoxes, insetOf, layoutOfElement, layoutText } from '../../text'
import { setFields } from '../../edits'
import { styleOf, themeUnder } from '../../resolved'
import type { Finding, Rule } from '../finding'

/** A word that is wider than its box, and is broken between letters where no writer would: the box is made as wide as it needs. */
export const brokenWord: Rule = ({ deck, slide, context }) =>
  slide.score.elements.flatMap((element): Finding[] => {
    if (element.kind !== 'text' || element.along) return []
    const layout = layoutOfElement(deck, element, context.measurer)
    if (layout.broken === null) return []
    // As wide as the whole text is when nothing limits its lines but its widest word.
    const style = styleOf(deck, element)
    const words = element.text.content
      .flatMap(paragraph =>
        (paragraph.content ?? []).flatMap(node => (node.type === 'text' ? node.text.split(/\s+/).map(text => ({ ...node, text })) : [])),
      )
      .filter(node => node.text)
    const widest = Math.max(
      ...words.map(
        node =>
          layoutText(
            { type: 'doc', content: [{ type: 'paragraph', content: [node] }] },
            style,
            themeUnder(deck, element.owner).fonts,
            1e6,
            context.measurer,
            layout.scale,
          ).width,
      ),
    )
    const indent = Math.max(0, ...layout.lines.map(line => line.indent))
    const width = Math.ceil(widest + indent + 2 * insetOf(element) + 2)
    const fitsSlide = width <= slide.score.size.width && !element.pinned && !element.columns
    return [
      {
        rule: 'broken-word',
        slide: slide.slide,
        beat: null,
        element: element.id,
        message: `“${element.name}” breaks “${layout.broken.slice(0, 60)}” in the midst of the word: its box is too narrow for it.`,
        remedy: fitsSlide
          ? {
              label: 'Make its box as wide as the word',
              changes: deck => {
                const x = Math.max(0, Math.min(element.box.x, slide.score.size.width - width))
                return [
                  ...setFields(deck, { table: 'elements', id: element.id, fields: { box: { ...element.box, x, width } } }),
                  ...growBoxes(deck, [element.id], context.measurer),
                ]
              },
            }
          : null,
      },
    ]
  })
