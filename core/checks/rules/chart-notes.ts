import { drawingOfElement } from '../../charts'
import { statesTold } from '../../timing'
import type { Finding, Rule } from '../finding'

/**
 * What a chart says that it does not show, in any of its states: rows without a place on its map, icons that would be too many. What
 * several states say is said once.
 */
export const chartNotes: Rule = ({ deck, slide, context }) =>
  slide.score.elements.flatMap((element): Finding[] => {
    if (element.kind !== 'chart' || !element.chart) return []
    const told = statesTold(deck, element.id)
    const said = new Map<string, number | null>()
    for (const { state, beat } of [{ state: null, beat: null }, ...told])
      for (const note of drawingOfElement(deck, element, state?.id ?? null, context.table, context.measurer)?.notes ?? [])
        if (!said.has(note)) said.set(note, beat)
    return [...said].map(([note, beat]) => ({
      rule: 'chart-notes',
      slide: slide.slide,
      beat,
      element: element.id,
      message: `“${element.name}”: ${note}`,
      remedy: null,
    }))
  })
