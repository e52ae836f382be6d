import * as Y from 'yjs'
import { applyToDocument, upgradingOf } from '../../core/live'
import { formatVersion, upgraded, upgradedPart } from '../../core/model'
import { database, isPassing, jsonOf } from '../database/connection'
import { appendUpdates, updatesOf } from '../database/decks'
import { logError } from '../log'
import { emptyDocument } from './mending'

type Json = Record<string, unknown>

/** Where whole decks stand as JSON beside those that are worked on: what screens play, themes. */
const wholes = [
  ['deck_versions', 'snapshot'],
  ['themes', 'content'],
] as const
/** Where what was copied from decks stands. */
const parts = [
  ['pieces', 'content'],
  ['motions', 'motion'],
] as const

/** A deck's live document gets what differs, as one more update; then its snapshot follows, and what lists show of it is made anew. */
async function upgradeDeck(id: string) {
  const document = emptyDocument()
  for (const { content } of await updatesOf(id)) if (content) Y.applyUpdate(document, content, 'disk')
  const made: { content: Uint8Array; person: null }[] = []
  document.on('update', (content: Uint8Array) => made.push({ content, person: null }))
  applyToDocument(document, upgradingOf(document), 'server')
  document.destroy()
  if (made.length) await appendUpdates(id, made, 'upgrade')
  const sql = database()
  const [row] = await sql<{ snapshot: Json }[]>`select snapshot from decks where id = ${id}`
  if (row) await sql`update decks set snapshot = ${jsonOf(upgraded(row.snapshot))}, cover = null, words = null where id = ${id}`
}

/** The decks of a table, one at a time, that are of an older format, each in its row: a row's place holds until it is written. */
async function upgradeWholes([table, column]: (typeof wholes)[number]) {
  const sql = database()
  const rows = await sql<{ place: string }[]>`
    select ctid::text as place from ${sql(table)} where (${sql(column)} -> 'info' -> 'info' ->> 'format')::int < ${formatVersion}`
  for (const { place } of rows) {
    const [row] = await sql<{ deck: Json }[]>`select ${sql(column)} as deck from ${sql(table)} where ctid = ${place}::tid`
    if (row) await sql`update ${sql(table)} set ${sql(column)} = ${jsonOf(upgraded(row.deck))} where ctid = ${place}::tid`
  }
}

async function upgradeParts([table, column]: (typeof parts)[number], format: number) {
  const sql = database()
  for (const { id } of await sql<{ id: string }[]>`select id from ${sql(table)}`) {
    const [row] = await sql<{ part: unknown }[]>`select ${sql(column)} as part from ${sql(table)} where id = ${id}`
    const next = upgradedPart(row?.part, format)
    if (row && next !== row.part) await sql`update ${sql(table)} set ${sql(column)} = ${jsonOf(next)} where id = ${id}`
  }
}

/** Does it for one deck; what only that deck is the cause of is logged, and answered with false. */
async function tried(id: string, work: () => Promise<unknown>) {
  try {
    await work()
    return true
  } catch (error) {
    // A database that is away passes; an update that cannot be read does not, and holds up no other deck.
    if (!(error instanceof Error) || ('code' in error && isPassing(error))) throw error
    logError(error, 'a deck could not be brought to the present format', { deck: id })
    return false
  }
}

/**
 * Brings all that is kept of decks to the format of this program, once; what is of it already stays untouched, and when a deck was changed
 * last stays as it was. Meant for before the server starts: a deck that is open elsewhere meanwhile gets what differs like any other edit.
 * What could not be read is logged and tried again at the next start.
 */
export async function upgradeDecks() {
  const sql = database()
  const mark = `decks in format ${formatVersion}`
  const before = (await sql<{ name: string }[]>`select name from migrations where name like 'decks in format %'`).map(row => row.name)
  if (before.includes(mark)) return
  const format = Math.max(2, ...before.map(name => Number(name.split(' ').at(-1))))
  const old = await sql<{ id: string }[]>`
    select id from decks where (snapshot -> 'info' -> 'info' ->> 'format')::int < ${formatVersion} order by id`
  const failed: string[] = []
  for (const { id } of old) if (!(await tried(id, () => upgradeDeck(id)))) failed.push(id)
  for (const one of wholes) await upgradeWholes(one)
  for (const one of parts) await upgradeParts(one, format)
  if (!failed.length) await sql`insert into migrations (name) values (${mark}) on conflict do nothing`
  const done = old.length - failed.length
  if (done) console.log(`  brought ${done} ${done === 1 ? 'deck' : 'decks'} to format ${formatVersion}`)
  if (failed.length) console.log(`  ${failed.length} could not be read, and stay as they are: ${failed.join(', ')}`)
}
