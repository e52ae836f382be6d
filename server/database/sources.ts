import type { DataTable, ReadingChoices, ReadingReport } from '../../core/data'
import type { Step } from '../../core/steps'
import { database, jsonOf, transaction, type Sql } from './connection'

/** A table as the team keeps it: where it comes from, how it is read, and which of its versions is on air. */
export interface SourceRow {
  id: string
  name: string
  choices: ReadingChoices
  onAir: number | null
  /** The file of the watched folder that it follows, and why that could not be read. */
  file: string | null
  fileFault: string | null
  /** The address of a service that it follows. */
  address: string | null
  /** The table that it is made of, and by which steps; null of one that is read from files. One whose table is gone has steps alone. */
  madeOf: string | null
  steps: Step[] | null
  /** Whether it is typed here, cell by cell. */
  typed: boolean
}
/** One version of a table: the file as it came, and what it was read as. */
export interface VersionRow {
  number: number
  fileName: string
  tableId: string
  held: string | null
  createdAt: Date
}
export interface NewVersion {
  fileName: string
  bytes: Uint8Array
  tableId: string
  reading: ReadingReport
  held: string | null
}

/** A table in the list of all. */
export interface SourceEntry {
  id: string
  name: string
  fileName: string
  versions: number
  held: number
  open: number
  cameAt: Date
  /** The file of the watched folder that it follows, and whether that could not be read. */
  file: string | null
  fault: boolean
  /** Whether it is typed here, cell by cell. */
  typed: boolean
  /** The address of a service that it follows. */
  address: string | null
  /** The table that it is made of by steps. */
  madeOf: string | null
}

/** All of them by name, with what waits for an answer. */
export const listSources = () => database()<SourceEntry[]>`
    select s.id, s.name, s.file, s.typed, s.address, s.made_of as "madeOf", s.file_fault is not null as fault, counted.versions, counted.held,
      newest.file_name as "fileName", newest.created_at as "cameAt",
      (select count(*)::int from jsonb_array_elements(aired.reading -> 'columns') one where one ? 'open') as open
    from data_sources s
    join lateral (select file_name, created_at from data_versions where source = s.id order by number desc limit 1) newest on true
    join lateral (
      select count(*)::int as versions, (count(*) filter (where held is not null and number > coalesce(s.on_air, 0)))::int as held
      from data_versions where source = s.id
    ) counted on true
    left join data_versions aired on aired.source = s.id and aired.number = s.on_air
    order by lower(s.name), s.id`

const sourceColumns = () =>
  database()`id, name, choices, on_air as "onAir", file, file_fault as "fileFault", address, made_of as "madeOf", steps, typed`

export async function sourceById(id: string, sql: Sql = database()): Promise<SourceRow | undefined> {
  const [row] = await sql<SourceRow[]>`select ${sourceColumns()} from data_sources where id = ${id}`
  return row
}

/** The tables that are made of another one by steps, or bring its columns. */
export const madeOf = (id: string) => database()<SourceRow[]>`
  select ${sourceColumns()} from data_sources where made_of = ${id}
    or jsonb_path_exists(steps, '$[*] ? (@.kind == "join" && @.table == $id)', jsonb_build_object('id', ${id}::text))`

/** Tables of the team with the columns of their versions on air, without their rows. */
export const columnsOnAir = () => database()<{ id: string; name: string; version: string; columns: DataTable['columns'] }[]>`
  select s.id, s.name, v.table_id as version, t.head -> 'columns' as columns
  from data_sources s join data_versions v on v.source = s.id and v.number = s.on_air join data_tables t on t.id = v.table_id
  order by lower(s.name), s.id`

/** All tables that follow a file of the watched folder, with the stamp at which it was last read. */
export const linkedSources = () => database()<(SourceRow & { file: string; stamp: string | null })[]>`
  select ${sourceColumns()}, file_stamp as stamp
  from data_sources where file is not null`

/** Notes which file a table follows, the stamp at which it was read, and what was wrong with it then. */
export const noteFile = (id: string, { file, stamp, fault }: { file: string | null; stamp: string | null; fault: string | null }) =>
  database()`update data_sources set file = ${file}, file_stamp = ${stamp}, file_fault = ${fault} where id = ${id}`

/** All tables that follow an address, with the stamp of what was last answered there. */
export const addressedSources = () => database()<(SourceRow & { address: string; stamp: string | null })[]>`
  select ${sourceColumns()}, file_stamp as stamp
  from data_sources where address is not null`

/** Has a table follow an address from the answer of a stamp on. */
export const noteAddress = (id: string, { address, stamp }: { address: string; stamp: string }) =>
  database()`update data_sources set address = ${address}, file_stamp = ${stamp}, file_fault = null where id = ${id}`

/** Notes what was last answered at the address of a table, and what was wrong with it. */
export const noteStamp = (id: string, { stamp, fault }: { stamp: string | null; fault: string | null }) =>
  database()`update data_sources set file_stamp = ${stamp}, file_fault = ${fault} where id = ${id}`

/** What is wrong with files of the watched folder that are no tables, at the stamp at which they were looked at. */
export const watchedFaults = () => database()<{ file: string; stamp: string; fault: string }[]>`
  select file, stamp, fault from watched_faults order by lower(file), file`

export const noteFault = ({ file, stamp, fault }: { file: string; stamp: string; fault: string }, sql: Sql = database()) =>
  sql`insert into watched_faults (file, stamp, fault) values (${file}, ${stamp}, ${fault})
    on conflict (file) do update set stamp = excluded.stamp, fault = excluded.fault`

/**
 * Whether this server is the one that looks through the watched folder: it is where no other one has said so within so many seconds. It
 * says so itself by asking.
 */
export async function isWatching(node: string, seconds: number): Promise<boolean> {
  const rows = await database()`
    insert into watching (node, until) values (${node}, now() + ${`${seconds} seconds`}::interval)
    on conflict (one) do update set node = excluded.node, until = excluded.until
    where watching.node = excluded.node or watching.until < now() returning 1`
  return rows.length > 0
}
export const endWatching = (node: string) => database()`delete from watching where node = ${node}`

export const forgetFaults = (files: readonly string[]) => database()`delete from watched_faults where file = any(${[...files]})`

/** The versions of a table, the oldest first. */
export const versionsOf = (source: string, sql: Sql = database()) =>
  sql<VersionRow[]>`select number, file_name as "fileName", table_id as "tableId", held, created_at as "createdAt"
    from data_versions where source = ${source} order by number`

export async function versionOf(source: string, number: number) {
  const [row] = await database()<(VersionRow & { reading: ReadingReport })[]>`
    select number, file_name as "fileName", table_id as "tableId", held, created_at as "createdAt", reading
    from data_versions where source = ${source} and number = ${number}`
  return row
}

/** The file of a version, as it came. */
export async function bytesOf(source: string, number: number): Promise<Uint8Array | undefined> {
  const [row] = await database()<{ bytes: Uint8Array }[]>`select bytes from data_versions where source = ${source} and number = ${number}`
  return row?.bytes
}

export const keepSource = (
  {
    id,
    name,
    madeOf = null,
    steps = null,
    typed = false,
    choices = {},
  }: { id: string; name: string } & Partial<Pick<SourceRow, 'madeOf' | 'steps' | 'typed' | 'choices'>>,
  person: string | null,
  sql: Sql = database(),
) =>
  sql`insert into data_sources (id, name, made_of, steps, typed, choices, created_by)
    values (${id}, ${name}, ${madeOf}, ${steps && jsonOf(steps)}, ${typed}, ${jsonOf(choices)}, ${person})`

/** Keeps a version behind all that are there, and puts it on air unless it is held; answers with its number. */
export async function keepVersion(source: string, version: NewVersion, person: string | null, sql: Sql): Promise<number> {
  await sql`select 1 from data_sources where id = ${source} for update`
  const [row] = await sql<{ number: number }[]>`
    insert into data_versions (source, number, file_name, bytes, table_id, reading, held, created_by)
    select ${source}, coalesce(max(number), 0) + 1, ${version.fileName}, ${version.bytes}, ${version.tableId},
      ${jsonOf(version.reading)}, ${version.held}, ${person} from data_versions where source = ${source}
    returning number`
  await sql`update data_sources set changed_at = now(), on_air = ${version.held === null ? row!.number : sql`on_air`} where id = ${source}`
  return row!.number
}

/** Takes away the rows that a version had before, where no other one has them. */
export const dropRows = (tableId: string, sql: Sql) =>
  sql`delete from data_tables where id = ${tableId} and not exists (select from data_versions where table_id = ${tableId})`

/** Drops the oldest versions of a table but for so many, the one on air, and those that something stays at. */
export const dropVersions = (source: string, { keep, stays }: { keep: number; stays: readonly number[] }) =>
  transaction(async sql => {
    const gone = await sql<{ tableId: string }[]>`
      delete from data_versions v using data_sources s
      where s.id = ${source} and v.source = s.id and v.number is distinct from s.on_air and not v.number = any(${[...stays]}::int[])
        and v.number <= (select max(number) from data_versions where source = ${source}) - ${keep}
      returning v.table_id as "tableId"`
    for (const { tableId } of gone) await dropRows(tableId, sql)
  })

/** The steps of a table as they stand, which nobody else changes until the transaction ends. */
export async function stepsHeld(id: string, sql: Sql): Promise<Step[] | null> {
  const [row] = await sql<{ steps: Step[] | null }[]>`select steps from data_sources where id = ${id} for update`
  return row?.steps ?? null
}

/** A version is read anew: as another table, by other choices. */
export const rereadVersion = (source: string, number: number, read: Pick<NewVersion, 'tableId' | 'reading' | 'held'>, sql: Sql) =>
  sql`update data_versions set table_id = ${read.tableId}, reading = ${jsonOf(read.reading)}, held = ${read.held}
    where source = ${source} and number = ${number}`

export const changeSource = (
  id: string,
  { name, choices, onAir, steps }: Partial<Pick<SourceRow, 'name' | 'choices' | 'onAir' | 'steps'>>,
  sql: Sql = database(),
) =>
  sql`update data_sources set changed_at = now(),
    name = ${name ?? sql`name`}, choices = ${choices ? jsonOf(choices) : sql`choices`}, on_air = ${onAir ?? sql`on_air`},
    steps = ${steps ? jsonOf(steps) : sql`steps`} where id = ${id}`

/** Removes a table. One that follows a file does not come back by itself: only once that is saved anew. */
export const dropSource = (id: string) =>
  transaction(async sql => {
    const [gone] = await sql<{ file: string | null; stamp: string | null }[]>`
      delete from data_sources where id = ${id} returning file, file_stamp as stamp`
    if (gone?.file && gone.stamp)
      await noteFault({ file: gone.file, stamp: gone.stamp, fault: 'Its table was removed here. Saved anew, it comes back.' }, sql)
  })

/** Notes that somebody types into a version: what is typed within a while goes on into it. */
export const noteTyping = (source: string, number: number, sql: Sql) =>
  sql`update data_versions set typed_at = now() where source = ${source} and number = ${number}`

/** The newest version of a table, which nobody else changes until the transaction ends, and whether a person’s typing goes on into it. */
export async function newestHeld(source: string, person: string, minutes: number, sql: Sql) {
  await sql`select 1 from data_sources where id = ${source} for update`
  const [row] = await sql<{ number: number; tableId: string; goesOn: boolean }[]>`
    select number, table_id as "tableId",
      created_by = ${person} and coalesce(typed_at > now() - ${`${minutes} minutes`}::interval, false) as "goesOn"
    from data_versions where source = ${source} order by number desc limit 1`
  return row
}

/** What is typed goes on into a version: its file, and what it was read as; it is on air unless it is held. */
export async function retypeVersion(source: string, number: number, version: NewVersion, sql: Sql) {
  await sql`update data_versions set bytes = ${version.bytes}, table_id = ${version.tableId}, reading = ${jsonOf(version.reading)},
    held = ${version.held}, typed_at = now() where source = ${source} and number = ${number}`
  if (version.held === null) await sql`update data_sources set on_air = ${number}, changed_at = now() where id = ${source}`
}
