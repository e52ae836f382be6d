import type { DataTable } from '../data'
import type { ChartSpec } from '../model'
import type { ChartDrawing, ChartRoom } from './drawing'
import { withMoved } from './moved'
import { settled } from './settle'
import { area } from './kinds/area'
import { bands } from './kinds/bands'
import { bar } from './kinds/bar'
import { bigNumber } from './kinds/big-number'
import { box } from './kinds/box'
import { bullet } from './kinds/bullet'
import { calendar } from './kinds/calendar'
import { dots } from './kinds/dots'
import { flows } from './kinds/flows'
import { halfRing } from './kinds/half-ring'
import { heat } from './kinds/heat'
import { histogram } from './kinds/histogram'
import type { ChartKind } from './kinds/kind'
import { drawMoment } from './motion/moment'
import { shownRows } from './motion/shown-rows'
import { line } from './kinds/line'
import { lollipop } from './kinds/lollipop'
import { lyingBar } from './kinds/lying-bar'
import { mapAreas } from './kinds/map-areas'
import { mapPoints } from './kinds/map-points'
import { mapRoutes } from './kinds/map-routes'
import { multiples } from './kinds/multiples'
import { pictogram } from './kinds/pictogram'
import { ranks } from './kinds/ranks'
import { ridges } from './kinds/ridges'
import { ribbons } from './kinds/ribbons'
import { ring } from './kinds/ring'
import { scatter } from './kinds/scatter'
import { slope } from './kinds/slope'
import { stack } from './kinds/stack'
import { tableBars } from './kinds/table-bars'
import { treemap } from './kinds/treemap'
import { waffle } from './kinds/waffle'
import { waterfall } from './kinds/waterfall'

/** The catalogue: adding a kind is adding a file and a line. */
export const chartKinds: readonly ChartKind[] = [
  bar,
  lyingBar,
  stack,
  line,
  area,
  bands,
  ring,
  halfRing,
  bullet,
  lollipop,
  dots,
  scatter,
  slope,
  ranks,
  ribbons,
  multiples,
  tableBars,
  heat,
  calendar,
  waterfall,
  treemap,
  flows,
  waffle,
  pictogram,
  histogram,
  ridges,
  box,
  mapAreas,
  mapPoints,
  mapRoutes,
  bigNumber,
]

const byName = new Map(chartKinds.map(kind => [kind.name, kind]))

/** A kind of charts by its name; one that this version does not know is drawn as bars. */
export const chartKindNamed = (name: string): ChartKind => byName.get(name) ?? bar

/** Draws rows as they are. */
const drawPlain = (spec: ChartSpec, table: DataTable, room: ChartRoom): ChartDrawing =>
  withMoved(chartKindNamed(spec.kind).draw(spec, table, room), spec, room)
/** The same with no word on another. */
const drawRows = (spec: ChartSpec, table: DataTable, room: ChartRoom): ChartDrawing => settled(drawPlain(spec, table, room), room)

/** Draws a chart of its table; `time` is the number of a moment, or lies between two, where it is shown on its way through time. */
export function drawChart(spec: ChartSpec, table: DataTable, room: ChartRoom, time?: number): ChartDrawing {
  const shown = shownRows(spec, table, room.language, time)
  if (!shown.run) return drawRows(shown.spec, shown.table, room)
  return drawMoment(spec, table, { ...shown, run: shown.run }, room, {
    settled: drawRows,
    passing: chartKindNamed(spec.kind).followsPlaces ? drawPlain : null,
  })
}

/** What a new chart of a table shows until someone chooses otherwise. */
export const newChart = (table: string | null): ChartSpec => ({
  kind: bar.name,
  table,
  across: null,
  height: null,
  aggregate: 'sum',
  order: 'data',
  highlighted: [],
  format: { decimals: null, scale: 'auto', prefix: '', suffix: '' },
  labels: 'all',
  total: false,
})
