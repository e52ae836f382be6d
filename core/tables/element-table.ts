import { infoOf, type Deck, type TableElement } from '../model'
import type { DataTable } from '../data'
import { styleNamed, themeUnder, type ShownElement } from '../resolved'
import type { Id } from '../values'
import type { Measurer } from '../text'
import { tableContent } from './content'
import { layTable, type TableLayout } from './lay'

interface Known {
  element: TableElement & ShownElement
  content: unknown
  theme: unknown
  measurer: Measurer
  layout: TableLayout
}
const known = new Map<Id, Known>()

/** The layout of a table element as the stage draws it; null while its data are not here. Kept until what it is made from changes. */
export function layoutOfTable(
  deck: Deck,
  element: TableElement & ShownElement,
  tableOf: (id: Id) => DataTable | undefined,
  measurer: Measurer,
): TableLayout | null {
  const content = tableContent(element, tableOf)
  if (!content) return null
  const theme = themeUnder(deck, element.owner)
  const before = known.get(element.id)
  if (before && before.element === element && before.content === content && before.theme === theme && before.measurer === measurer)
    return before.layout
  const layout = layTable(element, content, {
    style: { ...styleNamed(theme, 'body'), lineHeight: 1.22, paragraphSpacing: 0 },
    fonts: theme.fonts,
    size: element.box,
    language: infoOf(deck).language,
    measurer,
    total: 'Total',
  })
  if (known.size > 500) known.clear()
  known.set(element.id, { element, content, theme, measurer, layout })
  return layout
}
