import { columnNamed, firstAmount, firstCategory, isWhere, type Column, type DataTable } from '../data'
import type { ChartSpec } from '../model'
import type { ChartColumn } from './kinds/kind'

/** What columns a chart draws, each by what it does in it; null where there is none. */
export interface ChosenColumns {
  across: Column
  height: Column | null
  series: Column | null
  along: Column | null
  size: Column | null
  beside: readonly Column[]
}

const isNumber = (column: Column | undefined): column is Column => column?.type === 'number' && !isWhere(column)

/** The columns that a chart draws: those that its specification names, and where it names none or one that is gone, the first that suit. */
export function chosenColumns(spec: ChartSpec, table: DataTable): ChosenColumns {
  const across = columnNamed(table, spec.across) ?? firstCategory(table)
  const height = spec.aggregate === 'count' ? null : (columnNamed(table, spec.height) ?? firstAmount(table) ?? null)
  const along = columnNamed(table, spec.along ?? null)
  const size = columnNamed(table, spec.size ?? null)
  const beside = (spec.beside ?? []).map(name => columnNamed(table, name))
  return {
    across,
    height,
    series: columnNamed(table, spec.series ?? null) ?? null,
    along: isNumber(along) ? along : (table.columns.find(column => isNumber(column) && column !== height && column !== across) ?? null),
    size: isNumber(size) ? size : null,
    beside: beside.filter(isNumber).filter(column => column !== height),
  }
}

/** The columns that may do something in a chart of a kind. */
export function columnsFor(role: ChartColumn, table: DataTable, chosen: ChosenColumns): Column[] {
  if (role === 'across') return table.columns.filter(column => !isWhere(column))
  if (role === 'series') return table.columns.filter(column => column !== chosen.across && !isNumber(column) && !isWhere(column))
  return table.columns.filter(column => isNumber(column) && (role === 'height' || column !== chosen.height))
}

/** The columns of a table that a chart leaves out which draws those of some roles. */
export function leftOutOf(takes: readonly ChartColumn[], spec: ChartSpec, table: DataTable): Column[] {
  const chosen = chosenColumns(spec, table)
  const drawn = new Set([...takes.map(role => chosen[role]), ...(takes.includes('series') && !chosen.series ? chosen.beside : [])])
  return table.columns.filter(column => !drawn.has(column) && !isWhere(column))
}
