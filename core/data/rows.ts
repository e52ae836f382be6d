import { readNumber, type DecimalSign } from './numbers'
import type { Column, DataTable } from './table'

const day = /^\d{4}-\d{2}-\d{2}$/
const isBlank = (cell: string) => cell === '' || cell.trim() === ''

/** The values of a column if each cell that is not blank reads as one; undefined at the first that does not. */
function readAll<T>(rows: readonly (readonly string[])[], at: number, read: (cell: string) => T | null): (T | null)[] | undefined {
  const values: (T | null)[] = new Array(rows.length)
  let any = false
  for (let index = 0; index < rows.length; index++) {
    const cell = rows[index]![at] ?? ''
    if (isBlank(cell)) {
      values[index] = null
      continue
    }
    const value = read(cell)
    if (value === null) return undefined
    values[index] = value
    any = true
  }
  return any ? values : undefined
}

function columnOf(name: string, rows: readonly (readonly string[])[], at: number, preferred: DecimalSign): Column {
  const days = readAll(rows, at, cell => (day.test(cell.trim()) ? cell.trim() : null))
  if (days) return { name, type: 'date', values: days }
  const other: DecimalSign = preferred === '.' ? ',' : '.'
  const numbers = readAll(rows, at, cell => readNumber(cell, preferred)) ?? readAll(rows, at, cell => readNumber(cell, other))
  if (numbers) return { name, type: 'number', values: numbers }
  return { name, type: 'text', values: rows.map(row => (isBlank(row[at] ?? '') ? null : row[at]!)) }
}

/** Names for columns: none empty, none twice. */
function namesOf(header: readonly string[]): string[] {
  const seen = new Set<string>()
  return header.map((cell, index) => {
    const base = cell.replace(/\s+/g, ' ').trim().slice(0, 180) || `Column ${index + 1}`
    let name = base
    for (let count = 2; seen.has(name); count++) name = `${base} ${count}`
    seen.add(name)
    return name
  })
}

/** A table of written rows: the header names the columns, whose types are found from what stands in them. */
export function tableOfRows(
  header: readonly string[],
  rows: readonly (readonly string[])[],
  name: string,
  id: string,
  preferred: DecimalSign = '.',
): DataTable {
  const width = rows.reduce((most, row) => Math.max(most, row.length), header.length)
  const names = namesOf(Array.from({ length: width }, (_, index) => header[index] ?? ''))
  return { id, name, columns: names.map((column, index) => columnOf(column, rows, index, preferred)) }
}
