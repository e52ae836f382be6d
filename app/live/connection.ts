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
  const status: ConnectionStatus = { ...noStatus }
  let socket: WebSocket | null = null
  let counted = 0
  let kept = 0
  let wait = 250
  let failures = 0
  let ended = false
  let timer: ReturnType<typeof setTimeout>
  /** When the server was asked last without having answered since, ms. */
  let askedAt: number | null = null

  const publish = (fields: Partial<ConnectionStatus>) => host.changed({ ...Object.assign(status, fields) })
  const isOpen = () => socket?.readyState === WebSocket.OPEN
  const send = (message: LiveMessage) => {
    if (isOpen()) socket!.send(encodeMessage(message) as Uint8Array<ArrayBuffer>)
  }

  async function takeUp() {
    const before = await unsent.all()
    if (ended || !before.length) return
    Y.applyUpdate(document, Y.mergeUpdates(before), fromBefore)
  }

  function receive(message: LiveMessage) {
    askedAt = null
    if (status.silent) publish({ silent: false })
    if (message.kind === 'update') {
      Y.applyUpdate(document, message.update, fromServer)
    } else if (message.kind === 'whole') {
      Y.applyUpdateV2(document, message.update, fromServer)
      if (status.ready) return
      // Not before: whoever listens makes Yjs encode what it has just read, and nothing can be edited yet.
      document.on('update', onUpdate)
      publish({ ready: true })
      void takeUp()
    } else if (message.kind === 'state') {
      if (counted > kept) send({ kind: 'update', number: ++counted, update: Y.encodeStateAsUpdate(document, message.vector) })
    } else if (message.kind === 'kept') {
      kept = Math.max(kept, message.number)
      void unsent.drop(kept)
      publish({ kept: kept >= counted, keptAt: new Date() })
    } else if (message.kind === 'awareness') {
      applyAwarenessUpdate(awareness, message.update, fromServer)
    } else if (message.kind === 'refused') void refuse(message.message)
    else if (message.kind === 'note') host.noted(message.message)
    else if (message.kind === 'bounds') host.bounded(message.form)
  }

  async function refuse(message: string) {
    stop()
    await unsent.drop(Infinity)
    host.refused(message)
  }

  function open() {
    const next = new WebSocket(`${location.protocol === 'https:' ? 'wss' : 'ws'}://${location.host}/live/${deck}`)
    next.binaryType = 'arraybuffer'
    socket = next
    askedAt = Date.now()
    next.onopen = () => {
      wait = 250
      failures = 0
      send({ kind: 'state', vector: Y.encodeStateVector(document) })
      send({ kind: 'awareness', update: encodeAwarenessUpdate(awareness, [document.clientID]) })
      publish({ online: true, signedOut: false })
    }
    next.onmessage = event => {
      const message = decodeMessage(new Uint8Array(event.data as ArrayBuffer))
      if (message && socket === next) receive(message)
    }
    next.onclose = event => {
      if (!ended && socket === next) void lost(event)
    }
  }

  async function lost(event?: CloseEvent) {
    socket = null
    askedAt = null
    const others = [...awareness.getStates().keys()].filter(client => client !== document.clientID)
    removeAwarenessStates(awareness, others, fromServer)
    publish({ online: false })
    if (event?.code === 1009) return void refuse(event.reason)
    clearTimeout(timer)
    timer = setTimeout(open, wait)
    wait = Math.min(3000, wait * 1.6)
    if (++failures > 2) await askWhy()
  }

  /** A refusal at the door looks like a break; asking tells them apart. */
  async function askWhy() {
    // Unreachable is no answer: then it is a break.
    const answer = await fetch('/api/session').catch(expected('TypeError'))
    if (ended || !answer) return
    if (answer.status === 401) publish({ signedOut: true })
    else if (answer.ok && !status.ready) publish({ closed: true })
  }

  /** Asks whether the server is still there; a line on which it says nothing is given up and made anew. */
  function beat() {
    if (!socket) return
    if (askedAt === null) {
      askedAt = Date.now()
      send({ kind: 'beat' })
    } else if (Date.now() - askedAt > patience) {
      const old = socket
      publish({ silent: true })
      void lost()
      old.close()
    }
  }
  const beating = setInterval(beat, beatEvery)

  const onUpdate = (update: Uint8Array, origin: unknown) => {
    if (origin === fromServer) return
    const number = ++counted
    publish({ kept: false })
    if (origin !== fromBefore) void unsent.put(number, update).then(local => local === status.local || publish({ local }))
    send({ kind: 'update', number, update })
  }
  const onAwareness = ({ added, updated, removed }: Record<'added' | 'updated' | 'removed', number[]>, origin: unknown) => {
    if (origin !== fromServer) send({ kind: 'awareness', update: encodeAwarenessUpdate(awareness, [...added, ...updated, ...removed]) })
  }
  /** What is neither on the server nor in this browser is not left without a question. */
  const onLeave = (event: BeforeUnloadEvent) => {
    if (!status.kept && !status.local) event.preventDefault()
  }

  function stop() {
    ended = true
    clearTimeout(timer)
    clearInterval(beating)
    document.off('update', onUpdate)
    awareness.off('update', onAwareness)
    removeEventListener('beforeunload', onLeave)
    removeEventListener('online', onOnline)
    removeAwarenessStates(awareness, [document.clientID], 'leaving')
    socket?.close()
  }
  const onOnline = () => {
    if (socket || ended) return
    clearTimeout(timer)
    open()
  }

  awareness.on('update', onAwareness)
  addEventListener('beforeunload', onLeave)
  addEventListener('online', onOnline)
  open()
  return { stop }
}
