import path from 'node:path'
import { MessageChannel } from 'node:worker_threads'
import { Piscina } from 'piscina'
import { UserError } from '../user-error'

/** What took longer, or more memory, than it may; the message is for the person who asked for it. */
export class TooHeavy extends UserError {
  constructor(what: string) {
    super(422, `${what} is too intricate to be read here. Save it simpler, then try again.`)
  }
}

/** What whoever asked did not want any more before it was done. */
export class Stopped extends UserError {
  constructor() {
    super(409, 'It was stopped. All is as it was.')
  }
}

const mostWaiting = 60
const busy = () => new UserError(503, 'The server has too much to read at the moment. Try again in a minute.')
/** How long a task waits for its turn, and for its thread to be there, s. */
const longestWait = 300

/** A task's line to whoever asked for it. */
export interface Line {
  /** Says how far it is; anything that can be copied between threads. */
  say: (told: unknown) => void
  /** Whoever asked does not want it any more: it ends as soon as it can. */
  stopped: AbortSignal
}

type Tasks = Record<string, (input: never, line: Line) => unknown>
/** Who listens to a task: to how far it is, and with what it is stopped. What was stopped before its turn is not begun. */
interface Heard {
  told?: (told: unknown) => void
  stop?: AbortSignal | undefined
}

/** Threads that do the tasks of a module, at most so many at once, each with a gigabyte; one that has nothing to do for a while ends. */
export class Threads<T extends Tasks> {
  #pool: Piscina | undefined

  constructor(
    /** The module, from the root of the house. */
    readonly tasks: string,
    readonly limits: { least: number; most: number; idleSeconds: number },
  ) {}

  get #threads() {
    const { least, most, idleSeconds } = this.limits
    return (this.#pool ??= new Piscina({
      filename: path.resolve('server/apart/thread.mjs'),
      argv: [path.resolve(this.tasks)],
      minThreads: least,
      maxThreads: most,
      idleTimeout: idleSeconds * 1000,
      maxQueue: mostWaiting,
      concurrentTasksPerWorker: 1,
      resourceLimits: { maxOldGenerationSizeMb: 1024, stackSizeMb: 8 },
    }))
  }

  /**
   * Does a task in a thread of its own; one that takes longer than `seconds` from its beginning, or more than a gigabyte, is ended and
   * throws `TooHeavy`. The time that it waits for its turn, or for a thread to start, does not count: what was given is not the cause of
   * that; after five minutes of it a `UserError` says that the server is busy. `what` names what was to be read, for the sentence. A task
   * that is stopped while it waits throws `Stopped`; one that has begun answers as it sees fit.
   */
  async do<K extends keyof T & string>(
    task: K,
    input: Parameters<T[K]>[0],
    { seconds = 10, what, told, stop }: { seconds?: number; what: string } & Heard,
  ): Promise<Awaited<ReturnType<T[K]>>> {
    const threads = this.#threads
    if (threads.queueSize >= mostWaiting) throw busy()
    const abort = new AbortController()
    const { port1: begun, port2: says } = new MessageChannel()
    let began = false
    let timer = setTimeout(() => abort.abort(), longestWait * 1000)
    begun.on('message', (message: { begun?: true; told?: unknown }) => {
      if (!message.begun) return told?.(message.told)
      began = true
      clearTimeout(timer)
      timer = setTimeout(() => abort.abort(), seconds * 1000)
    })
    const stopNow = () => (began ? begun.postMessage('stop') : abort.abort())
    stop?.addEventListener('abort', stopNow)
    try {
      if (stop?.aborted) throw new Stopped()
      const done = threads.run({ task, input, says }, { signal: abort.signal, transferList: [says] })
      return (await done) as Awaited<ReturnType<T[K]>>
    } catch (error) {
      const { name, code } = error as { name?: string; code?: string }
      if (name === 'AbortError' && !began) throw stop?.aborted ? new Stopped() : busy()
      if (name === 'AbortError' || code === 'ERR_WORKER_OUT_OF_MEMORY' || error instanceof RangeError) throw new TooHeavy(what)
      throw error
    } finally {
      clearTimeout(timer)
      stop?.removeEventListener('abort', stopNow)
      begun.close()
    }
  }

  /** Starts a thread ahead of the first task, which would wait until its program is read. */
  ready() {
    void this.#threads
  }

  /** Ends the threads; for an orderly end. */
  async end() {
    await this.#pool?.destroy()
    this.#pool = undefined
  }
}
