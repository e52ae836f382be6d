import { infoOf, type ChartElement, type ChartSpec, type Deck } from '../model'
import type { DataTable } from '../data'
import { themeUnder, type ShownElement } from '../resolved'
import type { Id } from '../values'
import type { Measurer } from '../text'
import type { ChartDrawing } from './drawing'
import { drawChart } from './catalogue'

interface Known {
  table: DataTable
  width: number
  height: number
  theme: unknown
  language: string
  measurer: Measurer
  drawing: ChartDrawing
}

const known = new WeakMap<ChartSpec, Known>()
const combined = new WeakMap<ChartSpec, WeakMap<object, ChartSpec>>()

/** A chart's specification in one of its states; the same two records give the same object. */
export function specInState(deck: Deck, spec: ChartSpec, state: Id | null): ChartSpec {
  const change = state === null ? undefined : deck.states[state]?.chart
  if (!change) return spec
  let bySpec = combined.get(spec)
  if (!bySpec) combined.set(spec, (bySpec = new WeakMap()))
  let made = bySpec.get(change)
  if (!made) bySpec.set(change, (made = { ...spec, ...change }))
  return made
}

/** The drawing of a chart element in a state (null: as composed); null where it has no table. Kept until what it is made from changes. */
export function drawingOfElement(
  deck: Deck,
  element: ChartElement & ShownElement,
  state: Id | null,
  tableOf: (id: Id) => DataTable | undefined,
  measurer: Measurer,
): ChartDrawing | null {
  if (!element.chart) return null
  const spec = specInState(deck, element.chart, state)
  const table = spec.table ? tableOf(spec.table) : undefined
  if (!table) return null
  const theme = themeUnder(deck, element.owner)
  const { width, height } = element.box
  const language = infoOf(deck).language
  const last = known.get(spec)
  if (
    last &&
    last.table === table &&
    last.width === width &&
    last.height === height &&
    last.theme === theme &&
    last.language === language &&
    last.measurer === measurer
  )
    return last.drawing
  const textSize = theme.textStyles.small?.size ?? 28
  const drawing = drawChart(spec, table, { width, height, textSize, fonts: theme.fonts, measurer, language })
  known.set(spec, { table, width, height, theme, language, measurer, drawing })
  return drawing
}
