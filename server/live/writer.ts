import { isPassing } from '../database/connection'
import { log, logError } from '../log'
import type { Journal } from './journal'

/** An update that is on its way to the disk. */
export interface Waiting {
  content: Uint8Array
  person: string | null
  /** The browser that it came from; null where the server made it. */
  peer: object | null
  written(): void
  refuse(message: string): void
}

const retryDelay = 400
const mostAtOnce = 200
const pause = (ms: number) => new Promise(resolve => setTimeout(resolve, ms))

/**
 * Writes what waits, in order, until it is on disk; only then does it count. While the database is away it waits; what cannot be written
 * is refused to its sender alone.
 */
export class Writer {
  #waiting: Waiting[] = []
  #writing: Promise<void> | null = null

  constructor(
    readonly journal: Journal,
    readonly on: {
      /** An update is on disk; its sender hears of it next. */
      written(content: Uint8Array): void
      /** Something was refused: what was tried together with it is to be tried anew. */
      refused(): void
      /** Nothing waits any more. */
      idle(): void
    },
  ) {}

  /** What is not on disk yet, in its order. */
  get waiting(): readonly Waiting[] {
    return this.#waiting
  }

  add(entry: Waiting) {
    this.#waiting.push(entry)
    this.#writing ??= this.#write().finally(() => {
      this.#writing = null
      this.on.idle()
    })
  }

  /** Resolves once nothing waits to be written any more, or after so many ms. */
  async settled(patience: number) {
    if (this.#writing) await Promise.race([this.#writing, pause(patience)])
  }

  async #write() {
    let most = mostAtOnce
    while (this.#waiting.length) {
      const batch = this.#waiting.slice(0, most)
      try {
        await this.journal.append(batch)
      } catch (error) {
        if (isPassing(error)) {
          log.warn({ deck: this.journal.deck, err: error }, 'not yet on disk, trying again')
          await pause(retryDelay)
        } else if (batch.length > 1) most = 1
        else this.#refuse(batch[0]!, error)
        continue
      }
      this.#waiting.splice(0, batch.length)
      for (const entry of batch) {
        this.on.written(entry.content)
        entry.written()
      }
      most = mostAtOnce
    }
  }

  /** What cannot be written is refused, and with it what the same browser sent after it, which builds on it. */
  #refuse(failed: Waiting, error: unknown) {
    const { deck } = this.journal
    const code = logError(error, 'an update cannot be written', { deck, person: failed.person })
    const words = `This could not be saved on the server, and trying again would not help (error ${code}). Load the page again.`
    const lost = this.#waiting.filter(entry => entry === failed || (entry.peer !== null && entry.peer === failed.peer))
    this.#waiting = this.#waiting.filter(entry => !lost.includes(entry))
    for (const entry of lost) entry.refuse(words)
    this.on.refused()
  }
}
