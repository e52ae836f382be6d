import path from 'node:path'
import { Piscina } from 'piscina'
import { Refusal } from '../refusal'
import type * as tasks from './tasks'

export type Tasks = typeof tasks
export type { FaceWithBytes } from './tasks'

/** What took longer, or more memory, than it may; the message is for the person who asked for it. */
export class TooHeavy extends Refusal {
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

/**
 * Does a task in a thread of its own; one that takes longer than `seconds` from its beginning, or more than a gigabyte, is ended and
 * throws `TooHeavy`. `what` names what was to be read, for the sentence.
 */
export async function apart<T extends keyof Tasks>(
  task: T,
  input: Parameters<Tasks[T]>[0],
  { seconds = 10, what }: { seconds?: number; what: string },
): Promise<Awaited<ReturnType<Tasks[T]>>> {
  if (threads().queueSize >= mostWaiting) throw new Refusal(503, 'The server has too much to read at the moment. Try again in a minute.')
  // The time that it waits for its turn does not count: others may be the cause of that.
  const abort = new AbortController()
  const waited = threads().queueSize * seconds * 1000
  const timer = setTimeout(() => abort.abort(), seconds * 1000 + waited)
  try {
    return (await threads().run({ task, input }, { signal: abort.signal })) as Awaited<ReturnType<Tasks[T]>>
  } catch (error) {
    const { name, code } = error as { name?: string; code?: string }
    if (name === 'AbortError' || code === 'ERR_WORKER_OUT_OF_MEMORY' || error instanceof RangeError) throw new TooHeavy(what)
    throw error
  } finally {
    clearTimeout(timer)
  }
}

/** Ends the threads; for an orderly end. */
export async function endThreads() {
  await pool?.destroy()
  pool = undefined
}
