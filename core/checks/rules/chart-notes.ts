import { drawingOfElement } from '../../charts'
import type { Finding, Rule } from '../finding'

/** Rows of a map that have no place on it: their amounts are shown nowhere. */
export const offMap: Rule = ({ deck, slide, context }) =>
  slide.score.elements.flatMap((element): Finding[] => {
    if (element.kind !== 'chart' || !element.chart) return []
    const notes = drawingOfElement(deck, element, null, context.table, context.measurer)?.notes ?? []
    return notes.map(note => ({
      rule: 'off-map',
      slide: slide.slide,
      beat: null,
      element: element.id,
      message: `“${element.name}”: ${note}`,
      remedy: null,
    }))
  })
