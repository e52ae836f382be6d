import { addSlide, setFields } from '../edits'
import { applyChanges, elementsOf, textOf, type Change, type ChartSpec, type Deck, type EditContext } from '../model'
import type { Id } from '../values'
import { familyNamed } from '../families'
import { withLayout } from './layout-record'

/** A slide with a chart: its headline, and the line under it; after which slide it comes, null for first. */
export interface ChartSlide {
  after: Id | null
  title: string
  caption?: string
  chart: ChartSpec
}

/** Puts a slide with a chart and a headline. Its id is the first one asked for. */
export function addChartSlide(deck: Deck, input: ChartSlide, context: EditContext): Change[] {
  const { layout, changes, deck: laid } = withLayout(deck, familyNamed('chart')!)
  const added = addSlide(laid, { after: input.after, layout }, context)
  const next = applyChanges(laid, added)
  const slide = added.flatMap(change => (change.do === 'put' && change.table === 'slides' ? [change.record.id] : []))[0]!
  const filled = elementsOf(next, slide).flatMap(element => {
    if (element.kind === 'chart') return setFields(next, { table: 'elements', id: element.id, fields: { chart: input.chart } })
    if (element.placeholder === 'title')
      return setFields(next, { table: 'elements', id: element.id, fields: { text: textOf([input.title]) } })
    if (element.placeholder === 'caption' && input.caption)
      return setFields(next, { table: 'elements', id: element.id, fields: { text: textOf([input.caption]) } })
    return []
  })
  return [...changes, ...added, ...filled]
}
