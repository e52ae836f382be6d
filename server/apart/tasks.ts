import { createHash } from 'node:crypto'
import * as Y from 'yjs'
import { asPlayed } from '../../core/amounts'
import { dataTableSchema, readDataFile, writeCsv, type DataTable, type ReadingChoices, type ReadingReport } from '../../core/data'
import { cleanValue, infoOf, slidesOf, type Deck, type FontFaceFile, type Purpose } from '../../core/model'
import { failed, type Outcome } from '../../core/values'
import { inkKey, type InkBook, type Traced, type WordOutlines } from '../../core/drawing'
import { tablesOf, unpackDeck } from '../../core/formats/deck-file'
import { isWorkbook, readWorkbook, writeWorkbook } from '../../core/formats/workbook'
import { fillDocument } from '../../core/live'
import { rundown } from '../../core/timing'
import { coverOf } from '../decks/cover'
import { inkBookFrom, inkFrom } from '../decks/ink-of'
import { checkFont } from '../fonts/check'
import { ownIcon } from '../icons/own'
import { bringFaces, outlinesOf, serverMeasurer } from '../measure/measurer'
import { harmlessSvg } from '../media/svg'

/** A face of a font with its file, for a thread that has no database. */
export type FaceWithBytes = FontFaceFile & { bytes: Uint8Array }
const bring = (faces: readonly FaceWithBytes[]) => bringFaces(faces, async hash => faces.find(face => face.media === hash)?.bytes ?? null)

export const svg = (text: string): string | null => harmlessSvg(text)

export const icon = ({ text, name }: { text: string; name: string }) => ownIcon(text, name)

export const font = ({ bytes, name }: { bytes: Uint8Array; name: string }) => checkFont(bytes, name)

/** How words are written in their fonts: by font, by word, as JSON, so that nobody else has to write it out. */
export async function outlines({
  words,
  faces,
}: {
  words: readonly { font: { family: string; weight: number; italic: boolean }; text: string }[]
  faces: readonly FaceWithBytes[]
}) {
  await bring(faces)
  const book: Record<string, Record<string, WordOutlines>> = {}
  for (const { font: wanted, text } of words) (book[inkKey(wanted)] ??= {})[text] = outlinesOf(text, wanted)
  return JSON.stringify(book)
}

/** Unpacks and reads a deck file; says of each media file whether its bytes are those that its name promises. */
export function deckFile(bytes: Uint8Array) {
  const unpacked = unpackDeck(bytes)
  if (!unpacked.ok) return unpacked
  const { media, ...rest } = unpacked.value
  return {
    ok: true as const,
    value: { ...rest, media: media.map(item => ({ ...item, whole: createHash('sha256').update(item.bytes).digest('hex') === item.hash })) },
  }
}

/** A deck as what the database keeps of it: its document as one update, its JSON, and what lists show. */
export function stored(deck: Deck) {
  const document = new Y.Doc()
  fillDocument(document, deck)
  const update = Y.encodeStateAsUpdate(document)
  document.destroy()
  const cover = coverOf(deck)
  return { update, snapshot: JSON.stringify(deck), cover: JSON.stringify(cover), slides: slidesOf(deck).length, tables: tablesOf(cover) }
}

/** Reads a file of data; answers with the table as text, and how it was read. */
export function reading(input: {
  bytes: Uint8Array
  name: string
  id: string
  choices: ReadingChoices
}): Outcome<{ name: string; text: string; reading: ReadingReport }> {
  const how = isWorkbook(input.bytes) ? readWorkbook : readDataFile
  const read = how(input.bytes, input.name, input.id, input.choices)
  if (!read.ok) return read
  const { table, ...report } = read.value
  const parsed = dataTableSchema.safeParse(cleanValue(table))
  if (!parsed.success) {
    const [issue] = parsed.error.issues
    return failed(`“${input.name}” cannot be kept: ${issue!.path.join(' › ') || 'the table'}: ${issue!.message}.`)
  }
  return { ok: true, value: { name: parsed.data.name, text: JSON.stringify(parsed.data), reading: cleanValue(report) as ReadingReport } }
}

/** A table as a file that leaves the house. */
export const written = ({ table, as }: { table: DataTable; as: 'csv' | 'xlsx' }): Uint8Array =>
  as === 'xlsx' ? writeWorkbook(table) : new TextEncoder().encode(writeCsv(table))

interface Played {
  deck: Deck
  tables: readonly DataTable[]
  lengths: Readonly<Record<string, number>>
  faces: readonly FaceWithBytes[]
  traced: Readonly<Record<string, Traced>>
}

/** How long each slide of a deck lasts with its transition, by the deck's purpose or another one, seconds. */
export async function slideSeconds({ deck, purpose, tables, lengths, faces, traced }: Played & { purpose?: Purpose }): Promise<number[]> {
  await bring(faces)
  const host = {
    measurer: serverMeasurer(),
    table: (wanted: string) => tables.find(table => table.id === wanted),
    mediaLength: (hash: string) => lengths[hash],
    ink: inkFrom(traced),
  }
  return rundown(asPlayed(deck, host.table), purpose ?? infoOf(deck).purpose, host).slides.map(slide => slide.length)
}

/** What the hands of a deck ask for, as data. */
export async function inkBook({ deck, tables, lengths, faces, traced }: Played): Promise<InkBook> {
  await bring(faces)
  return inkBookFrom(deck, tables, lengths, traced)
}
