import type { DecimalSign } from '../../numbers'
import type { Column, ColumnKind } from '../../table'
import type { ColumnChoice } from '../choices'
import type { ColumnSample } from '../sample'
import type { DateOrder, Grain } from '../written-date'

/** What is known of a table before one of its columns is read. */
export interface TableHints {
  /** The decimal sign that is likelier where a column does not tell; null where nothing is known. */
  decimal: DecimalSign | null
  /** Whether the day or the month stands first, as another column of days tells. */
  order: DateOrder | null
}

/** One way of reading a column. */
export interface Reading {
  choice: ColumnChoice
  /** How its values are kept. */
  type: Column['type']
  unit?: string
  grain?: Grain
  /** Whether cells that stand for nothing among numbers do so here too. */
  marks: 'numbers' | 'words'
  /** The value of a cell that is not missing; undefined where it cannot be read so. */
  read: (cell: string) => string | number | undefined
  /** What it is, as a label: “Money, comma is the decimal”. */
  label: string
  /** The same as a sentence above the column; between asterisks what can be changed by a press. */
  words: string
  /** How surely the column is this, from 0, where it is offered only, to 1. */
  likely: number
  /** What this column tells of others in its table, where its own cells leave no doubt. */
  told?: { decimal?: DecimalSign; order?: DateOrder }
  /** What has to be answered before anything draws the column. */
  open?: { question: string; answers: readonly { label: string; choice: ColumnChoice }[] }
}

/** A kind of column: how its cells are recognised, read, and spoken of. */
export interface KindOfColumn {
  name: ColumnKind
  /** The ways in which a column can be read as this kind, likeliest first. */
  readings(sample: ColumnSample, hints: TableHints): readonly Reading[]
}

/** A share of a column’s cells above which the column counts as what they are; what is left over is told and missing. */
export const mostOf = 0.8
