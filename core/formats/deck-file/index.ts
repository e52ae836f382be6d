/**
 * A deck with all that it draws on, as one file.
 *
 * @example
 * import { packDeck, unpackDeck } from 'core/formats/deck-file'
 * import { infoOf } from 'core/model'
 * import { freshDeck } from 'core/testing'
 *
 * const read = unpackDeck(packDeck({ deck: freshDeck(), tables: [], media: [] }))
 * read.ok && infoOf(read.value.deck).title // → 'Spring timetable'
 */
import { strFromU8, strToU8, unzipSync, zipSync, type UnzipFileInfo, type Zippable } from 'fflate'
import { dataTableSchema, type DataTable } from '../../data'
import { tablesTold } from '../../amounts'
import { readDeck, tablesDrawn, type Deck } from '../../model'
import { parseJson, failed, type Outcome } from '../../values'

/** A deck with all that it draws on. Media by SHA-256 of their bytes. */
export interface DeckPackage {
  deck: Deck
  tables: DataTable[]
  media: { hash: string; extension: string; bytes: Uint8Array }[]
}

/** Limits of a deck file, bytes and entries: of the file, and of what it unpacks to. */
export const deckFileLimits = {
  file: 256 * 1024 * 1024,
  unpacked: 1024 * 1024 * 1024,
  entry: 512 * 1024 * 1024,
  deck: 128 * 1024 * 1024,
  entries: 20_000,
}

const format = 'hailbank-deck'

/** Keys in a settled order, so that the same deck always makes the same bytes. */
const settled = (_: string, value: unknown) =>
  value && typeof value === 'object' && !Array.isArray(value)
    ? Object.fromEntries(Object.entries(value).sort(([a], [b]) => (a < b ? -1 : 1)))
    : value

/** The ids of all tables that a deck draws, with those whose outlines its maps are drawn on. */
export function tablesOf(deck: Deck): string[] {
  const found = Object.values(deck.elements).flatMap(element => {
    if (element.kind === 'chart') return tablesDrawn(element.chart)
    return element.kind === 'table' && element.table ? [element.table] : []
  })
  const told = Object.values(deck.states).flatMap(state => tablesDrawn(state.chart))
  return [...new Set([...found, ...told, ...tablesTold(deck)])].sort()
}

/** Packs a deck into one file: `deck.json`, `tables/<id>.json`, `media/<hash>.<extension>`. Media are stored as they are. */
export function packDeck({ deck, tables, media }: DeckPackage): Uint8Array {
  // A fixed date, so that the same deck makes the same file.
  const mtime = new Date('2026-01-01T00:00:00')
  const files: Zippable = {
    mimetype: [strToU8(`application/x-${format}+zip`), { level: 0, mtime }],
    'deck.json': [strToU8(JSON.stringify(deck, settled, 1)), { mtime }],
  }
  for (const table of tables) files[`tables/${table.id}.json`] = [strToU8(JSON.stringify(table, settled)), { mtime }]
  for (const item of media) files[`media/${item.hash}.${item.extension}`] = [item.bytes, { level: 0, mtime }]
  return zipSync(files)
}

const megabytes = (bytes: number) => `${Math.round(bytes / 1048576)} MB`

/** Reads a deck file. What is damaged, too large or of a newer version comes back as a sentence, and nothing is taken from it. */
export function unpackDeck(bytes: Uint8Array): Outcome<DeckPackage & { notes: string[] }> {
  if (bytes.length > deckFileLimits.file)
    return failed(`The file has ${megabytes(bytes.length)}; a deck file may have ${megabytes(deckFileLimits.file)} at most.`)
  let total = 0
  let entries = 0
  let refused = ''
  let files: Record<string, Uint8Array>
  const filter = (file: UnzipFileInfo) => {
    if (refused) return false
    entries++
    total += file.originalSize
    const most = file.name === 'deck.json' ? deckFileLimits.deck : deckFileLimits.entry
    if (entries > deckFileLimits.entries)
      refused = `The file holds more than ${deckFileLimits.entries} parts. That is no deck of ours; nothing was read from it.`
    else if (total > deckFileLimits.unpacked || file.originalSize > most)
      refused = `The file would unpack to more than ${megabytes(Math.min(deckFileLimits.unpacked, most))}. Nothing was read from it.`
    else
      return (
        file.name === 'deck.json' || /^tables\/[\w-]{1,64}\.json$/.test(file.name) || /^media\/[0-9a-f]{64}\.[a-z0-9]{1,8}$/.test(file.name)
      )
    return false
  }
  try {
    files = unzipSync(bytes, { filter })
  } catch (error) {
    // Whatever of a broken archive its reader stumbles over.
    if (!(error instanceof Error)) throw error
    return failed(
      refused || 'The file is damaged: it cannot be unpacked. Take the deck away once more where it came from, then bring that file.',
    )
  }
  if (refused) return failed(refused)
  if (!files['deck.json'])
    return failed('This is not a deck file: it holds no deck.json. A deck file is made under Deliver, “Export as a file”.')
  const json = (name: string): unknown => parseJson(strFromU8(files[name]!))
  const raw = json('deck.json')
  if (raw === undefined) {
    return failed('The deck in the file is damaged: deck.json is not whole. Take the deck away once more, then bring that file.')
  }
  const read = readDeck(raw)
  if (!read.ok) return read
  const tables: DataTable[] = []
  for (const name of Object.keys(files).filter(candidate => candidate.startsWith('tables/'))) {
    const table = dataTableSchema.safeParse(json(name))
    if (!table.success) return failed(`The table ${name} in the file is damaged. Nothing was changed.`)
    tables.push(table.data)
  }
  const media = Object.keys(files)
    .filter(name => name.startsWith('media/'))
    .map(name => {
      const [, hash, extension] = /^media\/([0-9a-f]{64})\.(\w+)$/.exec(name)!
      return { hash: hash!, extension: extension!, bytes: files[name]! }
    })
  return { ok: true, value: { deck: read.value.deck, notes: read.value.notes, tables, media } }
}
