import type { DataTable } from '../../core/data'
import type { Deck } from '../../core/model'
import { database, jsonOf, transaction } from './connection'

export interface ScreenRow {
  id: string
  name: string
  place: string
  /** Null where its address was taken back. */
  token: string | null
  loop: string | null
  heard_at: Date | null
  playing: { deck: string; version: number; title: string; slide: string } | null
}

export const listScreens = () => database()<ScreenRow[]>`select id, name, place, token, loop, heard_at, playing from screens order by name`

export async function screenByToken(token: string) {
  const [row] = await database()<ScreenRow[]>`select id, name, place, token, loop, heard_at, playing from screens where token = ${token}`
  return row
}

export async function addScreen(screen: { id: string; name: string; place: string; token: string }) {
  await database()`insert into screens (id, name, place, token) values (${screen.id}, ${screen.name}, ${screen.place}, ${screen.token})`
}
/** Gives a screen another address, or takes it back; false where there is none such. */
export async function setScreenToken(screen: string, token: string | null) {
  return (await database()`update screens set token = ${token} where id = ${screen} returning id`).length > 0
}
export async function removeScreen(screen: string) {
  return (await database()`delete from screens where id = ${screen} returning id`).length > 0
}

export async function setScreenLoop(screen: string, loop: string | null) {
  const rows = await database()`update screens set loop = ${loop} where id = ${screen} returning id`
  return rows.length > 0
}

export interface LoopItemRow {
  id: string
  deck: string
  title: string
  position: number
  /** The newest published version, null where there is none. */
  version: number | null
  seconds: number | null
  /** The tables that it draws, by id. */
  tables: string[]
}

export const listLoops = () => database()<{ id: string; name: string }[]>`select id, name from loops order by created_at, name`

/** The items of a loop in order, each with the newest published version of its deck. */
export const loopItems = (loop: string) => database()<LoopItemRow[]>`
  select loop_items.id, loop_items.deck, decks.title, position, newest.number as version, newest.length_seconds as seconds,
    coalesce(newest.table_ids, '{}') as tables
  from loop_items
  join decks on decks.id = loop_items.deck and decks.removed_at is null
  left join lateral (select number, length_seconds, table_ids from deck_versions where deck = loop_items.deck order by number desc
    limit 1) newest on true
  where loop = ${loop} order by position, loop_items.id`

export async function setLoopItems(loop: string, items: readonly { id: string; deck: string }[]) {
  await transaction(async sql => {
    await sql`delete from loop_items where loop = ${loop}`
    for (const [position, item] of items.entries())
      await sql`insert into loop_items (id, loop, deck, position) values (${item.id}, ${loop}, ${item.deck}, ${position})`
  })
}

export async function addLoop(id: string, name: string) {
  await database()`insert into loops (id, name) values (${id}, ${name})`
}

export async function loopExists(id: string) {
  const [row] = await database()`select 1 from loops where id = ${id}`
  return row !== undefined
}

export async function heardFrom(screen: string, playing: ScreenRow['playing']) {
  const sql = database()
  await sql`update screens set heard_at = now(), playing = ${playing ? sql.json(playing) : null} where id = ${screen}`
}

export interface Play {
  deck: string
  version: number
  startedAt: Date
  seconds: number
}

/** Notes what a screen was given to play. */
export async function noteGiven(screen: string, items: readonly { deck: string; version: number }[]) {
  if (!items.length) return
  const sql = database()
  await sql`insert into given ${sql(
    items.map(({ deck, version }) => ({ screen, deck, version })),
    'screen',
    'deck',
    'version',
  )} on conflict do nothing`
}

/** A play may begin so much before the screen was given the deck, and end so much after the deck does, seconds: clocks differ. */
const tolerance = 60

/**
 * Keeps what a screen says it played; said twice counts once. Only what it can have played counts: a version that it was given, not
 * before that nor in the future, and no longer than the version is. Answers with how many do not.
 */
export async function keepPlays(screen: string, plays: readonly Play[]): Promise<number> {
  if (!plays.length) return 0
  const sql = database()
  const [row] = await sql<{ credible: number }[]>`
    with said as (
      select deck, version, at::timestamptz as started_at, seconds
        from unnest(
          ${plays.map(play => play.deck)}::text[], ${plays.map(play => play.version)}::int[],
          ${plays.map(play => play.startedAt.toISOString())}::text[], ${plays.map(play => play.seconds)}::float8[]) as said(deck, version, at, seconds)
    ), credible as (
      select said.* from said
      join given on given.screen = ${screen} and given.deck = said.deck and given.version = said.version
      join deck_versions on deck_versions.deck = said.deck and deck_versions.number = said.version
      where started_at >= given.since - ${`${tolerance} seconds`}::interval
        and started_at + make_interval(secs => seconds) <= now() + ${`${tolerance} seconds`}::interval
        and seconds <= length_seconds + ${tolerance}
    ), kept as (
      insert into plays (screen, deck, version, started_at, seconds) select ${screen}, deck, version, started_at, seconds
        from credible on conflict do nothing
    )
    select count(*)::int as credible from credible`
  return plays.length - row!.credible
}

export async function publish(version: { deck: string; snapshot: Deck; tables: DataTable[]; seconds: number; person: string | null }) {
  const sql = database()
  const [row] = await sql<{ number: number }[]>`
    insert into deck_versions (deck, number, snapshot, tables, table_ids, length_seconds, published_by)
    select ${version.deck}, coalesce(max(number), 0) + 1, ${jsonOf(version.snapshot)}, ${jsonOf(version.tables)},
      ${version.tables.map(({ id }) => id)}, ${version.seconds}, ${version.person}
    from deck_versions where deck = ${version.deck} returning number`
  return row!.number
}

export async function versionOf(deck: string, number: number) {
  const [row] = await database()<
    { snapshot: Deck; tables: DataTable[] }[]
  >`select snapshot, tables from deck_versions where deck = ${deck} and number = ${number}`
  return row
}

/** The newest published versions that draw a table of the team: their length follows what it holds. */
export const publishedWith = (table: string) => database()<{ deck: string; number: number; snapshot: Deck; tables: DataTable[] }[]>`
  select deck, number, snapshot, tables from deck_versions v where ${table} = any(table_ids)
    and number = (select max(number) from deck_versions where deck = v.deck)`

/** The screens in whose loops a deck is that draws a table in its newest published version. */
export const screensWithTable = (table: string) => database()<{ id: string; name: string }[]>`
  select distinct screens.id, screens.name from screens
  join loop_items on loop_items.loop = screens.loop
  join decks on decks.id = loop_items.deck and decks.removed_at is null
  join lateral (select table_ids from deck_versions where deck = loop_items.deck order by number desc limit 1) newest on true
  where exists (select from unnest(newest.table_ids) one where one = ${table} or one ~ ${`^${table}_v[0-9]+$`}) order by screens.name`

export const keepPublishedLength = (deck: string, number: number, seconds: number) =>
  database()`update deck_versions set length_seconds = ${seconds} where deck = ${deck} and number = ${number}`
