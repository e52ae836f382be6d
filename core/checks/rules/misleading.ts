import { chartKindNamed, questionOf, shapeOfData, shownRows, specInState } from '../../charts'
import { setFields } from '../../edits'
import { infoOf, type ChartSpec, type Deck } from '../../model'
import { setState, statesTold } from '../../timing'
import type { Id } from '../../values'
import type { Finding, Remedy, Rule } from '../finding'

/** Lets a chart, or one of its states, draw something otherwise. */
const remedyFor = (element: Id, state: Id | null, { label, change }: { label: string; change: Partial<ChartSpec> }): Remedy => ({
  label,
  changes(now: Deck) {
    const found = now.elements[element]
    if (found?.kind !== 'chart' || !found.chart) return []
    const chart = { ...specInState(now, found.chart, state), ...change }
    return state ? setState(now, { state, spec: chart }) : setFields(now, { table: 'elements', id: found.id, fields: { chart } })
  },
})

/** Charts whose kind would mislead about what their table holds, as its own file says, in any state: a ring of twenty parts. */
export const misleading: Rule = ({ deck, slide, context }) =>
  slide.score.elements.flatMap((element): Finding[] => {
    if (element.kind !== 'chart' || !element.chart) return []
    const told = statesTold(deck, element.id)
    return [null, ...told.map(({ state }) => state.id)].flatMap((state, at): Finding[] => {
      const spec = specInState(deck, element.chart!, state)
      const table = spec.table ? context.table(spec.table) : undefined
      if (!table || questionOf(spec, table)) return []
      const kind = chartKindNamed(spec.kind)
      const map = kind.isMap && spec.map ? context.table(spec.map) : undefined
      // Outlines that are not here yet say nothing.
      if (kind.isMap && spec.map && !map) return []
      const { language } = infoOf(deck)
      const shown = shownRows(spec, table, language)
      const suit = kind.suits?.(shapeOfData(shown.spec, shown.table, language, map ? [map] : []))
      const says = suit?.warning ?? (suit?.lacks ? `It needs ${suit.lacks}. Choose another kind, or that column.` : undefined)
      if (!says) return []
      const where = state ? `, state ${at + 1}` : ''
      const message = `“${element.name}”${where}, drawn as ${kind.label.toLowerCase()}: ${says}`
      const beat = told.find(one => one.state.id === state)?.beat ?? null
      const remedy = suit?.remedy ? remedyFor(element.id, state, suit.remedy) : null
      return [{ rule: 'misleading', slide: slide.slide, beat, element: element.id, message, remedy }]
    })
  })
