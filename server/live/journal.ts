import * as Y from 'yjs'
import { appendUpdates, foldUpdates, updatesOf } from '../database/decks'
import { logError } from '../log'
import { breath } from './in-steps'

const foldAfter = 400
const foldAfterBytes = 16 * 1024 * 1024

/**
 * The updates of a deck on disk. They are read in the order of their ids, and the cursor moves with what is read alone: what this process
 * wrote itself is remembered until the cursor has passed it.
 */
export class Journal {
  #cursor = 0
  #own = new Set<number>()
  #unfolded: number[] = []
  #unfoldedBytes = 0

  constructor(
    readonly deck: string,
    /** The name that this process writes under, among those that serve the same database. */
    readonly node: string,
  ) {}

  /** The id of the last update read from disk in its order. */
  get cursor(): number {
    return this.#cursor
  }

  /** Tells of all that others have written since. `opening`: nobody else reads yet, so others may go first between two rows. */
  async read(told: (content: Uint8Array) => void, { opening = false } = {}) {
    for (const row of await updatesOf(this.deck, this.#cursor, [...this.#own])) {
      this.#cursor = Math.max(this.#cursor, row.id)
      this.#unfolded.push(row.id)
      this.#unfoldedBytes += row.bytes
      if (!this.#own.delete(row.id) && row.content) told(row.content)
      if (opening && row.bytes > 100_000) await breath()
    }
  }

  /** Puts updates on disk, all or none; throws where that fails. */
  async append(updates: readonly { content: Uint8Array; person: string | null }[]) {
    for (const row of await appendUpdates(this.deck, updates, this.node)) if (row > this.#cursor) this.#own.add(row)
  }

  /** Puts what was read since into one update, where that is much; what cannot be is logged, and tried again later. */
  async fold(document: Y.Doc) {
    if (this.#unfolded.length <= foldAfter && this.#unfoldedBytes <= foldAfterBytes) return
    const [ids, sum] = [this.#unfolded, Y.encodeStateAsUpdate(document)]
    // The document may hold rows that the cursor has not come to yet; their sum holds them too, and reading them again changes nothing.
    this.#unfolded = ids.slice(-1)
    this.#unfoldedBytes = 0
    await foldUpdates(this.deck, ids, sum).catch(error => void logError(error, 'updates were not folded', { deck: this.deck }))
  }
}
