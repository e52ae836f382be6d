import { createHash } from 'node:crypto'
import { lstat, mkdir, readdir, readFile } from 'node:fs/promises'
import path from 'node:path'
import { isTableFileName } from '../../core/data'
import { bytesOf, linkedSources, noteFile, versionsOf } from '../database/sources'
import { database } from '../database/connection'
import { log, logError } from '../log'
import { addVersion, dataByteLimit, makeSource } from './sources'

/** More files than this are not followed: the first of them by name are. */
export const mostFiles = 500

interface Found {
  file: string
  stamp: string
  size: number
}

/** The tables in a folder, with what tells whether one has changed. Links and folders in it are left alone. */
async function filesIn(folder: string): Promise<Found[]> {
  const names = (await readdir(folder)).filter(isTableFileName).sort()
  const found = await Promise.all(
    names.slice(0, mostFiles).map(async file => {
      // A file may go while one looks.
      const stat = await lstat(path.join(folder, file)).catch((error: NodeJS.ErrnoException) => {
        if (error.code === 'ENOENT') return null
        throw error
      })
      return stat?.isFile() ? [{ file, stamp: `${stat.size} ${Math.round(stat.mtimeMs)}`, size: stat.size }] : []
    }),
  )
  return found.flat()
}

/** The sentence of a file that cannot be read, where that is the file's own fault; all else is thrown on. */
function faultOf(error: unknown): string {
  const {
    statusCode,
    status = statusCode,
    message,
    data,
  } = error as { statusCode?: number; status?: number; message: string; data?: { message?: string } }
  if (status !== undefined && status >= 400 && status < 500) return data?.message ?? message
  throw error
}

const sameBytes = (a: Uint8Array, b: Uint8Array) =>
  a.byteLength === b.byteLength && createHash('sha256').update(a).digest('hex') === createHash('sha256').update(b).digest('hex')

type Linked = Awaited<ReturnType<typeof linkedSources>>[number]

/** Takes a file as it is now: as the next version of the table that follows it, or as a new table. */
async function takeFile(folder: string, { file, stamp, size }: Found, linked: Linked | undefined): Promise<void> {
  if (size > dataByteLimit) {
    const fault = `${file} has ${Math.round(size / 1024 / 1024)} MB; at most ${dataByteLimit / 1024 / 1024} can be read.`
    if (linked) await noteFile(linked.id, { file, stamp, fault })
    else log.warn({ file }, fault)
    return
  }
  const bytes = new Uint8Array(await readFile(path.join(folder, file)))
  if (!linked) {
    const { id } = await makeSource(bytes, file, null)
    await noteFile(id, { file, stamp, fault: null })
    return
  }
  const last = (await versionsOf(linked.id)).at(-1)
  const before = last && (await bytesOf(linked.id, last.number))
  if (!before || !sameBytes(before, bytes)) await addVersion(linked, bytes, file, null)
  await noteFile(linked.id, { file, stamp, fault: null })
}

/** What was seen of each file when one last looked, and files that are no tables, at the stamp at which they were none. */
export interface Seen {
  stamps: Map<string, string>
  refused: Map<string, string>
}
export const nothingSeen = (): Seen => ({ stamps: new Map(), refused: new Map() })

/**
 * Looks through a folder once: what has changed, and has not changed further since one last looked, is taken. A file that cannot be read
 * leaves its table as it is, with the reason; so does one that is gone.
 */
export async function lookThrough(folder: string, seen: Seen): Promise<void> {
  const found = await filesIn(folder)
  const linked = new Map((await linkedSources()).map(source => [source.file, source]))
  for (const one of found) {
    const source = linked.get(one.file)
    // One that is still being written is taken once it is whole.
    const isSettled = seen.stamps.get(one.file) === one.stamp
    seen.stamps.set(one.file, one.stamp)
    if (!isSettled || source?.stamp === one.stamp || seen.refused.get(one.file) === one.stamp) continue
    try {
      await takeFile(folder, one, source)
    } catch (error) {
      const fault = faultOf(error)
      if (source) await noteFile(source.id, { file: one.file, stamp: one.stamp, fault })
      else {
        seen.refused.set(one.file, one.stamp)
        log.warn({ file: one.file }, `A file of the watched folder is no table: ${fault}`)
      }
    }
  }
  const names = new Set(found.map(({ file }) => file))
  for (const { id, file, stamp } of linked.values())
    if (!names.has(file) && stamp !== null) await noteFile(id, { file, stamp: null, fault: `${file} is not in the folder any more.` })
}

/** How often one looks, ms. */
const every = 2000
/** Of several servers one looks at a time. */
const lockKey = 4_016_016

/** Follows a folder until it is told to stop; what goes wrong is logged once, and one goes on looking. */
export function watchFolder(folder: string): () => Promise<void> {
  const seen = nothingSeen()
  let over = false
  let last = ''
  let waits: ReturnType<typeof setTimeout> | undefined
  let wake = () => {}
  const look = async () => {
    await mkdir(folder, { recursive: true })
    const sql = await database().reserve()
    try {
      const [row] = await sql<{ mine: boolean }[]>`select pg_try_advisory_lock(${lockKey}) as mine`
      if (!row!.mine) return
      try {
        await lookThrough(folder, seen)
      } finally {
        await sql`select pg_advisory_unlock(${lockKey})`
      }
    } finally {
      sql.release()
    }
  }
  const run = async () => {
    while (!over) {
      try {
        await look()
        last = ''
      } catch (error) {
        // Whatever it was (a folder that may not be read, a database that is away), it is tried again; said once.
        const words = (error as Error).message
        if (words !== last) logError(error, 'the watched folder could not be looked through', { folder })
        last = words
      }
      await new Promise<void>(resolve => {
        wake = resolve
        waits = setTimeout(resolve, every)
      })
    }
  }
  const running = run()
  return async () => {
    over = true
    clearTimeout(waits)
    wake()
    await running
  }
}
