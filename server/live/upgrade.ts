import * as Y from 'yjs'
import { formatOf, formatVersion, upgraded, upgradedPart } from '../../core/model'
import { applyToDocument, readDocument, upgradingOf } from '../../core/live'
import { appendUpdates, updatesOf } from '../database/decks'
import { database, jsonOf, type Sql } from '../database/connection'
import { emptyDocument } from './mending'

type Json = Record<string, unknown>

/** The live document of a deck and its snapshot; when it was changed last stays as it was. */
async function upgradeDeck(id: string) {
  const document = emptyDocument()
  for (const { content } of await updatesOf(id)) if (content) Y.applyUpdate(document, content, 'disk')
  const made: Uint8Array[] = []
  document.on('update', (update: Uint8Array) => made.push(update))
  applyToDocument(document, upgradingOf(document), 'server')
  await appendUpdates(
    id,
    made.map(content => ({ content, person: null })),
    'upgrade',
  )
  const sql = database()
  // What lists show of it is made anew by whoever looks at them next.
  await sql`update decks set snapshot = ${jsonOf(readDocument(document))}, cover = null, words = null where id = ${id}`
  document.destroy()
}

/** Whole decks that stand as JSON: versions that screens play, and themes. */
async function upgradeRows(sql: Sql, table: 'deck_versions' | 'themes', column: 'snapshot' | 'content') {
  // A row's place, `ctid`, holds until the row is written.
  for (const { place, deck } of await sql<{ place: string; deck: Json }[]>`
    select ctid::text as place, ${sql(column)} as deck from ${sql(table)}`) {
    if (!(formatOf(deck) >= 1 && formatOf(deck) < formatVersion)) continue
    await sql`update ${sql(table)} set ${sql(column)} = ${jsonOf(upgraded(deck))} where ctid = ${place}::tid`
  }
}

/** What was copied from decks. */
async function upgradeParts(sql: Sql, table: 'pieces' | 'motions', column: 'content' | 'motion', format: number) {
  for (const { id, part } of await sql<{ id: string; part: unknown }[]>`select id, ${sql(column)} as part from ${sql(table)}`) {
    const next = upgradedPart(part, format)
    if (next !== part) await sql`update ${sql(table)} set ${sql(column)} = ${jsonOf(next)} where id = ${id}`
  }
}

/**
 * Brings all that is kept of decks to the format of this program, once; what is of it already stays untouched. Meant for before the server
 * starts: a deck that is open elsewhere meanwhile gets what differs like any other edit.
 */
export async function upgradeDecks() {
  const sql = database()
  const mark = `decks in format ${formatVersion}`
  const before = (await sql<{ name: string }[]>`select name from migrations where name like 'decks in format %'`).map(row => row.name)
  if (before.includes(mark)) return
  const format = Math.max(2, ...before.map(name => Number(name.split(' ').at(-1))))
  const old = await sql<{ id: string }[]>`
    select id from decks where (snapshot -> 'info' -> 'info' ->> 'format')::int < ${formatVersion} order by id`
  for (const { id } of old) await upgradeDeck(id)
  await upgradeRows(sql, 'deck_versions', 'snapshot')
  await upgradeRows(sql, 'themes', 'content')
  await upgradeParts(sql, 'pieces', 'content', format)
  await upgradeParts(sql, 'motions', 'motion', format)
  await sql`insert into migrations (name) values (${mark}) on conflict do nothing`
  if (old.length) console.log(`  brought ${old.length} ${old.length === 1 ? 'deck' : 'decks'} to format ${formatVersion}`)
}
