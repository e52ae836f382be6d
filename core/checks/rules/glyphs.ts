import { missingGlyphs } from '../../themes'
import type { Finding, Rule } from '../finding'

/** Letters that a text's font does not have, so that another one stands in for them. */
export const glyphs: Rule = ({ deck, slide }) =>
  missingGlyphs(deck, slide.slide).map(({ element, name, family, letters, remedy }): Finding => ({
    rule: 'glyphs', slide: slide.slide, beat: null, element,
    message: `${family} has no ${letters.slice(0, 6).join(' ')}${letters.length > 6 ? ' and more' : ''}, as “${name}” needs. Another font stands in.`,
    remedy: remedy ? { label: `Set it in ${remedy}`, changes: () => [{ do: 'set', table: 'elements', id: element, fields: { family: remedy } }] } : null,
  }))
