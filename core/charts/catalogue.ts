import type { DataTable } from '../data'
import type { ChartSpec } from '../model'
import type { ChartDrawing, ChartKind, ChartRoom } from './drawing'
import { bar } from './kinds/bar'

/** The catalogue: adding a kind is adding a file and a line. */
const kinds: Readonly<Record<ChartSpec['kind'], ChartKind>> = { bar }

/** Draws a chart of its table. */
export const drawChart = (spec: ChartSpec, table: DataTable, room: ChartRoom): ChartDrawing => kinds[spec.kind](spec, table, room)

/** What a new chart of a table shows until someone chooses otherwise. */
export const newChart = (table: string | null): ChartSpec => ({
  kind: 'bar',
  table,
  across: null,
  height: null,
  aggregate: 'sum',
  order: 'data',
  lit: [],
  color: { role: 'accent1' },
  litColor: { role: 'accent2' },
  format: { decimals: null, scale: 'auto', prefix: '', suffix: '' },
  labels: 'all',
  total: false,
})
