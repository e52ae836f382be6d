import { addSlide, setFields } from '../edits'
import { applyChanges, elementsOf, textOf, type Change, type ChartSpec, type Deck, type EditContext } from '../model'
import type { Id } from '../values'
import { familyNamed } from './catalogue'
import { withLayout } from './layout-record'

/** Puts a slide after another one, or first where `after` is null, with a chart and a headline. Its id is the first one asked for. */
export function addChartSlide(deck: Deck, input: { after: Id | null; title: string; chart: ChartSpec }, context: EditContext): Change[] {
  const { layout, changes, deck: laid } = withLayout(deck, familyNamed('chart')!)
  const added = addSlide(laid, { after: input.after, layout }, context)
  const next = applyChanges(laid, added)
  const slide = added.flatMap(change => (change.do === 'put' && change.table === 'slides' ? [change.record.id] : []))[0]!
  const filled = elementsOf(next, slide).flatMap(element => {
    if (element.kind === 'chart') return setFields(next, { table: 'elements', id: element.id, fields: { chart: input.chart } })
    if (element.placeholder === 'title')
      return setFields(next, { table: 'elements', id: element.id, fields: { text: textOf([input.title]) } })
    return []
  })
  return [...changes, ...added, ...filled]
}
