import type { Deck } from '../../core/model'
import { isPassing } from '../database/connection'
import { keepSnapshot } from '../database/decks'
import { logError } from '../log'

const delay = 1000

/** A deck's snapshot on disk, which lists and films read: it follows the document a moment later. */
export class Snapshot {
  #behind = false
  #timer: ReturnType<typeof setTimeout> | undefined

  constructor(
    readonly id: string,
    readonly deck: () => Deck,
  ) {}

  /** Something has changed; in a moment that is on disk too. */
  changed() {
    this.#behind = true
    this.#timer ??= setTimeout(() => void this.keepLater(), delay)
  }

  /** Puts it on disk if it is behind; throws where that fails, and tries again by itself. */
  async keep() {
    this.stop()
    if (!this.#behind) return
    this.#behind = false
    try {
      await keepSnapshot(this.id, this.deck())
    } catch (error) {
      this.#behind = true
      if (!isPassing(error)) logError(error, 'the snapshot was not kept', { deck: this.id })
      this.#timer = setTimeout(() => void this.keepLater(), delay * 3)
      throw error
    }
  }

  /** The same, for those who do not wait for it: what went wrong is logged, and it is tried again by itself. */
  keepLater = () =>
    this.keep().then(
      () => true,
      () => false,
    )

  stop() {
    clearTimeout(this.#timer)
    this.#timer = undefined
  }
}
