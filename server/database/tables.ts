import type { DataTable } from '../../core/data'
import { database, jsonOf, type Sql } from './connection'

export async function tableById(id: string, sql: Sql = database()) {
  const [row] = await sql<{ content: DataTable }[]>`select content from data_tables where id = ${id}`
  return row?.content
}

export async function tablesById(ids: readonly string[]) {
  if (!ids.length) return []
  const sql = database()
  const rows = await sql<{ content: DataTable }[]>`select content from data_tables where id in ${sql(ids as string[])}`
  return rows.map(row => row.content)
}

/** Keeps a table under its id; a table never changes, new figures are a new table. */
export async function keepTable(table: DataTable, person: string | null, sql: Sql = database()) {
  await sql`insert into data_tables (id, name, content, created_by)
    values (${table.id}, ${table.name}, ${jsonOf(table)}, ${person}) on conflict (id) do nothing`
}

/** The newest table of a name, whatever the case of its letters. */
export async function tableNamed(name: string) {
  const [row] = await database()<
    { content: DataTable }[]
  >`select content from data_tables where lower(name) = lower(${name}) order by created_at desc limit 1`
  return row?.content
}

/** The same with the table as JSON text, as a thread has checked it. */
export async function keepTableText(table: { id: string; name: string; text: string }, person: string | null) {
  await database()`insert into data_tables (id, name, content, created_by)
    values (${table.id}, ${table.name}, ${table.text}::text::jsonb, ${person}) on conflict (id) do nothing`
}
