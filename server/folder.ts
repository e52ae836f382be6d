import { constants } from 'node:fs'
import { lstat, open, readdir } from 'node:fs/promises'
import path from 'node:path'

/** A file of a folder that is watched. */
export interface Found {
  file: string
  /** Its size and time: another one is another file. */
  stamp: string
}

/** What the system says of a file that may not be read, or is gone; null of any other error. */
export function lackOf(error: unknown): string | null {
  const { code } = error as NodeJS.ErrnoException
  if (code === 'EACCES' || code === 'EPERM') return 'The server may not read it.'
  return code === 'ENOENT' || code === 'ELOOP' ? 'It is not there any more.' : null
}

/** The files in a folder that are wanted, by name. Links and folders in it are left alone. */
export async function filesIn(folder: string, isWanted: (name: string) => boolean): Promise<Found[]> {
  const found: Found[] = []
  for (const file of (await readdir(folder)).filter(isWanted).sort()) {
    try {
      const stat = await lstat(path.join(folder, file))
      if (stat.isFile()) found.push({ file, stamp: `${stat.size} ${Math.round(stat.mtimeMs)}` })
    } catch (error) {
      // A file may go while one looks.
      if (!lackOf(error)) throw error
    }
  }
  return found
}

/** The bytes of a file that is no link, or why it has too many. `most`: how many it may have. */
export async function bytesIn(place: string, most: number): Promise<Uint8Array | string> {
  const file = await open(place, constants.O_RDONLY | constants.O_NOFOLLOW)
  try {
    const { size } = await file.stat()
    if (size > most) return `It has ${Math.round(size / 1024 / 1024)} MB; at most ${most / 1024 / 1024} can be read.`
    return new Uint8Array(await file.readFile())
  } finally {
    await file.close()
  }
}
