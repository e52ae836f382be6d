import { contrast, hexOver, plainColor, readableOn } from '../../color'
import { groundHex, setFields, styleOf, themeOf, type Color, type Paint } from '../../deck'
import { boundsOf, inside, overlap } from '../../place'
import { coversBox } from '../../shapes'
import { layoutOfElement } from '../../text'
import type { Finding, Rule } from '../finding'

/** WCAG 2.2, 1.4.3: 3 : 1 for large text (from 24 CSS px; on a slide all text of 2.4 % of its height is), 4.5 : 1 for the rest. */
const largeShare = 0.024

/** Text that is too faint on the plain colour beneath it: the slide's ground, a panel, or a shape that lies under all of it. */
export const contrastRule: Rule = ({ deck, slide, context }) => {
  const record = deck.slides[slide.slide]!
  const palette = themeOf(deck, record).palette
  const ground = groundHex(deck, record)
  return slide.score.elements.flatMap((element, index): Finding[] => {
    if (element.kind !== 'text' || layoutOfElement(deck, element, context.measurer).counts.letter === 0) return []
    const bounds = boundsOf(element.box)
    const beneath = slide.score.elements.slice(0, index).filter(other => overlap(boundsOf(other.box), bounds)).reverse()
    let under = ground
    let onPicture = false
    const layers: Color[] = []
    const lay = (paint: Paint) => {
      const color = plainColor(paint, palette)
      if (color) layers.push(color)
      else onPicture = true
    }
    if (element.panel?.fill) lay(element.panel.fill)
    for (const other of beneath) {
      if (layers.some(color => (color.alpha ?? 1) === 1)) break
      if (other.kind === 'picture' && other.media) onPicture = true
      if (onPicture) break
      if (other.kind === 'shape' && other.fill && coversBox(other.shape) && inside(bounds, boundsOf(other.box), 1)) lay(other.fill)
    }
    if (onPicture && !layers.some(color => (color.alpha ?? 1) === 1)) return []
    for (const color of layers.reverse()) under = hexOver(color, under, palette)
    const style = styleOf(deck, element)
    const ratio = contrast(hexOver(style.color, under, palette), under)
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
