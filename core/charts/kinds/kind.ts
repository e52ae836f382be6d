import type { DataTable } from '../../data'
import type { ChartSpec } from '../../model'
import type { OptionField } from '../../values'
import type { ChartDrawing, ChartRoom } from '../drawing'

/** A kind of charts, one file each. */
export interface ChartKind {
  name: string
  label: string
  /** What one of its parts is called, as in “bar by bar”. */
  part: string
  /**
   * What of it can be chosen beside what all charts have; kept in `options` of a chart, and read by `optionOf`, which holds it to its
   * ranges.
   */
  options: readonly OptionField[]
  draw(spec: ChartSpec, table: DataTable, room: ChartRoom): ChartDrawing
  /** Its own way from one of its drawings to another; absent, each mark goes its own. */
  between?(from: ChartDrawing, to: ChartDrawing, progress: number): ChartDrawing
}
