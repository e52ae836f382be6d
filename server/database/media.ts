import { database, type Sql } from './connection'

export interface MediaRow {
  hash: string
  name: string
  type: string
  extension: string
  bytes: number
  width: number | null
  height: number | null
}

/** Bytes in one chunk. */
export const chunkSize = 1024 * 1024

export async function mediaByHash(hash: string, sql: Sql = database()) {
  const [row] = await sql<MediaRow[]>`select hash, name, type, extension, bytes, width, height from media where hash = ${hash}`
  return row
}

/** Keeps a file in chunks, all or nothing; a file that is there already is left as it is. */
export async function keepMedia(row: MediaRow, content: Uint8Array, person: string | null, outer?: Sql) {
  const put = async (sql: Sql) => {
    const inserted = await sql`
      insert into media (hash, name, type, extension, bytes, width, height, created_by)
      values (${row.hash}, ${row.name}, ${row.type}, ${row.extension}, ${row.bytes}, ${row.width}, ${row.height}, ${person}) on conflict (hash) do nothing returning hash`
    if (!inserted.length) return
    for (let part = 0; part * chunkSize < content.length; part++) {
      await sql`insert into media_chunks (hash, part, content) values (${row.hash}, ${part}, ${Buffer.from(content.subarray(part * chunkSize, (part + 1) * chunkSize))})`
    }
  }
  if (outer) await put(outer)
  else await database().begin(put)
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
