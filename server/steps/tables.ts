import { DOUBLE, DuckDBDataChunk, DuckDBInstance, VARCHAR, type DuckDBConnection } from '@duckdb/node-api'
import { rowCount, type Column, type DataTable } from '../../core/data'

/** The most memory, and processors, that the engine takes. */
const limits = { memory_limit: '768MB', threads: '2', temp_directory: '' }
/** So many rows, in so many tables and answers, are kept for the next question. */
export const keeping = { rows: 6_000_000, tables: 200 }
const chunkRows = 2048

let opened: Promise<DuckDBConnection> | undefined
/** The one connection of this thread, with no way to files or network; what is set cannot be set otherwise any more. */
export const engine = () =>
  (opened ??= (async () => {
    const connection = await (await DuckDBInstance.create(':memory:', limits)).connect()
    for (const setting of [
      'enable_external_access = false',
      'autoinstall_known_extensions = false',
      // How far a statement is can be asked for while it runs; nothing of it is written out.
      'enable_progress_bar = true',
      'enable_progress_bar_print = false',
      'progress_bar_time = 0',
      'lock_configuration = true',
    ])
      await connection.run(`set ${setting}`)
    return connection
  })())

interface Kept {
  name: string
  rows: number
}
/** What is kept, by what it is; the one that was asked for last stands last. */
const kept = new Map<string, Kept>()
/** What the question that is being answered needs: it stays until that is done. */
const needed = new Set<string>()
export const forgetNeeded = () => needed.clear()
let counted = 0

/** A relation that is kept under this key; undefined where none is. */
export function keptAs(key: string): Kept | undefined {
  const found = kept.get(key)
  if (!found) return undefined
  kept.delete(key)
  kept.set(key, found)
  needed.add(key)
  return found
}

/** Makes room for what comes: what has not been asked for longest goes. */
async function room(rows: number, connection: DuckDBConnection) {
  let all = [...kept.values()].reduce((sum, one) => sum + one.rows, rows)
  for (const [key, one] of kept) {
    if (all <= keeping.rows && kept.size < keeping.tables) return
    if (needed.has(key)) continue
    kept.delete(key)
    all -= one.rows
    await connection.run(`drop table if exists ${one.name}`)
  }
}

/** Makes a relation of a statement, and keeps it. */
export async function keepAs(key: string, statement: string): Promise<Kept> {
  const connection = await engine()
  const name = `t${++counted}`
  await connection.run(`create temp table ${name} as ${statement}`)
  const [[rows]] = (await connection.runAndReadAll(`select cast(count(*) as double) from ${name}`)).getRowsJS() as [[number]]
  await room(rows, connection)
  kept.set(key, { name, rows })
  needed.add(key)
  return { name, rows }
}

const typeOf = ({ type }: Pick<Column, 'type'>) => (type === 'number' ? DOUBLE : VARCHAR)

/** Loads a table: its rows in their order as `r`, its columns as `c0`, `c1`, … */
export async function load(key: string, table: DataTable): Promise<Kept> {
  const connection = await engine()
  const rows = rowCount(table)
  await room(rows, connection)
  const name = `t${++counted}`
  const types = [DOUBLE, ...table.columns.map(typeOf)]
  await connection.run(
    `create temp table ${name} (r double${table.columns.map((column, index) => `, c${index} ${typeOf(column)}`).join('')})`,
  )
  const appender = await connection.createAppender(name)
  for (let from = 0; from < rows; from += chunkRows) {
    const count = Math.min(chunkRows, rows - from)
    const chunk = DuckDBDataChunk.create(types, count)
    chunk.setColumnValues(
      0,
      Array.from({ length: count }, (_, index) => from + index),
    )
    table.columns.forEach((column, index) => chunk.setColumnValues(index + 1, column.values.slice(from, from + count)))
    appender.appendDataChunk(chunk)
  }
  appender.flushSync()
  appender.closeSync()
  kept.set(key, { name, rows })
  needed.add(key)
  return { name, rows }
}

/** Rows of a relation in their order, column by column; numbers that are none are missing. */
export async function rowsOf(name: string, columns: number, { from = 0, count = Infinity } = {}): Promise<(string | number | null)[][]> {
  const range = Number.isFinite(count) ? ` limit ${count} offset ${from}` : ''
  const list = Array.from({ length: columns }, (_, index) => `c${index}`).join(', ')
  const read = await (await engine()).runAndReadAll(`select ${list} from ${name} order by r${range}`)
  const values = read.getColumnsJS() as (string | number | null)[][]
  const cell = (value: string | number | null) => (typeof value === 'number' && !Number.isFinite(value) ? null : value)
  return Array.from({ length: columns }, (_, index) => (values[index] ?? []).map(cell))
}

/** The sum of every column of numbers, by its place; null of the others. */
export async function sumsOf(name: string, columns: readonly Pick<Column, 'type' | 'kind'>[]): Promise<(number | null)[]> {
  const sums = columns.map(({ type, kind }, index) => (type === 'number' && kind !== 'percent' ? `coalesce(sum(c${index}), 0)` : 'null'))
  const [row] = (await (await engine()).runAndReadAll(`select ${sums.join(', ')} from ${name}`)).getRowsJS() as (number | null)[][]
  return row ?? []
}
