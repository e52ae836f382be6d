import { randomUUID } from 'node:crypto'
import { applyAwarenessUpdate, Awareness, encodeAwarenessUpdate, removeAwarenessStates } from 'y-protocols/awareness'
import * as Y from 'yjs'
import { mend, type Change, type Deck } from '../../core/deck'
import { applyToDocument, encodeMessage, readDocument, type LiveMessage } from '../../core/live'
import { appendUpdates, foldUpdates, keepSnapshot, updatesOf } from '../database/decks'

/** One browser on a live document. */
export interface Peer {
  id: string
  person: { id: string, role: 'editor' | 'viewer' }
  send(bytes: Uint8Array): void
  /** The awareness clients that it speaks for. */
  clients: Set<number>
}

/** This process, among those that serve the same database. */
export const nodeName = randomUUID()

/** A deck's live document while someone has it open. */
export interface Room {
  document: Y.Doc
  join(peer: Peer): void
  leave(peer: Peer): void
  receive(peer: Peer, message: LiveMessage): void
  /** Applies what another node has put on disk. */
  catchUp(): Promise<void>
  /** The deck as it stands, mended. */
  deck(): Deck
  /** Puts the snapshot on disk if it is behind. */
  keep(): Promise<void>
  /** Makes an edit of the server's own, as a person: on disk before anyone hears of it. */
  apply(changes: readonly Change[], person: string): Promise<void>
  isEmpty(): boolean
}

const foldAfter = 400
const snapshotDelay = 1000
const retryDelay = 400
const pause = (ms: number) => new Promise(resolve => setTimeout(resolve, ms))

/** Opens a deck's document from its updates on disk, folding them when they are many. */
export async function openRoom(id: string): Promise<Room> {
  const document = new Y.Doc()
  const awareness = new Awareness(document)
  awareness.setLocalState(null)
  const rows = await updatesOf(id)
  for (const row of rows) Y.applyUpdate(document, row.content, 'disk')
  let last = rows.at(-1)?.id ?? 0
  if (rows.length > foldAfter) await foldUpdates(id, rows.map(row => row.id), Y.encodeStateAsUpdate(document))

  const peers = new Set<Peer>()
  const waiting: { peer: Peer, number: number, content: Uint8Array }[] = []
  let writing = false
  let behind = false
  let timer: ReturnType<typeof setTimeout> | undefined

  /** The whole state as a browser that has nothing yet gets it, kept until the next change: encoding a large deck takes longer than sending it. */
  let whole: Uint8Array | null = null
  document.on('update', () => { whole = null })
  const lacking = (vector: Uint8Array) => (vector.length > 1 ? Y.encodeStateAsUpdateV2(document, vector) : (whole ??= Y.encodeStateAsUpdateV2(document)))

  const tell = (message: LiveMessage, except?: Peer) => {
    const bytes = encodeMessage(message)
    for (const peer of peers) if (peer !== except) peer.send(bytes)
  }

  /** Writes what waits, in order, until it is on disk; only then is it acknowledged. While the database is away it waits. */
  async function write() {
    if (writing) return
    writing = true
    while (waiting.length) {
      const batch = waiting.slice(0, 200)
      try {
        last = Math.max(last, await appendUpdates(id, batch.map(({ peer, content }) => ({ content, person: peer.person.id })), nodeName))
        waiting.splice(0, batch.length)
        const kept = new Map(batch.map(({ peer, number }) => [peer, number]))
        for (const [peer, number] of kept) peer.send(encodeMessage({ kind: 'kept', number }))
        behind = true
        timer ??= setTimeout(() => void keep(), snapshotDelay)
      } catch (error) {
        console.error(`deck ${id}: not yet on disk, trying again: ${(error as Error).message}`)
        await pause(retryDelay)
      }
    }
    writing = false
  }

  const deck = () => mend(readDocument(document)).deck

  async function keep() {
    clearTimeout(timer)
    timer = undefined
    if (!behind) return
    behind = false
    try {
      await keepSnapshot(id, deck())
    } catch {
      behind = true
      timer = setTimeout(() => void keep(), snapshotDelay * 3)
    }
  }

  awareness.on('update', ({ added, updated, removed }: Record<'added' | 'updated' | 'removed', number[]>, origin: unknown) => {
    const clients = [...added, ...updated, ...removed]
    const peer = origin as Peer | null
    if (peer?.clients) for (const client of added) peer.clients.add(client)
    tell({ kind: 'awareness', update: encodeAwarenessUpdate(awareness, clients) }, peer ?? undefined)
  })

  return {
    document,
    deck,
    keep,
    isEmpty: () => peers.size === 0,
    join(peer) {
      peers.add(peer)
      peer.send(encodeMessage({ kind: 'state', vector: Y.encodeStateVector(document) }))
      const here = [...awareness.getStates().keys()]
      if (here.length) peer.send(encodeMessage({ kind: 'awareness', update: encodeAwarenessUpdate(awareness, here) }))
    },
    leave(peer) {
      peers.delete(peer)
      removeAwarenessStates(awareness, [...peer.clients], null)
    },
    receive(peer, message) {
      if (message.kind === 'state') {
        peer.send(encodeMessage({ kind: 'whole', update: lacking(message.vector) }))
      } else if (message.kind === 'awareness') {
        applyAwarenessUpdate(awareness, message.update, peer)
      } else if (message.kind === 'update') {
        if (peer.person.role !== 'editor') {
          peer.send(encodeMessage({ kind: 'refused', number: message.number, message: 'Your role is viewer: you can look, but not change. Ask an editor of your team.' }))
          return
        }
        try {
          Y.applyUpdate(document, message.update, peer)
        } catch {
          peer.send(encodeMessage({ kind: 'refused', number: message.number, message: 'The change could not be read and was not kept. Load the page again.' }))
          return
        }
        tell({ kind: 'update', number: 0, update: message.update }, peer)
        waiting.push({ peer, number: message.number, content: message.update })
        void write()
      }
    },
    async apply(changes, person) {
      const before = Y.encodeStateVector(document)
      applyToDocument(document, changes, 'server')
      const update = Y.encodeStateAsUpdate(document, before)
      last = Math.max(last, await appendUpdates(id, [{ content: update, person }], nodeName))
      tell({ kind: 'update', number: 0, update })
      behind = true
      await keep()
    },
    async catchUp() {
      for (const row of await updatesOf(id, last)) {
        last = Math.max(last, row.id)
        Y.applyUpdate(document, row.content, 'disk')
        tell({ kind: 'update', number: 0, update: row.content })
      }
    },
  }
}
