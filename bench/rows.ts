import type { DataTable } from '../core/data'

/** Amounts that look as if by chance, the same each time. */
export const spread = (at: number, seed: number) => ((at * 7919 + seed * 104_729) % 9973) + 10

/** A table of so many boats with two amounts each. */
export function boats(count: number, seed: number): DataTable {
  const rows = Array.from({ length: count }, (_, at) => at)
  return {
    id: 't',
    name: 't',
    columns: [
      { name: 'boat', type: 'text', values: rows.map(row => `Boat ${row}`) },
      { name: 'riders', type: 'number', values: rows.map(row => spread(row, seed)) },
      { name: 'knots', type: 'number', values: rows.map(row => spread(row, seed + 3) / 50) },
    ],
  }
}
