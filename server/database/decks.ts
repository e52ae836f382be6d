import { infoOf, cleanText, slidesOf, type Deck } from '../../core/model'
import { tablesOf } from '../../core/formats/deck-file'
import { coverOf } from '../decks/cover'
import { Refusal } from '../refusal'
import { database, jsonOf, type Sql } from './connection'

export interface DeckRow {
  id: string
  title: string
  purpose: string
  changed_at: Date
  version: number | null
  slides: number
  cover: Deck
  tables: string[]
}

/** What lists show of a deck, from its snapshot. */
function shownInLists(sql: Sql, snapshot: Deck) {
  const cover = coverOf(snapshot)
  return { slides: slidesOf(snapshot).length, cover: jsonOf(cover), tables: tablesOf(cover) }
}

/** Decks that an older program kept get what lists show of them, once. */
async function completeLists() {
  const sql = database()
  for (const { id, snapshot } of await sql<
    { id: string; snapshot: Deck }[]
  >`select id, snapshot from decks where cover is null and removed_at is null`) {
    const { slides, cover, tables } = shownInLists(sql, snapshot)
    await sql`update decks set slides = ${slides}, cover = ${cover}, cover_tables = ${tables} where id = ${id} and cover is null`
  }
}

export async function listDecks() {
  await completeLists()
  return await database()<DeckRow[]>`
    select decks.id, title, purpose, changed_at, slides, cover, cover_tables as tables, (select max(number) from deck_versions
      where deck = decks.id) as version
    from decks where removed_at is null order by changed_at desc`
}

/** Decks in whose snapshot every word stands somewhere, the newest first. */
export const decksWithWords = (words: readonly string[]) => database()<{ id: string; title: string; snapshot: Deck }[]>`
  select id, title, snapshot from decks
  where removed_at is null and snapshot::text ilike all (${words.map(word => `%${word.replace(/[\\%_]/g, '\\$&')}%`)})
  order by changed_at desc`

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
      throw new Refusal(
        429,
        `You have made ${mostDecks.toLocaleString('en')} decks, as many as one person may keep here. Remove some of them first.`,
      )
  }
  await sql`insert into decks (id, title, purpose, created_by, snapshot, slides, cover, cover_tables)
    values (${deck.id}, ${deck.title}, ${deck.purpose}, ${deck.person}, ${deck.snapshot}::text::jsonb, ${deck.slides},
      ${deck.cover}::text::jsonb, ${deck.tables})`
  await sql`insert into deck_updates (deck, content, person) values (${deck.id}, ${Buffer.from(deck.update)}, ${deck.person})`
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
  const { slides, cover, tables } = shownInLists(sql, snapshot)
  await sql`update decks
    set snapshot = ${jsonOf(snapshot)}, slides = ${slides}, cover = ${cover}, cover_tables = ${tables},
      title = ${info.title}, purpose = ${info.purpose}, changed_at = now()
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
  await database()
    .begin(async sql => {
      await sql`select pg_advisory_xact_lock(hashtextextended(${id}, 0))`
      const gone = await sql`delete from deck_updates where deck = ${id} and id = any(${ids as number[]}) returning id`
      if (gone.length !== ids.length) throw new FoldedElsewhere()
      await sql`insert into deck_updates (id, deck, content) overriding system value values (${ids.at(-1)!}, ${id}, ${Buffer.from(sum)})`
    })
    .catch((error: unknown) => {
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
