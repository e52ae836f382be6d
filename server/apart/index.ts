import path from 'node:path'
import { MessageChannel } from 'node:worker_threads'
import { Piscina } from 'piscina'
import { UserError } from '../user-error'
import type * as tasks from './tasks'

export type Tasks = typeof tasks
export type { FaceWithBytes } from './tasks'

/** What took longer, or more memory, than it may; the message is for the person who asked for it. */
export class TooHeavy extends UserError {
  constructor(what: string) {
    super(422, `${what} is too intricate to be read here. Save it simpler, then try again.`)
  }
}

const mostWaiting = 60
let pool: Piscina | undefined
const threads = () =>
  (pool ??= new Piscina({
    filename: path.resolve('server/apart/thread.mjs'),
    minThreads: 1,
    maxThreads: 2,
    idleTimeout: 60_000,
    maxQueue: mostWaiting,
    concurrentTasksPerWorker: 1,
    resourceLimits: { maxOldGenerationSizeMb: 1024, stackSizeMb: 8 },
  }))

const busy = () => new UserError(503, 'The server has too much to read at the moment. Try again in a minute.')
/** How long a task waits for its turn, and for its thread to be there, s. */
const longestWait = 300

/**
 * Does a task in a thread of its own; one that takes longer than `seconds` from its beginning, or more than a gigabyte, is ended and
 * throws `TooHeavy`. The time that it waits for its turn, or for a thread to start, does not count: what was given is not the cause of
 * that; after five minutes of it a `UserError` says that the server is busy. `what` names what was to be read, for the sentence.
 */
export async function apart<T extends keyof Tasks>(
  task: T,
  input: Parameters<Tasks[T]>[0],
  { seconds = 10, what }: { seconds?: number; what: string },
): Promise<Awaited<ReturnType<Tasks[T]>>> {
  if (threads().queueSize >= mostWaiting) throw busy()
  const abort = new AbortController()
  const { port1: begun, port2: says } = new MessageChannel()
  let began = false
  let timer = setTimeout(() => abort.abort(), longestWait * 1000)
  begun.once('message', () => {
    began = true
    clearTimeout(timer)
    timer = setTimeout(() => abort.abort(), seconds * 1000)
  })
  try {
    const done = threads().run({ task, input, says }, { signal: abort.signal, transferList: [says] })
    return (await done) as Awaited<ReturnType<Tasks[T]>>
  } catch (error) {
    const { name, code } = error as { name?: string; code?: string }
    if (name === 'AbortError' && !began) throw busy()
    if (name === 'AbortError' || code === 'ERR_WORKER_OUT_OF_MEMORY' || error instanceof RangeError) throw new TooHeavy(what)
    throw error
  } finally {
    clearTimeout(timer)
    begun.close()
  }
}

/** Starts a thread ahead of the first task, which would wait until its program is read. */
export const readyThreads = () => void threads()

/** Ends the threads; for an orderly end. */
export async function endThreads() {
  await pool?.destroy()
  pool = undefined
}
