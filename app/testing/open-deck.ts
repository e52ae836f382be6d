import type { Awareness } from 'y-protocols/awareness'
import type * as Y from 'yjs'
import { fillDocument } from '#core/live'
import type { Deck } from '#core/model'
import type { ConnectionHost, ConnectionStatus } from '../live/connection'
import { useState } from './nuxt'

/** The line to the server that a test holds in its own hands: what would arrive over it is given by `deliver`. */
export class Line {
  constructor(
    readonly deck: string,
    readonly document: Y.Doc,
    readonly awareness: Awareness,
    readonly host: ConnectionHost,
    private readonly before: ConnectionStatus,
  ) {}
  stopped = false
  stop() {
    this.stopped = true
  }
  say(status: Partial<ConnectionStatus>) {
    this.host.changed({ ...this.before, ...status })
  }
  /** The deck arrives. */
  deliver(deck: Deck) {
    fillDocument(this.document, deck)
    this.say({ ready: true, online: true })
  }
}

/** All lines that were opened in a test, the last one last. */
export const lines: Line[] = []

/** In place of `../live/connection`; it is given the module itself, which it must not ask for: `vi.mock` waits for this one. */
export async function held<T extends { noStatus: ConnectionStatus }>(original: () => Promise<T>) {
  const module = await original()
  return {
    ...module,
    connectDocument: (deck: string, document: Y.Doc, awareness: Awareness, _unsent: unknown, host: ConnectionHost) => {
      const line = new Line(deck, document, awareness, host, module.noStatus)
      lines.push(line)
      return line
    },
  }
}

/** Signs somebody in, as the session plugin would have. */
export function signIn(role: 'admin' | 'editor' | 'viewer' = 'editor') {
  useState('user', () => null as unknown).value = { id: 'ines', name: 'Ines Rahm', email: 'ines@velmoor.example', role }
}
