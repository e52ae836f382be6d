import type { DataTable } from '../data'
import type { ChartSpec } from '../model'
import type { ChartDrawing, ChartRoom } from './drawing'
import { inBetween } from './in-between'
import { bar } from './kinds/bar'
import type { ChartKind } from './kinds/kind'
import { line } from './kinds/line'

/** The catalogue: adding a kind is adding a file and a line. */
export const chartKinds: readonly ChartKind[] = [bar, line]

const byName = new Map(chartKinds.map(kind => [kind.name, kind]))

/** A kind of charts by its name; one that this version does not know is drawn as bars. */
export const chartKindNamed = (name: string): ChartKind => byName.get(name) ?? bar

/** Draws a chart of its table. */
export const drawChart = (spec: ChartSpec, table: DataTable, room: ChartRoom): ChartDrawing =>
  chartKindNamed(spec.kind).draw(spec, table, room)

/** The drawing at `progress` (0 to 1) from one drawing of a chart to another. */
export const drawingBetween = (spec: ChartSpec, from: ChartDrawing, to: ChartDrawing, progress: number): ChartDrawing =>
  (chartKindNamed(spec.kind).between ?? inBetween)(from, to, progress)

/** What a new chart of a table shows until someone chooses otherwise. */
export const newChart = (table: string | null): ChartSpec => ({
  kind: bar.name,
  table,
  across: null,
  height: null,
  aggregate: 'sum',
  order: 'data',
  highlighted: [],
  color: { role: 'accent1' },
  highlightColor: { role: 'accent2' },
  format: { decimals: null, scale: 'auto', prefix: '', suffix: '' },
  labels: 'all',
  total: false,
})
