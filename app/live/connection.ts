import { expected } from '#core/values'
import { applyAwarenessUpdate, encodeAwarenessUpdate, removeAwarenessStates, type Awareness } from 'y-protocols/awareness'
import * as Y from 'yjs'
import { decodeMessage, encodeMessage, type LiveMessage } from '#core/live'
import type { Unsent } from './unsent'

export interface ConnectionStatus {
  /** Whether the document has arrived. */
  ready: boolean
  online: boolean
  /** The line stands, or stood, but the server has not been heard for a while. */
  silent: boolean
  /** Whether everything written here is on disk at the server. */
  kept: boolean
  keptAt: Date | null
  /** Whether what is not is kept in this browser at least. */
  local: boolean
  /** The deck is not there, or this person may not see it. */
  closed: boolean
  /** The session has ended: nothing is sent until somebody signs in again. */
  signedOut: boolean
}

export const noStatus: ConnectionStatus = {
  ready: false,
  online: false,
  silent: false,
  kept: true,
  keptAt: null,
  local: true,
  closed: false,
  signedOut: false,
}

export interface ConnectionHost {
  changed(status: ConnectionStatus): void
  /** A change was not taken, and why. The document has moved away from the server's: it has to be opened anew. */
  refused(message: string): void
  /** Something to be told about the document. */
  noted(message: string): void
  /** Whether a form holds this person to its places. */
  bounded(form: boolean): void
}

const fromServer = 'server'
const fromBefore = 'before'
/** How often the server is asked whether it is there, and after how long without an answer it is not, ms: noticed within ten seconds. */
const beatEvery = 2500
const patience = 6500

/**
 * Keeps a document in step with the server's. Every local change is numbered, kept in this browser, and counts as kept once the server
 * has acknowledged its number; after a break everything that the server lacks is sent again.
 */
export function connectDocument(deck: string, document: Y.Doc, awareness: Awareness, unsent: Unsent, host: ConnectionHost) {
  const connection = new Connection(deck, document, awareness, unsent, host)
  connection.begin()
  return { stop: () => connection.stop() }
}

type AwarenessChange = Record<'added' | 'updated' | 'removed', number[]>

class Connection {
  readonly #status: ConnectionStatus = { ...noStatus }
  #socket: WebSocket | null = null
  /** The number of the last local change, and of the last that is on disk at the server. */
  #counted = 0
  #kept = 0
  /** How many local changes are on their way into this browser's database. */
  #putting = 0
  /** How long is waited before the next attempt, ms. */
  #wait = 250
  #failures = 0
  #ended = false
  #timer: ReturnType<typeof setTimeout> | undefined
  #beating: ReturnType<typeof setInterval> | undefined
  /** When the server was asked last without having answered since, ms. */
  #askedAt: number | null = null

  constructor(
    readonly deck: string,
    readonly document: Y.Doc,
    readonly awareness: Awareness,
    readonly unsent: Unsent,
    readonly host: ConnectionHost,
  ) {}

  begin() {
    this.awareness.on('update', this.#onAwareness)
    addEventListener('beforeunload', this.#onLeave)
    addEventListener('online', this.#onOnline)
    this.#beating = setInterval(() => this.#beat(), beatEvery)
    this.#open()
  }

  stop() {
    this.#ended = true
    clearTimeout(this.#timer)
    clearInterval(this.#beating)
    this.document.off('update', this.#onUpdate)
    this.awareness.off('update', this.#onAwareness)
    removeEventListener('beforeunload', this.#onLeave)
    removeEventListener('online', this.#onOnline)
    removeAwarenessStates(this.awareness, [this.document.clientID], 'leaving')
    this.#socket?.close()
  }

  #publish(fields: Partial<ConnectionStatus>) {
    this.host.changed({ ...Object.assign(this.#status, fields) })
  }

  #send(message: LiveMessage) {
    if (this.#socket?.readyState === WebSocket.OPEN) this.#socket.send(encodeMessage(message) as Uint8Array<ArrayBuffer>)
  }

  #open() {
    const next = new WebSocket(`${location.protocol === 'https:' ? 'wss' : 'ws'}://${location.host}/live/${this.deck}`)
    next.binaryType = 'arraybuffer'
    this.#socket = next
    this.#askedAt = Date.now()
    next.onopen = () => {
      this.#wait = 250
      this.#failures = 0
      this.#send({ kind: 'state', vector: Y.encodeStateVector(this.document) })
      this.#send({ kind: 'awareness', update: encodeAwarenessUpdate(this.awareness, [this.document.clientID]) })
      this.#publish({ online: true, signedOut: false })
    }
    next.onmessage = event => {
      const message = decodeMessage(new Uint8Array(event.data as ArrayBuffer))
      if (message && this.#socket === next) this.#receive(message)
    }
    next.onclose = event => {
      if (!this.#ended && this.#socket === next) void this.#lost(event)
    }
  }

  #receive(message: LiveMessage) {
    this.#askedAt = null
    if (this.#status.silent) this.#publish({ silent: false })
    if (message.kind === 'update') Y.applyUpdate(this.document, message.update, fromServer)
    else if (message.kind === 'whole') this.#arrive(message.update)
    else if (message.kind === 'state') this.#sendLacking(message.vector)
    else if (message.kind === 'kept') {
      this.#kept = Math.max(this.#kept, message.number)
      void this.unsent.drop(this.#kept)
      this.#publish({ kept: this.#kept >= this.#counted, keptAt: new Date() })
    } else if (message.kind === 'awareness') applyAwarenessUpdate(this.awareness, message.update, fromServer)
    else if (message.kind === 'refused') void this.#refuse(message.message)
    else if (message.kind === 'note') this.host.noted(message.message)
    else if (message.kind === 'bounds') this.host.bounded(message.form)
  }

  /** The whole document is here: what this browser kept from before goes on top of it. */
  #arrive(whole: Uint8Array) {
    Y.applyUpdateV2(this.document, whole, fromServer)
    if (this.#status.ready) return
    // Not before: whoever listens makes Yjs encode what it has just read, and nothing can be edited yet.
    this.document.on('update', this.#onUpdate)
    this.#publish({ ready: true })
    void this.#takeUp()
  }

  async #takeUp() {
    const before = await this.unsent.all()
    if (this.#ended || !before.length) return
    Y.applyUpdate(this.document, Y.mergeUpdates(before), fromBefore)
  }

  /** Sends all that the server lacks by what it says it has. */
  #sendLacking(vector: Uint8Array) {
    if (this.#counted > this.#kept)
      this.#send({ kind: 'update', number: ++this.#counted, update: Y.encodeStateAsUpdate(this.document, vector) })
  }

  async #refuse(message: string) {
    this.stop()
    await this.unsent.drop(Infinity)
    this.host.refused(message)
  }

  async #lost(event?: CloseEvent) {
    this.#socket = null
    this.#askedAt = null
    const others = [...this.awareness.getStates().keys()].filter(client => client !== this.document.clientID)
    removeAwarenessStates(this.awareness, others, fromServer)
    this.#publish({ online: false })
    if (event?.code === 1009) return void this.#refuse(event.reason)
    clearTimeout(this.#timer)
    this.#timer = setTimeout(() => this.#open(), this.#wait)
    this.#wait = Math.min(3000, this.#wait * 1.6)
    if (++this.#failures > 2) await this.#askWhy()
  }

  /** A refusal at the door looks like a break; asking tells them apart. */
  async #askWhy() {
    // Unreachable is no answer: then it is a break.
    const answer = await fetch('/api/session').catch(expected('TypeError'))
    if (this.#ended || !answer) return
    if (answer.status === 401) this.#publish({ signedOut: true })
    else if (answer.ok && !this.#status.ready) this.#publish({ closed: true })
  }

  /** Asks whether the server is still there; a line on which it says nothing is given up and made anew. */
  #beat() {
    if (!this.#socket) return
    if (this.#askedAt === null) {
      this.#askedAt = Date.now()
      this.#send({ kind: 'beat' })
    } else if (Date.now() - this.#askedAt > patience) {
      const old = this.#socket
      this.#publish({ silent: true })
      void this.#lost()
      old.close()
    }
  }

  #onUpdate = (update: Uint8Array, origin: unknown) => {
    if (origin === fromServer) return
    const number = ++this.#counted
    this.#publish({ kept: false })
    if (origin !== fromBefore) void this.#put(number, update)
    this.#send({ kind: 'update', number, update })
  }

  /** Keeps a change in this browser; until it is there, it is not said to be. */
  async #put(number: number, update: Uint8Array) {
    this.#putting++
    this.#publish({ local: false })
    const local = await this.unsent.put(number, update)
    if (--this.#putting === 0 && !this.#ended) this.#publish({ local })
  }

  #onAwareness = ({ added, updated, removed }: AwarenessChange, origin: unknown) => {
    if (origin === fromServer) return
    this.#send({ kind: 'awareness', update: encodeAwarenessUpdate(this.awareness, [...added, ...updated, ...removed]) })
  }

  /** What is neither on the server nor in this browser is not left without a question. */
  #onLeave = (event: BeforeUnloadEvent) => {
    if (!this.#status.kept && !this.#status.local) event.preventDefault()
  }

  #onOnline = () => {
    if (this.#socket || this.#ended) return
    clearTimeout(this.#timer)
    this.#open()
  }
}
