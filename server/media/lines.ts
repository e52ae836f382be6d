import { spawn } from 'node:child_process'
import type { Traced } from '../../core/drawing'
import { keepTraced, mediaByHash, tracedOf, wholeMedia } from '../database/media'

/** A picture whose lines are not found by then is given up, milliseconds. */
const patience = 60_000
/** What is kept of a picture that cannot be read, so that nobody looks again. */
const nothing: Traced = { width: 1, height: 1, paths: [] }

/**
 * Finds the lines of a picture in a process of its own, so that nobody waits for it who does something else; null where that was broken
 * off.
 */
async function findLines(bytes: Uint8Array): Promise<Traced | null> {
  return await new Promise(resolve => {
    const finder = spawn(process.execPath, ['--import', 'jiti/register', 'server/media/find-lines.ts'], {
      stdio: ['pipe', 'pipe', 'ignore'],
      timeout: patience,
    })
    const parts: Buffer[] = []
    finder.stdout.on('data', part => parts.push(part))
    finder.on('error', () => resolve(null))
    finder.on('close', code =>
      resolve(code === 0 ? (JSON.parse(Buffer.concat(parts).toString('utf8')) as Traced) : code === null ? null : nothing),
    )
    finder.stdin.on('error', () => {})
    finder.stdin.end(bytes)
  })
}

/** One picture after the other. */
let turn: Promise<unknown> = Promise.resolve()

/** The lines of a picture, found once and kept; null where there is no such picture, or not this time. One that cannot be read has none. */
export async function linesOf(hash: string): Promise<Traced | null> {
  const known = await tracedOf(hash)
  if (known !== null) return known ?? null
  const mine = turn.then(async () => {
    const [again, row] = [await tracedOf(hash), await mediaByHash(hash)]
    if (again !== null || !row?.type.startsWith('image/')) return again ?? null
    const found = await findLines(await wholeMedia(hash, row.bytes))
    if (found) await keepTraced(hash, found)
    return found
  })
  // The next one waits for its end, whatever came of it; who asked hears that.
  turn = mine.then(
    () => {},
    (_error: unknown) => {},
  )
  return await mine
}
