import { chartKindNamed, questionOf, shapeOfData } from '../../charts'
import { setFields } from '../../edits'
import { infoOf } from '../../model'
import type { Finding, Remedy, Rule } from '../finding'

/** Charts whose kind would mislead about what their table holds, as its own file says: a ring of twenty parts, lines without order. */
export const misleading: Rule = ({ deck, slide, context }) =>
  slide.score.elements.flatMap((element): Finding[] => {
    if (element.kind !== 'chart' || !element.chart?.table) return []
    const table = context.table(element.chart.table)
    if (!table || questionOf(element.chart, table)) return []
    const kind = chartKindNamed(element.chart.kind)
    const suit = kind.suits?.(shapeOfData(element.chart, table, infoOf(deck).language))
    const says = suit?.warning ?? (suit?.lacks ? `It needs ${suit.lacks}. Choose another kind, or that column.` : undefined)
    if (!says) return []
    const message = `“${element.name}”, drawn as ${kind.label.toLowerCase()}: ${says}`
    const mends = suit?.remedy
    const remedy: Remedy | null = mends
      ? {
          label: mends.label,
          changes(now) {
            const found = now.elements[element.id]
            if (found?.kind !== 'chart' || !found.chart) return []
            return setFields(now, { table: 'elements', id: found.id, fields: { chart: { ...found.chart, ...mends.change } } })
          },
        }
      : null
    return [{ rule: 'misleading', slide: slide.slide, beat: null, element: element.id, message, remedy }]
  })
