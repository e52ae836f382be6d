import { open } from 'node:fs/promises'
import type { Dominant } from '../../core/color'
import { voicesOf, type Deck } from '../../core/model'
import type { Traced } from '../../core/drawing'
import { UserError } from '../user-error'
import { database, jsonOf, transaction, type Sql } from './connection'

export interface MediaRow {
  hash: string
  name: string
  type: string
  extension: string
  bytes: number
  width: number | null
  height: number | null
  /** Of films and sounds. */
  seconds?: number | null
}

/** What a media file is found and kept by. */
export interface MediaItem extends MediaRow {
  folder: string
  tags: string[]
  rights: string
  credit: string
  colors: Dominant[]
  likeness: string | null
  createdAt: string
  usedAt: string
  by: string | null
}

/** Bytes in one chunk. */
export const chunkSize = 1024 * 1024

export async function mediaByHash(hash: string, sql: Sql = database()) {
  const [row] = await sql<MediaRow[]>`select hash, name, type, extension, bytes, width, height, seconds from media where hash = ${hash}`
  return row
}

/** What one person may keep in Media and in films made, bytes. */
const roomOfPerson = () => Math.max(1, Number(process.env.HAILBANK_PERSON_GB) || 20) * 1024 ** 3

/** Throws where somebody keeps more than they may. */
async function withinRoom(sql: Sql, person: string) {
  const [kept] = await sql<{ bytes: number }[]>`select coalesce(sum(bytes), 0)::bigint as bytes from media where created_by = ${person}`
  const room = roomOfPerson()
  if (kept!.bytes > room)
    throw new UserError(
      413,
      `Your files have more than the ${Math.round(room / 1024 ** 3)} GB that one person may keep here, so this one was not ` +
        'taken. Delete some in Media or of the films you made, or ask who runs the server for more room.',
    )
}

/** Puts a file's row where there is none yet; false where it is there already. What somebody brings is of Media from then on. */
async function addRow(sql: Sql, row: MediaRow, person: string | null, made: boolean): Promise<boolean> {
  const inserted = await sql`
    insert into media (hash, name, type, extension, bytes, width, height, seconds, created_by, made)
   
      values (${row.hash}, ${row.name}, ${row.type}, ${row.extension}, ${row.bytes}, ${row.width}, ${row.height},
        ${row.seconds ?? null}, ${person}, ${made})
      on conflict (hash) do nothing returning hash`
  if (!inserted.length && !made) await sql`update media set used_at = now(), made = false where hash = ${row.hash}`
  // Counted after it is in, in the same transaction: several at once do not slip past each other by much, and what is too much is taken
  // back.
  if (inserted.length && person) await withinRoom(sql, person)
  return inserted.length > 0
}

/** Keeps a file in chunks, all or nothing; a file that is there already is left as it is. */
export async function keepMedia(row: MediaRow, content: Uint8Array, person: string | null, outer?: Sql) {
  const put = async (sql: Sql) => {
    if (!(await addRow(sql, row, person, false))) return
    for (let part = 0; part * chunkSize < content.length; part++) {
      await sql`insert into media_chunks (hash, part, content)
        values (${row.hash}, ${part}, ${Buffer.from(content.subarray(part * chunkSize, (part + 1) * chunkSize))})`
    }
  }
  if (outer) await put(outer)
  else await transaction(put)
}

/** The bytes from `from` to `to` (inclusive), chunk by chunk. */
export async function* mediaBytes(hash: string, from: number, to: number): AsyncGenerator<Uint8Array> {
  const sql = database()
  for (let part = Math.floor(from / chunkSize); part * chunkSize <= to; part++) {
    const [row] = await sql<{ content: Buffer }[]>`select content from media_chunks where hash = ${hash} and part = ${part}`
    if (!row) throw new Error(`chunk ${part} of ${hash} is missing`)
    const start = part * chunkSize
    yield row.content.subarray(Math.max(0, from - start), Math.min(row.content.length, to - start + 1))
  }
}

/** Keeps a file that lies on this machine, chunk by chunk, all or nothing; one that was `made` to be taken away stays out of Media. */
export async function keepMediaFile(row: MediaRow, file: string, person: string | null, made: boolean) {
  await transaction(async sql => {
    if (!(await addRow(sql, row, person, made))) return
    const handle = await open(file)
    try {
      for (let part = 0; part * chunkSize < row.bytes; part++) {
        const content = Buffer.alloc(Math.min(chunkSize, row.bytes - part * chunkSize))
        await handle.read(content, 0, content.length, part * chunkSize)
        await sql`insert into media_chunks (hash, part, content) values (${row.hash}, ${part}, ${content})`
      }
    } finally {
      await handle.close()
    }
  })
}

export async function wholeMedia(hash: string, bytes: number): Promise<Uint8Array> {
  const parts: Uint8Array[] = []
  for await (const part of mediaBytes(hash, 0, bytes - 1)) parts.push(part)
  return Buffer.concat(parts)
}

/** The whole of a media file; null where there is none. */
export async function mediaIfThere(hash: string): Promise<Uint8Array | null> {
  const row = await mediaByHash(hash)
  return row ? wholeMedia(hash, row.bytes) : null
}

/** Says what a file is found by, once it is known. */
export async function describeMedia(hash: string, found: { colors: Dominant[]; likeness: string | null }) {
  const sql = database()
  await sql`update media set colors = ${jsonOf(found.colors)}, likeness = ${found.likeness} where hash = ${hash}`
}

const columns = (sql: Sql) =>
  sql`m.hash, m.name, m.type, m.extension, m.bytes, m.width, m.height, m.seconds, m.folder, m.tags, m.rights,
    m.credit, m.colors, m.likeness, m.created_at as "createdAt", m.used_at as "usedAt", p.name as by`

/** All pictures, films and sounds of the team, those used last first; fonts are kept elsewhere. */
export async function allMedia(sql: Sql = database()): Promise<MediaItem[]> {
  return await sql<
    MediaItem[]
  >`select ${columns(sql)} from media m left join people p on p.id = m.created_by where m.type not like 'font/%' and not m.made
    order by m.used_at desc, m.hash`
}

export async function mediaItem(hash: string, sql: Sql = database()): Promise<MediaItem | undefined> {
  const [row] = await sql<MediaItem[]>`select ${columns(sql)} from media m left join people p on p.id = m.created_by where m.hash = ${hash}`
  return row
}

/** Gives a media file another name, folder, tags, rights or credit line. */
export async function changeMedia(hash: string, fields: Partial<Pick<MediaItem, 'name' | 'folder' | 'tags' | 'rights' | 'credit'>>) {
  const sql = database()
  if (Object.keys(fields).length) await sql`update media set ${sql(fields)} where hash = ${hash}`
}

/** Says how loud a film or sound is. */
export const keepPeaks = (hash: string, peaks: Uint8Array | null) =>
  database()`update media set peaks = ${peaks && Buffer.from(peaks)} where hash = ${hash}`

/** How long a film or sound is and how loud; null where there is none. */
export async function soundOf(hash: string): Promise<{ seconds: number | null; peaks: Buffer | null } | null> {
  const [row] = await database()<{ seconds: number | null; peaks: Buffer | null }[]>`select seconds, peaks from media where hash = ${hash}`
  return row ?? null
}

/** The lengths of films and sounds by hash, seconds; pictures are left out. */
export async function mediaLengths(hashes: readonly string[]): Promise<Record<string, number>> {
  if (!hashes.length) return {}
  const rows = await database()<
    { hash: string; seconds: number }[]
  >`select hash, seconds from media where hash = any(${[...hashes]}) and seconds is not null`
  return Object.fromEntries(rows.map(row => [row.hash, row.seconds]))
}

/** How loud the voices are that move the faces of a deck: by hash, 100 values a second, in base64. */
export async function voicePeaks(deck: Deck): Promise<Record<string, string>> {
  const hashes = voicesOf(deck)
  if (!hashes.length) return {}
  const rows = await database()<
    { hash: string; peaks: Buffer }[]
  >`select hash, peaks from media where hash = any(${hashes}) and peaks is not null`
  return Object.fromEntries(rows.map(row => [row.hash, row.peaks.toString('base64')]))
}

/** The lines found in a picture; undefined where there is no such file, null where nobody has looked yet. */
export async function tracedOf(hash: string): Promise<Traced | null | undefined> {
  const [row] = await database()<{ traced: Traced | null }[]>`select traced from media where hash = ${hash}`
  return row && row.traced
}
export const keepTraced = (hash: string, traced: Traced) => database()`update media set traced = ${jsonOf(traced)} where hash = ${hash}`

export const touchMedia = (hash: string) => database()`update media set used_at = now() where hash = ${hash}`
export const dropMedia = (hash: string) => database()`delete from media where hash = ${hash}`

/** A picture at a step of width, where it was made before. */
export async function mediaStep(hash: string, width: number, atMs: number) {
  const [row] = await database()<
    { type: string; content: Buffer }[]
  >`select type, content from media_steps where hash = ${hash} and width = ${width} and at_ms = ${atMs}`
  return row
}
export const keepMediaStep = (hash: string, width: number, atMs: number, type: string, content: Buffer) =>
  database()`insert into media_steps (hash, width, at_ms, type, content)
    values (${hash}, ${width}, ${atMs}, ${type}, ${content}) on conflict do nothing`

/** The decks on the shelf that name a media file, as their snapshots stand. */
export const decksWithMedia = (hash: string) =>
  database()<
    { id: string; title: string }[]
  >`select id, title from decks where removed_at is null and snapshot::text like ${`%${hash}%`} order by title`
