import { applyAwarenessUpdate, encodeAwarenessUpdate, removeAwarenessStates, type Awareness } from 'y-protocols/awareness'
import * as Y from 'yjs'
import { decodeMessage, encodeMessage, type LiveMessage } from '#core/live'

export interface ConnectionStatus {
  /** Whether the document has arrived. */
  ready: boolean
  online: boolean
  /** Whether everything typed here is on disk at the server. */
  kept: boolean
  keptAt: Date | null
  /** Why a change was not taken. */
  refused: string | null
  /** The deck is not there, or this person may not see it. */
  closed: boolean
}

const fromServer = 'server'

/**
 * Keeps a document in step with the server's. Every local change is numbered and counts as kept once the server has
 * acknowledged its number; after a break everything that the server lacks is sent again.
 */
export function connectDocument(deck: string, document: Y.Doc, awareness: Awareness, changed: (status: ConnectionStatus) => void) {
  const status: ConnectionStatus = { ready: false, online: false, kept: true, keptAt: null, refused: null, closed: false }
  let socket: WebSocket | null = null
  let counted = 0
  let kept = 0
  let wait = 250
  let failures = 0
  let ended = false
  let timer: ReturnType<typeof setTimeout>

  const publish = (fields: Partial<ConnectionStatus>) => changed({ ...Object.assign(status, fields) })
  const isOpen = () => socket?.readyState === WebSocket.OPEN
  const send = (message: LiveMessage) => {
    if (isOpen()) socket!.send(encodeMessage(message) as Uint8Array<ArrayBuffer>)
  }

  function receive(message: LiveMessage) {
    if (message.kind === 'update') {
      Y.applyUpdate(document, message.update, fromServer)
    } else if (message.kind === 'whole') {
      Y.applyUpdateV2(document, message.update, fromServer)
      // Not before: whoever listens makes Yjs encode what it has just read, and nothing can be edited yet.
      if (!status.ready) document.on('update', onUpdate)
      if (!status.ready) publish({ ready: true })
    } else if (message.kind === 'state') {
      if (counted > kept) send({ kind: 'update', number: ++counted, update: Y.encodeStateAsUpdate(document, message.vector) })
    } else if (message.kind === 'kept') {
      kept = Math.max(kept, message.number)
      publish({ kept: kept >= counted, keptAt: new Date() })
    } else if (message.kind === 'awareness') {
      applyAwarenessUpdate(awareness, message.update, fromServer)
    } else publish({ refused: message.message })
  }

  function open() {
    const next = new WebSocket(`${location.protocol === 'https:' ? 'wss' : 'ws'}://${location.host}/live/${deck}`)
    next.binaryType = 'arraybuffer'
    socket = next
    next.onopen = () => {
      wait = 250
      failures = 0
      send({ kind: 'state', vector: Y.encodeStateVector(document) })
      send({ kind: 'awareness', update: encodeAwarenessUpdate(awareness, [document.clientID]) })
      publish({ online: true })
    }
    next.onmessage = event => {
      const message = decodeMessage(new Uint8Array(event.data as ArrayBuffer))
      if (message) receive(message)
    }
    next.onclose = async () => {
      if (ended || socket !== next) return
      const others = [...awareness.getStates().keys()].filter(client => client !== document.clientID)
      removeAwarenessStates(awareness, others, fromServer)
      publish({ online: false })
      // A refusal at the door looks like a break; asking tells them apart.
      if (!status.ready && ++failures > 2 && (await fetch('/api/health').catch(() => null))?.ok) publish({ closed: true })
      timer = setTimeout(open, wait)
      wait = Math.min(3000, wait * 1.6)
    }
  }

  const onUpdate = (update: Uint8Array, origin: unknown) => {
    if (origin === fromServer) return
    counted++
    publish({ kept: false })
    send({ kind: 'update', number: counted, update })
  }
  const onAwareness = ({ added, updated, removed }: Record<'added' | 'updated' | 'removed', number[]>, origin: unknown) => {
    if (origin !== fromServer) send({ kind: 'awareness', update: encodeAwarenessUpdate(awareness, [...added, ...updated, ...removed]) })
  }
  awareness.on('update', onAwareness)
  open()
  return {
    stop() {
      ended = true
      clearTimeout(timer)
      document.off('update', onUpdate)
      awareness.off('update', onAwareness)
      removeAwarenessStates(awareness, [document.clientID], 'leaving')
      socket?.close()
    },
  }
}
