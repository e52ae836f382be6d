import { infoOf, deckTheme, mediaOf, type Deck } from '../../core/model'
import { isDeepStrictEqual } from 'node:util'
import type { DataTable } from '../../core/data'
import { shippedMapOf } from '../../core/maps'
import { failed, type Outcome } from '../../core/values'
import { themeDeckOf } from '../../core/themes'
import { packDeck, tablesOf } from '../../core/formats/deck-file'
import { apart } from '../apart'
import { transaction } from '../database/connection'
import { keepMedia, keepPeaks, mediaByHash, wholeMedia, type MediaRow } from '../database/media'
import { keepTable, tableById, tablesById } from '../database/tables'
import { keepTheme } from '../database/themes'
import { checkMedia } from '../media/check-media'
import { inFile } from '../media/in-file'
import { peaksOf } from '../media/listen'
import { newId } from '../new-id'
import { makeDeck } from './make'

/** A deck with its tables and media as one file. */
export async function deckFile(deck: Deck): Promise<Uint8Array> {
  // Maps that ship with the application are there wherever the file goes.
  const tables = await tablesById(tablesOf(deck).filter(id => !shippedMapOf(id)))
  const media = []
  for (const hash of mediaOf(deck)) {
    const row = await mediaByHash(hash)
    if (row) media.push({ hash, extension: row.extension, bytes: await wholeMedia(hash, row.bytes) })
  }
  return packDeck({ deck, tables: tables.sort((a, b) => (a.id < b.id ? -1 : 1)), media })
}

/** The deck with a table's id replaced wherever it is read. */
function renameTable(deck: Deck, from: string, to: string): Deck {
  const swap = (record: unknown) => JSON.parse(JSON.stringify(record), (key, value) => (key === 'table' && value === from ? to : value))
  return { ...deck, elements: swap(deck.elements), states: swap(deck.states) }
}

/** A deck file that was unpacked and looked into, with what is to be kept of it. */
interface Arrived {
  deck: Deck
  tables: DataTable[]
  media: { row: MediaRow; content: Uint8Array }[]
  notes: string[]
}

/** Unpacks a deck file. Media are checked like any upload, and must be what their name says. */
async function arrive(bytes: Uint8Array): Promise<Outcome<Arrived>> {
  const unpacked = await apart('deckFile', bytes, { seconds: 60, what: 'This deck file' })
  if (!unpacked.ok) return unpacked
  const { deck, tables, notes } = unpacked.value
  const media: Arrived['media'] = []
  for (const item of unpacked.value.media) {
    const called = `${item.hash.slice(0, 8)}.${item.extension}`
    if (!item.whole) return failed(`The file ${called} within it is damaged. Nothing was changed.`)
    const checked = await checkMedia(item.bytes, called, item.extension)
    if (!checked.ok) return checked
    if (checked.value.row.hash !== item.hash)
      return failed(`The drawing ${called} in the file holds parts that could do harm. Nothing was changed.`)
    media.push(checked.value)
  }
  const there = new Set(media.map(item => item.row.hash))
  const missing = []
  for (const hash of mediaOf(deck))
    if (!there.has(hash) && !(await mediaByHash(hash))) missing.push('1 × picture that the file does not hold')
  return { ok: true, value: { deck, tables, media, notes: [...notes, ...missing] } }
}

/**
 * Brings a deck file in as a new deck, all or nothing. A table that is here already under its id with other figures comes
 * in under a new one.
 */
export async function bringDeckFile(bytes: Uint8Array, person: string): Promise<Outcome<{ id: string; notes: string[] }>> {
  const arrived = await arrive(bytes)
  if (!arrived.ok) return arrived
  let { deck } = arrived.value
  const id = newId()
  await transaction(async sql => {
    for (const table of arrived.value.tables) {
      const known = await tableById(table.id, sql)
      if (known && !isDeepStrictEqual(known, table)) {
        const renamed = { ...table, id: newId() }
        deck = renameTable(deck, table.id, renamed.id)
        await keepTable(renamed, person, sql)
      } else if (!known) await keepTable(table, person, sql)
    }
    for (const item of arrived.value.media) await keepMedia(item.row, item.content, person, sql)
    await makeDeck(id, deck, person, sql)
  })
  for (const { row, content } of arrived.value.media)
    if (row.seconds) await keepPeaks(row.hash, await inFile(content, row.extension, peaksOf))
  return { ok: true, value: { id, notes: arrived.value.notes } }
}

/** Brings the look of a deck or theme file onto the shelf, with its logos and fonts; slides in it are left out. */
export async function bringThemeFile(bytes: Uint8Array, person: string): Promise<Outcome<{ id: string; name: string }>> {
  const arrived = await arrive(bytes)
  if (!arrived.ok) return arrived
  const { deck, media } = arrived.value
  const name = deckTheme(deck).name || infoOf(deck).title || 'Theme'
  const content = themeDeckOf(deck, name)
  const wanted = new Set(mediaOf(content))
  const id = newId()
  await transaction(async sql => {
    for (const item of media) if (wanted.has(item.row.hash)) await keepMedia(item.row, item.content, person, sql)
    await keepTheme({ id, name, content, person }, sql)
  })
  return { ok: true, value: { id, name } }
}
