import { pinOf, type DataTable } from '../../core/data'
import { shippedTable } from '../maps/shipped'
import { database, jsonOf, type Sql } from './connection'

/** The versions that some ids ask for: of tables of the team the one on air, or the one that is stayed at. */
function versionsIn(ids: readonly string[], sql: Sql) {
  const pins = ids.flatMap(id => pinOf(id) ?? [])
  return sql`
    select s.id as id, v.table_id from data_sources s join data_versions v on v.source = s.id and v.number = s.on_air
    where s.id = any(${[...ids]})
    union all
    select v.source || '_v' || v.number as id, v.table_id
    from data_versions v
    join unnest(${pins.map(({ source }) => source)}::text[], ${pins.map(({ number }) => number)}::int[]) as pin (source, number)
      on v.source = pin.source and v.number = pin.number`
}
const airedIn = (ids: readonly string[], sql: Sql) => sql`
  select t.content || jsonb_build_object('id', asked.id, 'version', t.id) as content
  from (${versionsIn(ids, sql)}) asked join data_tables t on t.id = asked.table_id`

/** A table by its id, a map that ships with the application, or the version on air of the one that the team keeps under this id. */
export async function tableById(id: string, sql: Sql = database()): Promise<DataTable | undefined> {
  const shipped = await shippedTable(id)
  if (shipped) return shipped
  const [row] = await sql<
    { content: DataTable }[]
  >`select content from data_tables where id = ${id} union all ${airedIn([id], sql)} limit 1`
  return row?.content
}

export async function tablesById(ids: readonly string[]): Promise<DataTable[]> {
  if (!ids.length) return []
  const shipped = (await Promise.all(ids.map(shippedTable))).filter(table => table !== undefined)
  const sql = database()
  const rows = await sql<{ content: DataTable }[]>`
    select content from data_tables where id = any(${[...ids]}) union all ${airedIn(ids, sql)}`
  return [...rows.map(row => row.content), ...shipped]
}

/** The versions that those ids ask for that are tables of the team. */
export async function airedVersions(ids: readonly string[]): Promise<Record<string, string>> {
  if (!ids.length) return {}
  const sql = database()
  const rows = await sql<{ id: string; version: string }[]>`
    select asked.id, asked.table_id as version from (${versionsIn(ids, sql)}) asked`
  return Object.fromEntries(rows.map(({ id, version }) => [id, version]))
}

/** Keeps a table under its id; a table never changes, new figures are a new table. */
export async function keepTable(table: DataTable, person: string | null, sql: Sql = database()) {
  await sql`insert into data_tables (id, name, content, created_by)
    values (${table.id}, ${table.name}, ${jsonOf(table)}, ${person}) on conflict (id) do nothing`
}

/** The table that is called so, or whose file on air is, whatever the case of its letters; the one that came last of several. */
export async function tableNamed(name: string) {
  const sql = database()
  const [kept] = await sql<{ id: string }[]>`
    select s.id from data_sources s join data_versions v on v.source = s.id and v.number = s.on_air
    where lower(s.name) = lower(${name}) or lower(v.file_name) = lower(${name}) order by v.created_at desc limit 1`
  if (kept) return await tableById(kept.id)
  const [row] = await sql<
    { content: DataTable }[]
  >`select content from data_tables where lower(name) = lower(${name}) order by created_at desc limit 1`
  return row?.content
}

/** Keeps a table as JSON text, as a thread has checked it. */
export async function keepTableText(table: { id: string; name: string; text: string }, person: string | null, sql: Sql = database()) {
  await sql`insert into data_tables (id, name, content, created_by)
    values (${table.id}, ${table.name}, ${table.text}::text::jsonb, ${person}) on conflict (id) do nothing`
}

/** A table as JSON text; undefined where there is none. */
export async function tableText(id: string): Promise<string | undefined> {
  const [row] = await database()<{ text: string }[]>`select content::text as text from data_tables where id = ${id}`
  return row?.text
}

/** How many rows a table has, and its columns without their values: a large one stays where it is. */
export async function tableHead(
  id: string,
): Promise<{ rows: number; columns: Omit<DataTable['columns'][number], 'values'>[] } | undefined> {
  const [row] = await database()<{ head: { rows: number; columns: DataTable['columns'] } }[]>`select head from data_tables where id = ${id}`
  return row?.head
}

/** Some rows of a table, column by column. */
export async function tableRows(id: string, from: number, count: number): Promise<(string | number | null)[][]> {
  const part = `$[${Math.floor(from)} to ${Math.floor(from + count - 1)}]`
  const [row] = await database()<{ columns: (string | number | null)[][] }[]>`
    select (select jsonb_agg(jsonb_path_query_array(c -> 'values', ${part}::jsonpath) order by n)
      from jsonb_array_elements(content -> 'columns') with ordinality as one (c, n)) as columns
    from data_tables where id = ${id}`
  return row?.columns ?? []
}

/** The values of a column, each once, as they come; at most so many. */
export async function columnValues(id: string, column: string, most: number): Promise<string[]> {
  const rows = await database()<{ value: string }[]>`
    select one.value from data_tables, jsonb_array_elements(content -> 'columns') c,
      jsonb_array_elements_text(c -> 'values') with ordinality as one (value, n)
    where id = ${id} and c ->> 'name' = ${column} and one.value is not null
    group by one.value order by min(one.n) limit ${most}`
  return rows.map(({ value }) => value)
}
