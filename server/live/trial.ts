import * as Y from 'yjs'
import { applyToDocument, faultOfUpdate, tryUpdate } from '../../core/live'
import type { Change, Deck } from '../../core/model'
import { emptyDocument } from './mending'

/** What is on disk and what waits to be: every update is tried here before it goes any further. */
export class Trial {
  #tried: Y.Doc | null = null

  /** @param whole fills an empty document with what is on disk and what waits to be */
  constructor(readonly whole: (empty: Y.Doc) => void) {}

  /** Made when something is first tried: who only looks does without. */
  #now(): Y.Doc {
    if (!this.#tried) {
      this.#tried = emptyDocument()
      this.whole(this.#tried)
    }
    return this.#tried
  }

  /** It holds something that will not be on disk: it is made anew. */
  spoil() {
    this.#tried?.destroy()
    this.#tried = null
  }

  /** Another process put this on disk. */
  follow(content: Uint8Array) {
    if (this.#tried) Y.applyUpdate(this.#tried, content, 'disk')
  }

  /** The update that changes make; null where they change nothing. */
  make(changes: readonly Change[]): Uint8Array | null {
    let content: Uint8Array | null = null
    const tried = this.#now()
    const note = (update: Uint8Array) => {
      content = update
    }
    tried.once('update', note)
    applyToDocument(tried, changes, 'server')
    tried.off('update', note)
    return content
  }

  /**
   * A sentence on why an update cannot be taken, null where it can be. `form`: the deck that it is measured by. What it builds on may be on
   * disk, put there by another process: `catchUp` reads that.
   */
  async faultOf(content: Uint8Array, origin: unknown, form: () => Deck | null, catchUp: () => Promise<void>): Promise<string | null> {
    const shape = faultOfUpdate(content)
    if (shape) return shape
    const tryIt = () => {
      const fault = tryUpdate(this.#now(), content, origin, form())
      if (fault) this.spoil()
      return fault
    }
    let fault = tryIt()
    if (fault?.lacking) {
      await catchUp()
      fault = tryIt()
    }
    return fault?.message ?? null
  }
}
