import { listWords } from '../values'
import { rowCount, type Column, type DataTable } from './table'

/** A column in a few words, for a sentence about it. */
const about = (column: Column): string =>
  column.type === 'number' ? 'numbers' : column.type === 'date' ? (column.kind === 'time' ? 'times' : 'dates') : 'words'

/**
 * Why a new version of a table cannot take the place of the one before: a column is gone, is of another type, or has a question open. Null
 * where charts that read the old one can read the new one.
 */
export function heldBecause(before: DataTable, after: DataTable): string | null {
  const now = new Map(after.columns.map(column => [column.name, column]))
  const gone = before.columns.filter(column => !now.has(column.name)).map(column => `“${column.name}”`)
  if (gone.length) return `${gone.length === 1 ? 'The column' : 'The columns'} ${listWords(gone)} ${gone.length === 1 ? 'is' : 'are'} gone.`
  for (const column of before.columns) {
    const next = now.get(column.name)!
    if (next.open && !column.open) return `“${column.name}” leaves a question open.`
    if (next.type !== column.type && !column.open) return `“${column.name}” held ${about(column)} and holds ${about(next)} now.`
  }
  return null
}

/** What a new version changes against the one before: rows more or fewer, and each column of amounts whose sum is another. */
export interface VersionChange {
  rows: { before: number; after: number }
  sums: readonly { column: string; before: number; after: number }[]
  /** Columns that only the new version has. */
  added: readonly string[]
}

const sumOf = (column: Column | undefined) =>
  (column?.values ?? []).reduce<number>((sum, value) => (typeof value === 'number' ? sum + value : sum), 0)

export function changeBetween(before: DataTable, after: DataTable): VersionChange {
  const old = new Map(before.columns.map(column => [column.name, column]))
  return {
    rows: { before: rowCount(before), after: rowCount(after) },
    sums: after.columns.flatMap(column => {
      const was = old.get(column.name)
      if (column.type !== 'number' || column.kind === 'percent' || was?.type !== 'number') return []
      const sums = { before: sumOf(was), after: sumOf(column) }
      return sums.before === sums.after ? [] : [{ column: column.name, ...sums }]
    }),
    added: after.columns.filter(column => !old.has(column.name)).map(({ name }) => name),
  }
}
