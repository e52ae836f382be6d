import { outlineOf } from '../../core/layouts'
import { infoOf, cleanText, purposeSchema, slidesOf, type Deck } from '../../core/model'
import { tablesOf } from '../../core/formats/deck-file'
import { coverOf } from '../decks/cover'
import { UserError } from '../user-error'
import { database, jsonOf, transaction, type Sql } from './connection'
import { numberWords } from '../../core/values'

const purposes = purposeSchema.options
type Purpose = (typeof purposes)[number]

/** A deck as its card in the list shows it. */
export interface DeckRow {
  id: string
  title: string
  purpose: Purpose
  folder: string
  /** Who made it; null where they are gone. */
  owner: { id: string; name: string } | null
  changed_at: Date
  /** Who changed it last, by name; null where they are gone. */
  changer: string | null
  removed_at: Date | null
  version: number | null
  slides: number
  /** Seconds that each slide lasts by the deck's purpose, as last reckoned; null where it never was. */
  seconds: number[] | null
  cover: Deck
  tables: string[]
}

/** What a list of decks can be ordered by. */
export const deckOrders = ['changed', 'title', 'slides', 'length'] as const
type DeckOrder = (typeof deckOrders)[number]

/** What is asked of the list of decks: what all of it must fit, how it is ordered, and which part of it. */
export interface DeckFilter {
  /** Words that all stand in the title, on slides or in notes. */
  find: string
  folder?: string
  purpose?: Purpose
  /** Made by this person. */
  owner?: string
  /** Those that were removed, in place of those that were not. */
  removed: boolean
  by: DeckOrder
  from: number
  count: number
}

const wordsOf = (deck: Deck) =>
  slidesOf(deck)
    .flatMap(slide => {
      const { title, lines } = outlineOf(deck, slide)
      return [title, ...lines.map(line => line.text), slide.notes]
    })
    .filter(Boolean)
    .join('\n')

/** What lists show of a deck and find it by, from its snapshot. */
function shownInLists(sql: Sql, snapshot: Deck) {
  const cover = coverOf(snapshot)
  return { slides: slidesOf(snapshot).length, cover: jsonOf(cover), tables: tablesOf(cover), words: cleanText(wordsOf(snapshot)) }
}

/** Decks that are new, or that an older program kept, get what lists show of them, once. */
async function completeLists() {
  const sql = database()
  for (const { id } of await sql<{ id: string }[]>`select id from decks where cover is null or words is null`) {
    const snapshot = await snapshotOf(id)
    if (!snapshot) continue
    const { slides, cover, tables, words } = shownInLists(sql, snapshot)
    await sql`update decks set slides = ${slides}, cover = ${cover}, cover_tables = ${tables}, words = ${words}
      where id = ${id} and (cover is null or words is null)`
  }
}

const likeWord = (word: string) => `%${word.replace(/[\\%_]/g, '\\$&')}%`
const orders = {
  length: (sql: Sql) => sql`(select sum(part) from unnest(seconds) part) desc nulls last, decks.id`,
  changed: (sql: Sql) => sql`changed_at desc, decks.id`,
  title: (sql: Sql) => sql`lower(title), decks.id`,
  slides: (sql: Sql) => sql`slides desc, decks.id`,
}

/** The decks that fit what is asked, as many as are asked for, and how many there are. */
export async function findDecks(filter: DeckFilter): Promise<{ total: number; decks: DeckRow[] }> {
  await completeLists()
  const sql = database()
  const words = filter.find.split(/\s+/).filter(Boolean).map(likeWord)
  const rows = await sql<(DeckRow & { total: number })[]>`
    select decks.id, title, purpose, folder, changed_at, removed_at, slides, seconds, cover, cover_tables as tables,
      changers.name as changer,
      (select max(number) from deck_versions where deck = decks.id) as version,
      case when people.id is null then null else json_build_object('id', people.id, 'name', people.name) end as owner,
      count(*) over ()::int as total
    from decks left join people on people.id = decks.created_by left join people changers on changers.id = decks.changed_by
    where (removed_at is not null) = ${filter.removed}
      ${filter.folder === undefined ? sql`` : sql`and folder = ${filter.folder}`}
      ${filter.purpose === undefined ? sql`` : sql`and purpose = ${filter.purpose}`}
      ${filter.owner === undefined ? sql`` : sql`and created_by = ${filter.owner}`}
      ${words.length ? sql`and title || chr(10) || words ilike all (${words})` : sql``}
    order by ${orders[filter.by](sql)} limit ${filter.count} offset ${filter.from}`
  return { total: rows[0]?.total ?? 0, decks: rows.map(({ total: _, ...row }) => row) }
}

/** How many decks there are in each folder and for each purpose, and how many were removed. */
export async function countDecks() {
  const rows = await database()<{ folder: string; purpose: Purpose; removed: boolean; count: number }[]>`
    select folder, purpose, removed_at is not null as removed, count(*)::int as count from decks group by 1, 2, 3`
  const here = rows.filter(row => !row.removed)
  const sum = (some: readonly { count: number }[]) => some.reduce((total, row) => total + row.count, 0)
  const folders = [...new Set(here.map(row => row.folder))].filter(Boolean).sort((a, b) => a.localeCompare(b))
  return {
    all: sum(here),
    folders: folders.map(name => ({ name, count: sum(here.filter(row => row.folder === name)) })),
    purposes: Object.fromEntries(purposes.map(purpose => [purpose, sum(here.filter(row => row.purpose === purpose))])),
    removed: sum(rows.filter(row => row.removed)),
    trashDays: trashDays(),
  }
}

/** All decks by name, changed last first, for those who choose one. */
export const nameDecks = () => database()<{ id: string; title: string; purpose: Purpose; slides: number; version: number | null }[]>`
  select id, title, purpose, slides, (select max(number) from deck_versions where deck = decks.id) as version
  from decks where removed_at is null order by changed_at desc`

/** Decks on whose slides, in whose notes or title every word stands, the newest first. */
export async function decksWithWords(words: readonly string[]) {
  await completeLists()
  return await database()<{ id: string; title: string; snapshot: Deck }[]>`
    select id, title, snapshot from decks
    where removed_at is null and title || chr(10) || words ilike all (${words.map(likeWord)})
    order by changed_at desc`
}

/** The decks on the shelf that name a table, as their snapshots stand. */
export const decksWithTable = (table: string) => database()<{ id: string; title: string; snapshot: Deck }[]>`
  select id, title, snapshot from decks
  where removed_at is null and (snapshot::text like ${`%"${table}"%`} or snapshot::text ~ ${`"${table}_v[0-9]+"`})
  order by lower(title), id`

export async function folderOf(id: string): Promise<string> {
  const [row] = await database()<{ folder: string }[]>`select folder from decks where id = ${id}`
  return row?.folder ?? ''
}

export async function moveToFolder(id: string, folder: string) {
  await database()`update decks set folder = ${folder} where id = ${id}`
}

export async function renameInLists(id: string, title: string) {
  await database()`update decks set title = ${title} where id = ${id}`
}

/** Where somebody is in a deck from now on. */
export async function keepPlace(person: string, deck: string, place: { slide: string | null; phase: string }) {
  await database()`insert into places (person, deck, slide, phase) values (${person}, ${deck}, ${place.slide}, ${place.phase})
    on conflict (person, deck) do update set slide = excluded.slide, phase = excluded.phase, at = now()`
}

/** Where somebody was last, in decks that are still here, the newest first. */
export const placesOf = (person: string, count: number) => database()<
  {
    deck: string
    title: string
    purpose: Purpose
    slide: string | null
    phase: string
    at: Date
    changed_at: Date
    seconds: number[] | null
  }[]
>`
  select deck, title, purpose, slide, phase, at, changed_at, seconds from places join decks on decks.id = places.deck
  where person = ${person} and removed_at is null order by at desc limit ${count}`

export async function deckExists(id: string) {
  const [row] = await database()`select 1 from decks where id = ${id} and removed_at is null`
  return row !== undefined
}

/** A deck as the database keeps it; `snapshot` and `cover` are JSON as text. */
export interface StoredDeck {
  id: string
  title: string
  purpose: string
  person: string | null
  update: Uint8Array
  snapshot: string
  cover: string
  slides: number
  tables: string[]
}

/** Decks that one person may have made and not removed: lists of more are slow for everybody. */
const mostDecks = 2000

/** Puts a new deck into the database with its first update, both or neither. */
export async function insertDeck(deck: StoredDeck, sql: Sql = database()) {
  if (deck.person) {
    const [made] = await sql<
      { count: number }[]
    >`select count(*)::int as count from decks where created_by = ${deck.person} and removed_at is null`
    if (made!.count >= mostDecks)
      throw new UserError(
        429,
        `You have made ${numberWords(mostDecks)} decks, as many as one person may keep here. Remove some of them first.`,
      )
  }
  await sql`insert into decks (id, title, purpose, created_by, changed_by, snapshot, slides, cover, cover_tables)
    values (${deck.id}, ${deck.title}, ${deck.purpose}, ${deck.person}, ${deck.person}, ${deck.snapshot}::text::jsonb, ${deck.slides},
      ${deck.cover}::text::jsonb, ${deck.tables})`
  await sql`insert into deck_updates (deck, content, person) values (${deck.id}, ${Buffer.from(deck.update)}, ${deck.person})`
}

/** Deletes a deck that was removed, for good. */
export async function deleteRemoved(id: string): Promise<boolean> {
  return (await database()`delete from decks where id = ${id} and removed_at is not null returning id`).length > 0
}

/** How many days a removed deck is kept before it is deleted for good; 0 is for ever. */
export const trashDays = () => Math.max(0, Math.round(Number(process.env.HAILBANK_TRASH_DAYS ?? 30) || 0))

/** Deletes for good what was removed longer ago than it is kept, and answers with how many decks that were. */
export async function emptyTrash(): Promise<number> {
  const days = trashDays()
  if (!days) return 0
  const gone = await database()`delete from decks where removed_at < now() - make_interval(days => ${days}) returning id`
  return gone.length
}

export async function removeDeck(id: string) {
  await database()`update decks set removed_at = now() where id = ${id}`
}

export async function restoreDeck(id: string) {
  await database()`update decks set removed_at = null where id = ${id}`
}

/** Keeps a deck's JSON beside its updates, for lists, export and SQL. */
export async function keepSnapshot(id: string, snapshot: Deck) {
  const info = infoOf(snapshot)
  const sql = database()
  const { slides, cover, tables, words } = shownInLists(sql, snapshot)
  await sql`update decks
    set snapshot = ${jsonOf(snapshot)}, slides = ${slides}, cover = ${cover}, cover_tables = ${tables}, words = ${words},
      title = ${info.title}, purpose = ${info.purpose}, changed_at = now(),
      changed_by = coalesce(
        (select person from deck_updates where deck = ${id} and person is not null order by deck_updates.id desc limit 1), changed_by)
    where id = ${id}`
}

/** A deck's updates after one, in order. Of those that are `known` already only the size comes. */
export const updatesOf = (id: string, after = 0, known: readonly number[] = []) => database()<
  { id: number; content: Buffer | null; bytes: number }[]
>`
  select id, case when id = any(${known as number[]}::bigint[]) then null else content end as content, length(content) as bytes
  from deck_updates where deck = ${id} and id > ${after} order by id`

/** Appends updates in one statement; on return they are on disk. Answers with their ids, in order. */
export async function appendUpdates(
  id: string,
  updates: readonly { content: Uint8Array; person: string | null }[],
  node: string,
): Promise<number[]> {
  const sql = database()
  const [row] = await sql<{ ids: number[] }[]>`
    select append_updates(${id}, ${sql.array(
      updates.map(update => Buffer.from(update.content)),
      17,
    )}, ${sql.array(
      updates.map(update => update.person),
      2950,
    )}::uuid[], ${node}) as ids`
  return row!.ids.map(Number)
}

/** The newest update of each of some decks. */
export const newestUpdates = (ids: readonly string[]) => database()<{ deck: string; last: number }[]>`
  select deck, max(id) as last from deck_updates where deck = any(${[...ids]}) group by deck`

/** Replaces updates by their sum, if none of them was folded by another node meanwhile. */
export async function foldUpdates(id: string, ids: readonly number[], sum: Uint8Array) {
  await transaction(async sql => {
    await sql`select pg_advisory_xact_lock(hashtextextended(${id}, 0))`
    const gone = await sql<{ id: number; person: string | null }[]>`
        delete from deck_updates where deck = ${id} and id = any(${ids as number[]}) returning id, person`
    if (gone.length !== ids.length) throw new FoldedElsewhere()
    const last = gone.filter(row => row.person).sort((a, b) => Number(b.id) - Number(a.id))[0]
    await sql`insert into deck_updates (id, deck, content, person) overriding system value
        values (${ids.at(-1)!}, ${id}, ${Buffer.from(sum)}, ${last?.person ?? null})`
  }).catch((error: unknown) => {
    if (!(error instanceof FoldedElsewhere)) throw error
  })
}

class FoldedElsewhere extends Error {}

/** Puts records that could not be mended where nobody loses them. */
export async function keepAside(deck: string, records: readonly { table: string; id: string; content: string; reason: string }[]) {
  const sql = database()
  const rows = records.map(record => ({
    deck,
    in_table: record.table,
    record: cleanText(record.id),
    content: cleanText(record.content),
    reason: record.reason,
  }))
  await sql`insert into set_aside ${sql(rows, 'deck', 'in_table', 'record', 'content', 'reason')}`
}

/** Who made a deck; null where they are gone. */
export async function makerOf(id: string): Promise<string | null> {
  const [row] = await database()<{ created_by: string | null }[]>`select created_by from decks where id = ${id}`
  return row?.created_by ?? null
}

/** A deck's JSON as it was last kept. */
export async function snapshotOf(id: string): Promise<Deck | undefined> {
  const [row] = await database()<{ snapshot: Deck }[]>`select snapshot from decks where id = ${id}`
  return row?.snapshot
}

/** Decks whose slides' lengths were not reckoned since their last change, that came to rest or have waited long; the newest first. */
export const unmeasuredDecks = (count: number) => database()<{ id: string; snapshot: Deck; at: string }[]>`
  select id, snapshot, changed_at::text as at from decks
  where removed_at is null and (measured_at is null or measured_at < changed_at)
    and (measured_at is null or changed_at < now() - interval '2 seconds' or measured_at < now() - interval '30 seconds')
  order by changed_at desc limit ${count}`

/** Keeps how long a deck's slides last, seconds, for the change that they were reckoned at; null where that cannot be said. */
export async function keepLengths(id: string, seconds: readonly number[] | null, at: string) {
  await database()`update decks set seconds = ${seconds as number[] | null}::real[], measured_at = ${at}::text::timestamptz
    where id = ${id}`
}
