import { mkdir } from 'node:fs/promises'
import path from 'node:path'
import { isTableFileName } from '../../core/data'
import { isPassing } from '../database/connection'
import {
  bytesOf,
  endWatching,
  forgetFaults,
  isWatching,
  linkedSources,
  noteFault,
  noteFile,
  versionsOf,
  watchedFaults,
} from '../database/sources'
import { bytesIn, filesIn, lackOf, type Found } from '../folder'
import { logError } from '../log'
import { nodeName } from '../node-name'
import { faultOf, keepGoing } from './follow'
import { addVersion, dataByteLimit, makeSource } from './sources'

/** The folder whose files are tables; null where none is watched. */
export const watchedFolder = () => process.env.HAILBANK_TABLES || null

type Linked = Awaited<ReturnType<typeof linkedSources>>[number]

/** Takes a file as it is now: as the next version of the table that follows it, or as a new table. Answers with why it cannot be taken. */
async function takeFile(folder: string, { file, stamp }: Found, linked: Linked | undefined): Promise<string | null> {
  try {
    const bytes = await bytesIn(path.join(folder, file), dataByteLimit)
    if (typeof bytes === 'string') return bytes
    if (!linked) await noteFile((await makeSource(bytes, file, null)).id, { file, stamp, fault: null })
    else {
      const last = (await versionsOf(linked.id)).at(-1)
      const before = last && (await bytesOf(linked.id, last.number))
      if (!before || Buffer.compare(before, bytes)) await addVersion(linked, bytes, file, null)
      await noteFile(linked.id, { file, stamp, fault: null })
    }
    return null
  } catch (error) {
    const fault = faultOf(error)
    if (fault === null) throw error
    return fault
  }
}

/** What was seen of each file when one last looked. */
export type Seen = Map<string, string>

/**
 * Looks through a folder once: what has changed, and has not changed further since one last looked, is taken. A file that cannot be read
 * leaves its table as it is, with the reason; so does one that is gone. What goes wrong with one of them keeps no other from being taken.
 * Before each file is asked whether one goes on.
 */
export async function lookThrough(folder: string, seen: Seen, goesOn: () => Promise<boolean> = async () => true): Promise<void> {
  const found = await filesIn(folder, isTableFileName)
  const linked = new Map((await linkedSources()).map(source => [source.file, source]))
  const refused = new Map((await watchedFaults()).map(({ file, stamp }) => [file, stamp]))
  for (const one of found) {
    if (!(await goesOn())) return
    const source = linked.get(one.file)
    // One that is still being written is taken once it is whole.
    const isSettled = seen.get(one.file) === one.stamp
    seen.set(one.file, one.stamp)
    if (!isSettled || (source ? source.stamp : refused.get(one.file)) === one.stamp) continue
    try {
      const fault = await takeFile(folder, one, source)
      if (fault === null) await forgetFaults([one.file])
      else if (source) await noteFile(source.id, { ...one, fault })
      else await noteFault({ ...one, fault })
    } catch (error) {
      // Nothing that the file is to blame for: it is tried again.
      logError(error, 'a file of the watched folder could not be taken', { file: one.file })
    }
  }
  const names = new Set(found.map(({ file }) => file))
  for (const { id, file, stamp } of linked.values())
    if (!names.has(file) && stamp !== null) await noteFile(id, { file, stamp: null, fault: 'It is not in the folder any more.' })
  await forgetFaults([...refused.keys()].filter(file => !names.has(file)))
}

/** How often one looks, ms. */
const every = 2000
/** Of several servers one looks; how long, s, another one waits when nothing is heard of it. */
const patience = 30
const goesOn = () => isWatching(nodeName, patience)

/** Looks once, unless another server does. */
async function lookOnce(folder: string, seen: Seen) {
  if (!(await goesOn())) return
  try {
    await mkdir(folder, { recursive: true })
    await lookThrough(folder, seen, goesOn)
  } catch (error) {
    const fault = lackOf(error)
    if (!fault) throw error
    await noteFault({ file: '', stamp: '', fault: 'The server may not read the folder.' })
  }
}

/** Follows a folder until it is told to stop. */
export function watchFolder(folder: string): () => Promise<void> {
  const seen: Seen = new Map()
  const end = keepGoing(() => lookOnce(folder, seen), { every, what: 'the watched folder could not be looked through' })
  return async () => {
    await end()
    // Where the database is away the others wait.
    await endWatching(nodeName).catch(error => isPassing(error) || logError(error, 'the watched folder was not handed on'))
  }
}

let stop = async () => {}
/** Follows the folder that is set, as long as this server runs. */
export function followFolder() {
  const folder = watchedFolder()
  if (folder) stop = watchFolder(folder)
}
export const endFollowing = () => stop()
