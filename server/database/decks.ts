import type { Deck } from '../../core/deck'
import { database, type Sql } from './connection'

export interface DeckRow {
  id: string
  title: string
  purpose: string
  changed_at: Date
  version: number | null
}

export const listDecks = () => database()<(DeckRow & { snapshot: Deck })[]>`
  select decks.id, title, purpose, changed_at, snapshot, (select max(number) from deck_versions where deck = decks.id) as version
  from decks where removed_at is null order by changed_at desc`

/** Decks in whose snapshot every word stands somewhere, the newest first. */
export const decksWithWords = (words: readonly string[]) => database()<{ id: string, title: string, snapshot: Deck }[]>`
  select id, title, snapshot from decks
  where removed_at is null and snapshot::text ilike all (${words.map(word => `%${word.replace(/[\\%_]/g, '\\$&')}%`)})
  order by changed_at desc`

export async function deckExists(id: string) {
  const [row] = await database()`select 1 from decks where id = ${id} and removed_at is null`
  return row !== undefined
}

/** Puts a new deck into the database with its first update, both or neither. */
export async function insertDeck(deck: { id: string, snapshot: Deck, update: Uint8Array, person: string | null }, sql: Sql = database()) {
  const info = deck.snapshot.info.info!
  await sql`insert into decks (id, title, purpose, created_by, snapshot)
    values (${deck.id}, ${info.title}, ${info.purpose}, ${deck.person}, ${sql.json(deck.snapshot as never)})`
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
  const info = snapshot.info.info!
  const sql = database()
  await sql`update decks set snapshot = ${sql.json(snapshot as never)}, title = ${info.title}, purpose = ${info.purpose}, changed_at = now() where id = ${id}`
}

export const updatesOf = (id: string, after = 0) => database()<{ id: number, content: Buffer }[]>`
  select id, content from deck_updates where deck = ${id} and id > ${after} order by id`

/** Appends updates in one statement; on return they are on disk. Answers with the id of the last. */
export async function appendUpdates(id: string, updates: readonly { content: Uint8Array, person: string }[], node: string) {
  const sql = database()
  const rows = updates.map(update => ({ deck: id, content: Buffer.from(update.content), person: update.person }))
  const inserted = await sql<{ id: number }[]>`insert into deck_updates ${sql(rows, 'deck', 'content', 'person')} returning id`
  const last = Math.max(...inserted.map(row => row.id))
  await sql.notify('deck_updates', JSON.stringify({ deck: id, node, last }))
  return last
}

/** Replaces the updates up to one by their sum, if none of them was folded by another node meanwhile. */
export async function foldUpdates(id: string, ids: readonly number[], sum: Uint8Array) {
  await database().begin(async sql => {
    const gone = await sql`delete from deck_updates where deck = ${id} and id in ${sql(ids as number[])} returning id`
    if (gone.length !== ids.length) throw new Error('folded elsewhere')
    await sql`insert into deck_updates (id, deck, content) overriding system value values (${ids.at(-1)!}, ${id}, ${Buffer.from(sum)})`
  }).catch((error: Error) => {
    if (error.message !== 'folded elsewhere') throw error
  })
}
