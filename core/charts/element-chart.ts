import { infoOf, type ChartElement, type ChartSpec, type Deck } from '../model'
import type { DataTable } from '../data'
import { themeUnder, type ShownElement } from '../resolved'
import { memoByRecords, type Id } from '../values'
import type { Measurer } from '../text'
import type { ChartDrawing, ChartRoom } from './drawing'
import { chartKindNamed, drawChart } from './catalogue'
import { chosenColumns } from './columns'

const combined = memoByRecords(
  (spec: ChartSpec, change: Partial<ChartSpec>) => [spec, change],
  (spec, change): ChartSpec => ({ ...spec, ...change }),
  { keep: 100 },
)

/** A chart's specification in one of its states; the same two records give the same object. */
export function specInState(deck: Deck, spec: ChartSpec, state: Id | null): ChartSpec {
  const change = state === null ? undefined : deck.states[state]?.chart
  return change ? combined(spec, change) : spec
}

const drawing = memoByRecords(
  (spec: ChartSpec, table: DataTable, room: ChartRoom) => [
    spec,
    table,
    room.width,
    room.height,
    room.textSize,
    room.fonts,
    room.measurer,
    room.language,
  ],
  (spec, table, room): ChartDrawing => drawChart(spec, table, room),
  { keep: 3 },
)

/** Why a chart cannot be drawn from its table: a column of it has a question open. Null where it can. */
export function questionOf(spec: ChartSpec, table: DataTable): string | null {
  const { takes } = chartKindNamed(spec.kind)
  const chosen = chosenColumns(spec, table)
  const open = [...takes.map(role => chosen[role]), ...chosen.beside].find(column => column?.open)
  return open ? `“${open.name}” can be read in two ways. ${open.open} Say which under Data, or drop its file on the chart again.` : null
}

/**
 * The drawing of a chart element in a state (null: as composed); null where it has no table, or a question of it is open. Kept until what
 * it is made from changes.
 */
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
  if (!table || questionOf(spec, table)) return null
  const theme = themeUnder(deck, element.owner)
  const { width, height } = element.box
  const room = {
    width,
    height,
    textSize: theme.textStyles.small?.size ?? 28,
    fonts: theme.fonts,
    measurer,
    language: infoOf(deck).language,
  }
  return drawing(spec, table, room)
}
