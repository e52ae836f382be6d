import { contrast, hexOf, readableOn } from '../../color'
import { groundOf, setFields, styleOf } from '../../deck'
import { boundsOf, inside, overlap } from '../../place'
import { layoutOfElement } from '../../text'
import type { Finding, Rule } from '../finding'

/** WCAG 2.2, 1.4.3: 3 : 1 for large text (from 24 CSS px; on a slide all text of 2.4 % of its height is), 4.5 : 1 for the rest. */
const largeShare = 0.024

/** Text that is too faint on the plain colour beneath it: the slide's ground, a panel, or a shape that lies under all of it. */
export const contrastRule: Rule = ({ deck, slide, context }) => {
  const palette = deck.theme.theme!.palette
  const ground = hexOf(groundOf(deck, deck.slides[slide.slide]!), palette)
  return slide.score.elements.flatMap((element, index): Finding[] => {
    if (element.kind !== 'text' || layoutOfElement(deck, element, context.measurer).counts.letter === 0) return []
    const bounds = boundsOf(element.box)
    const beneath = slide.score.elements.slice(0, index).filter(other => overlap(boundsOf(other.box), bounds)).reverse()
    const cover = beneath.find(other => other.kind === 'picture' || (other.kind === 'shape' && other.fill && other.shape === 'rectangle' && inside(bounds, boundsOf(other.box), 1)))
    if (cover?.kind === 'picture' && !element.panel) return []
    const under = element.panel ? hexOf(element.panel.fill, palette) : cover?.kind === 'shape' && cover.fill ? hexOf(cover.fill, palette) : ground
    const style = styleOf(deck, element)
    const ratio = contrast(hexOf(style.color, palette), under)
    const needed = style.size >= slide.score.size.height * largeShare ? 3 : 4.5
    if (ratio >= needed) return []
    const role = readableOn(under, palette)
    return [{
      rule: 'contrast', slide: slide.slide, beat: null, element: element.id,
      message: `“${element.name}” stands out from its ground by ${ratio.toFixed(1)} to 1. It needs ${needed} to 1 to be read.`,
      remedy: { label: `Colour it as ${role}`, changes: deck => setFields(deck, { table: 'elements', id: element.id, fields: { color: { role } } as never }) },
    }]
  })
}
