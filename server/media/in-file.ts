import { log } from '../log'
import { mkdtemp, readdir, rm, writeFile } from 'node:fs/promises'
import os from 'node:os'
import path from 'node:path'

/** Folders of ours bear the number of the process that made them. */
const ours = /^hailbank-(\d+)-/

const isRunning = (id: number) => {
  try {
    process.kill(id, 0)
    return true
  } catch (error) {
    // There is one, of somebody else.
    return (error as NodeJS.ErrnoException).code === 'EPERM'
  }
}

/** Takes away the folders of processes that ended in the midst of their work. */
export async function clearFolders() {
  const names = await readdir(os.tmpdir())
  await Promise.all(
    names
      .filter(name => ours.test(name) && !isRunning(Number(ours.exec(name)![1])))
      .map(name =>
        rm(path.join(os.tmpdir(), name), { recursive: true, force: true }).catch((error: unknown) =>
          log.warn({ folder: name, err: error }, 'a folder of ended work was not taken away'),
        ),
      ),
  )
}

/** Hands a folder of its own to some work, and takes it away afterwards, whatever came of it. */
export async function inFolder<T>(work: (folder: string) => Promise<T>): Promise<T> {
  const folder = await mkdtemp(path.join(os.tmpdir(), `hailbank-${process.pid}-`))
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
