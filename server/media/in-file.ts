import { mkdtemp, rm, writeFile } from 'node:fs/promises'
import os from 'node:os'
import path from 'node:path'

/** Hands a folder of its own to some work, and takes it away afterwards, whatever came of it. */
export async function inFolder<T>(work: (folder: string) => Promise<T>): Promise<T> {
  const folder = await mkdtemp(path.join(os.tmpdir(), 'hailbank-'))
  try {
    return await work(folder)
  } finally {
    await rm(folder, { recursive: true, force: true })
  }
}

/** Hands bytes to some work as a file. */
export const inFile = <T>(content: Uint8Array, extension: string, work: (file: string) => Promise<T>): Promise<T> =>
  inFolder(async folder => {
    const file = path.join(folder, `clip.${extension}`)
    await writeFile(file, content)
    return await work(file)
  })
