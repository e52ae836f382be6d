import { chartSpecSchema, infoOf, type ChartElement, type ChartSpec, type Deck, type State } from '../model'
import { columnNamed, type DataTable } from '../data'
import { themeUnder, type ShownElement } from '../resolved'
import { memoByRecords, type Id } from '../values'
import type { Measurer } from '../text'
import type { ChartDrawing, ChartRoom } from './drawing'
import { chartVoices } from './voices'
import { chartKindNamed, drawChart } from './catalogue'
import { tableOfChart } from './lines'
import { chosenColumns } from './columns'
import { passageBetween, type Passage } from './motion/passage'
import { passageOf } from './motion/run'

const combined = memoByRecords(
  (spec: ChartSpec, state: State) => [spec, state],
  (spec, { chart, without = [] }): ChartSpec => {
    const kept = Object.entries({ ...spec, ...chart }).filter(([field]) => !without.includes(field) || field in chart)
    // What all charts have cannot be missing.
    return chartSpecSchema.safeParse(Object.fromEntries(kept)).data ?? { ...spec, ...chart }
  },
  { keep: 100 },
)

/** What a state keeps of a specification: where it differs from the chart as composed. */
export function stateFields(spec: ChartSpec, wanted: ChartSpec): Pick<State, 'chart' | 'without'> {
  const fields = Object.keys({ ...spec, ...wanted }) as (keyof ChartSpec)[]
  const without = fields.filter(field => spec[field] !== undefined && wanted[field] === undefined)
  const differing = fields.filter(field => wanted[field] !== undefined && JSON.stringify(wanted[field]) !== JSON.stringify(spec[field]))
  return { chart: Object.fromEntries(differing.map(field => [field, wanted[field]])), ...(without.length ? { without } : {}) }
}

/** A chart's specification in one of its states; the same two records give the same object. */
export function specInState(deck: Deck, spec: ChartSpec, state: Id | null): ChartSpec {
  const kept = state === null ? undefined : deck.states[state]
  return kept ? combined(spec, kept) : spec
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
    room.map,
    room.voices,
  ],
  (spec, table, room): ChartDrawing => drawChart(spec, table, room),
  { keep: 3 },
)

/** Why a chart cannot be drawn from its table: a column of it has a question open. Null where it can. */
export function questionOf(spec: ChartSpec, table: DataTable): string | null {
  const { takes } = chartKindNamed(spec.kind)
  const chosen = chosenColumns(spec, table)
  const through = columnNamed(table, spec.moment?.column ?? null)
  const open = [...takes.map(role => chosen[role]), ...chosen.beside, through].find(column => column?.open)
  return open ? `“${open.name}” can be read in two ways. ${open.open} Say which under Data, or drop its file on the chart again.` : null
}

/** The room that a chart element is drawn in. */
function roomOf(
  deck: Deck,
  element: ChartElement & ShownElement,
  measurer: Measurer,
  { map, voices }: { map: DataTable | undefined; voices: string | undefined },
): ChartRoom {
  const theme = themeUnder(deck, element.owner)
  const { width, height } = element.box
  return {
    width,
    height,
    textSize: theme.textStyles.small?.size ?? 28,
    fonts: theme.fonts,
    measurer,
    language: infoOf(deck).language,
    ...(map ? { map } : {}),
    ...(voices ? { voices } : {}),
  }
}

/** What a chart element draws in a state, and of which table; null where it has none, or a question of it is open. */
function drawnIn(deck: Deck, element: ChartElement, state: Id | null, tableOf: (id: Id) => DataTable | undefined) {
  if (!element.chart) return null
  const spec = specInState(deck, element.chart, state)
  const table = tableOfChart(deck, element, tableOf, spec)
  const map = spec.map && chartKindNamed(spec.kind).isMap ? tableOf(spec.map) : undefined
  // Outlines that are not here yet are waited for.
  if (spec.map && chartKindNamed(spec.kind).isMap && !map) return null
  return !table || questionOf(spec, table) ? null : { spec, table, map, voices: chartVoices(deck, spec, table, tableOf) }
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
  const drawn = drawnIn(deck, element, state, tableOf)
  return drawn && drawing(drawn.spec, drawn.table, roomOf(deck, element, measurer, drawn))
}

/** The way of a chart element from one state to another (null: as composed); null where it cannot be drawn in one of them. */
export function passageOfStates(
  deck: Deck,
  element: ChartElement & ShownElement,
  states: { from: Id | null; to: Id | null },
  tableOf: (id: Id) => DataTable | undefined,
  measurer: Measurer,
): Passage | null {
  const [from, to] = [drawnIn(deck, element, states.from, tableOf), drawnIn(deck, element, states.to, tableOf)]
  if (!from || !to) return null
  const room = roomOf(deck, element, measurer, to)
  if (from.table === to.table && from.map === to.map) return passageOf(from.spec, to.spec, to.table, room)
  const before = roomOf(deck, element, measurer, from)
  return passageBetween(drawing(from.spec, from.table, before), drawing(to.spec, to.table, room), room.width, room.height)
}

/** A chart on its way from one state to another. */
export interface ChartWay {
  from: Id | null
  to: Id | null
  /** The share of the time that has gone, 0 to 1, and how each part of the chart goes within its own time. */
  progress: number
  ease?: ((share: number) => number) | undefined
  /** The chart of the slide before that it comes from, where it is carried on. */
  of?: ChartElement & ShownElement
}

/** The drawing of a chart element on its way; null where it cannot be drawn. */
export function drawingOnItsWay(
  deck: Deck,
  element: ChartElement & ShownElement,
  way: ChartWay,
  tableOf: (id: Id) => DataTable | undefined,
  measurer: Measurer,
): ChartDrawing | null {
  if (!way.of) return passageOfStates(deck, element, way, tableOf, measurer)?.at(way.progress, way.ease) ?? null
  // A chart that is carried on begins as that of the slide before, in its own box.
  const from = drawingOfElement(deck, { ...way.of, box: element.box }, way.from, tableOf, measurer)
  const to = drawingOfElement(deck, element, way.to, tableOf, measurer)
  if (!from || !to) return null
  return passageBetween(from, to, element.box.width, element.box.height).at(way.progress, way.ease)
}
