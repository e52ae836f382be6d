import { randomUUID } from 'node:crypto'
import { applyAwarenessUpdate, Awareness, encodeAwarenessUpdate, removeAwarenessStates } from 'y-protocols/awareness'
import * as Y from 'yjs'
import type { Change, Deck } from '../../core/model'
import { changesOnForm } from '../../core/resolved'
import {
  applyToDocument,
  encodeMessage,
  faultOfUpdate,
  liveLimits,
  mirrorOf,
  readInSteps,
  tryUpdate,
  type LiveMessage,
} from '../../core/live'
import { isPassing } from '../database/connection'
import { appendUpdates, foldUpdates, keepSnapshot, makerOf, updatesOf } from '../database/decks'
import { mayEdit, type PersonRole } from '../database/people'
import { log, logError } from '../log'
import { Refusal } from '../refusal'
import { clientsIn } from './awareness'
import { breath, inSteps } from './in-steps'
import { emptyDocument, mendDocument } from './mending'

/** One browser on a live document. */
export interface Peer {
  id: string
  person: { id: string; name: string; role: PersonRole; session: string }
  send(bytes: Uint8Array): void
  close(code: number, reason: string): void
  /** The awareness clients that it speaks for. */
  clients: Set<number>
  /** Something of it was refused: what builds on that is of no use until it has begun anew. */
  refused: boolean
}

/** This process, among those that serve the same database. */
export const nodeName = randomUUID()

/** A deck's live document while someone has it open. It holds what is on disk, and nothing else. */
export interface Room {
  document: Y.Doc
  join(peer: Peer): void
  leave(peer: Peer): void
  receive(peer: Peer, message: LiveMessage): Promise<void>
  /** Applies what other nodes have put on disk. */
  catchUp(): Promise<void>
  /** The id of the last update read from disk in its order. */
  cursor(): number
  /** The deck as it stands on disk, mended. */
  deck(): Deck
  /** Resolves once nothing waits to be written any more, or after so many ms. */
  settled(patience: number): Promise<void>
  /** Puts the snapshot on disk if it is behind. */
  keep(): Promise<void>
  /** Makes an edit of the server's own, as a person: on disk before anyone hears of it. Throws a `Refusal` where it may or can not be. */
  apply(changes: readonly Change[], person: { id: string; role: PersonRole }): Promise<void>
  peers(): Iterable<Peer>
  isEmpty(): boolean
  close(): void
}

/** An update that is on its way to the disk. */
interface Waiting {
  content: Uint8Array
  person: string | null
  /** The browser that it came from; null where the server made it. */
  peer: Peer | null
  written(): void
  refuse(message: string): void
}

const foldAfter = 400
const foldAfterBytes = 16 * 1024 * 1024
const snapshotDelay = 1000
const retryDelay = 400
const pause = (ms: number) => new Promise(resolve => setTimeout(resolve, ms))
/** Opens a deck's document from its updates on disk: mended where an older program left something broken, folded where they are many. */
export async function openRoom(id: string): Promise<Room> {
  const document = emptyDocument()
  const awareness = new Awareness(document)
  awareness.setLocalState(null)

  /**
   * Rows are applied in the order of their ids, and the cursor moves with them alone: one's own are remembered until it has passed them.
   */
  let cursor = 0
  const own = new Set<number>()
  let sinceFold: number[] = []
  let sinceFoldBytes = 0
  /** `opening`: nobody else reads yet, so others may go first between two rows. */
  const read = async (told: (content: Uint8Array) => void, opening = false) => {
    for (const row of await updatesOf(id, cursor, [...own])) {
      cursor = Math.max(cursor, row.id)
      sinceFold.push(row.id)
      sinceFoldBytes += row.bytes
      if (!own.delete(row.id) && row.content) told(row.content)
      if (opening && row.bytes > 100_000) await breath()
    }
  }
  let bytes = 0
  await read(content => {
    bytes += content.length
    Y.applyUpdate(document, content, 'disk')
  }, true)

  const peers = new Set<Peer>()
  const waiting: Waiting[] = []
  let writing: Promise<void> | null = null
  let behind = false
  let timer: ReturnType<typeof setTimeout> | undefined

  const words = await mendDocument(id, document, async update => {
    const [row] = await appendUpdates(id, [{ content: update, person: null }], nodeName)
    own.add(row!)
    behind = true
  })
  const mirror = mirrorOf(document, await inSteps(readInSteps(document)))
  const maker = await makerOf(id)
  /** Whether somebody would be held to the places of this deck, if it is a form: everybody but who made it, and admins. */
  const heldToPlaces = (person: { id: string; role: PersonRole }) => person.role !== 'admin' && person.id !== maker
  /** The deck that somebody's change is measured by; null where nothing but its limits bind them. */
  const formFor = (person: { id: string; role: PersonRole }) =>
    mirror.deck().info.info?.form && heldToPlaces(person) ? mirror.deck() : null

  /** What is on disk and what waits to be: every update is tried here before it goes any further. */
  let trial: Y.Doc | null = null
  /** Made when something is first tried: who only looks does without. */
  const trialNow = () => {
    if (!trial) {
      trial = emptyDocument()
      Y.applyUpdate(trial, Y.encodeStateAsUpdate(document))
      for (const entry of waiting) Y.applyUpdate(trial, entry.content)
    }
    return trial
  }
  const spoilTrial = () => {
    trial?.destroy()
    trial = null
  }

  /**
   * The whole state as a browser that has nothing yet gets it, kept until the next change: encoding a large deck takes longer than sending
   * it.
   */
  let whole: Uint8Array | null = null
  document.on('update', (update: Uint8Array) => {
    whole = null
    bytes += update.length
  })
  const lacking = (vector: Uint8Array) =>
    vector.length > 1 ? Y.encodeStateAsUpdateV2(document, vector) : (whole ??= Y.encodeStateAsUpdateV2(document))

  const tell = (message: LiveMessage, except?: Peer) => {
    const encoded = encodeMessage(message)
    for (const peer of peers) if (peer !== except) peer.send(encoded)
  }

  /**
   * Whether the document would hold more than it may; reckoned anew before that is said, since what was replaced weighs nothing any more.
   */
  function isFull(more: number): boolean {
    if (bytes + more <= liveLimits.document) return false
    bytes = Y.encodeStateAsUpdate(document).length
    return bytes + more > liveLimits.document
  }

  /**
   * Writes what waits, in order, until it is on disk; only then does it count. While the database is away it waits; what cannot be written
   * is refused to its sender alone.
   */
  async function write() {
    let most = 200
    while (waiting.length) {
      const batch = waiting.slice(0, most)
      try {
        for (const row of await appendUpdates(id, batch, nodeName)) {
          own.add(row)
          if (row <= cursor) own.delete(row)
        }
        waiting.splice(0, batch.length)
        for (const entry of batch) {
          Y.applyUpdate(document, entry.content, 'written')
          entry.written()
        }
        behind = true
        timer ??= setTimeout(() => void keepLater(), snapshotDelay)
        most = 200
      } catch (error) {
        if (isPassing(error)) {
          log.warn({ deck: id, err: error }, 'not yet on disk, trying again')
          await pause(retryDelay)
        } else if (batch.length > 1) most = 1
        else {
          const [failed] = batch
          const code = logError(error, 'an update cannot be written', { deck: id, person: failed!.person })
          const words = `This could not be saved on the server, and trying again would not help (error ${code}). Load the page again.`
          waiting.shift()
          failed!.refuse(words)
          // What the same browser sent after it builds on it.
          for (const entry of waiting.filter(one => one.peer !== null && one.peer === failed!.peer)) {
            waiting.splice(waiting.indexOf(entry), 1)
            entry.refuse(words)
          }
          spoilTrial()
        }
      }
    }
  }
  const startWriting = () => {
    writing ??= write().finally(() => {
      writing = null
      void fold()
    })
  }

  /** Puts what was written since into one update, where that is much. */
  async function fold() {
    if (sinceFold.length <= foldAfter && sinceFoldBytes <= foldAfterBytes) return
    const [ids, sum] = [sinceFold, Y.encodeStateAsUpdate(document)]
    // The document may hold rows that the cursor has not come to yet; their sum holds them too, and reading them again changes nothing.
    sinceFold = [ids.at(-1)!]
    sinceFoldBytes = 0
    await foldUpdates(id, ids, sum).catch(error => void logError(error, 'updates were not folded', { deck: id }))
  }
  void fold()

  async function keep() {
    clearTimeout(timer)
    timer = undefined
    if (!behind) return
    behind = false
    try {
      await keepSnapshot(id, mirror.deck())
    } catch (error) {
      behind = true
      if (!isPassing(error)) logError(error, 'the snapshot was not kept', { deck: id })
      timer = setTimeout(() => void keepLater(), snapshotDelay * 3)
      throw error
    }
  }
  /** The same, for those who do not wait for it: what went wrong is logged, and it is tried again by itself. */
  const keepLater = () =>
    keep().then(
      () => true,
      () => false,
    )

  awareness.on('update', ({ added, updated, removed }: Record<'added' | 'updated' | 'removed', number[]>, origin: unknown) => {
    const clients = [...added, ...updated, ...removed]
    const peer = origin as Peer | null
    if (peer?.clients) for (const client of added) peer.clients.add(client)
    tell({ kind: 'awareness', update: encodeAwarenessUpdate(awareness, clients) }, peer ?? undefined)
  })

  /** A sentence on why an update cannot be taken, null where it can be. What it builds on may be on disk, put there by another node. */
  async function faultOf(peer: Peer, content: Uint8Array): Promise<string | null> {
    const form = faultOfUpdate(content)
    if (form) return form
    let fault = tryUpdate(trialNow(), content, peer, formFor(peer.person))
    if (fault) spoilTrial()
    if (fault?.lacking) {
      await catchUp()
      fault = tryUpdate(trialNow(), content, peer, formFor(peer.person))
      if (fault) spoilTrial()
    }
    return fault?.message ?? null
  }

  const catchUp = () =>
    read(content => {
      Y.applyUpdate(document, content, 'disk')
      if (trial) Y.applyUpdate(trial, content, 'disk')
      tell({ kind: 'update', number: 0, update: content })
    })

  async function takeUpdate(peer: Peer, number: number, content: Uint8Array) {
    const refuse = (message: string) => {
      peer.refused = true
      peer.send(encodeMessage({ kind: 'refused', number, message }))
    }
    if (peer.refused) return
    if (!mayEdit(peer.person.role)) return refuse('Your role is viewer: you can look, but not change. Ask an editor of your team.')
    if (isFull(content.length))
      return refuse(
        `A deck holds ${liveLimits.document / 1048576} MB of words and shapes at most, and this one is full. Take some of its ` +
          'slides into another deck.',
      )
    const fault = await faultOf(peer, content)
    if (fault) return refuse(fault)
    waiting.push({
      content,
      peer,
      person: peer.person.id,
      refuse,
      written() {
        tell({ kind: 'update', number: 0, update: content }, peer)
        peer.send(encodeMessage({ kind: 'kept', number }))
      },
    })
    startWriting()
  }

  return {
    document,
    keep,
    cursor: () => cursor,
    deck: () => mirror.deck(),
    peers: () => peers,
    isEmpty: () => peers.size === 0,
    async settled(patience) {
      if (writing) await Promise.race([writing, pause(patience)])
    },
    join(peer) {
      peers.add(peer)
      peer.send(encodeMessage({ kind: 'bounds', form: heldToPlaces(peer.person) }))
      peer.send(encodeMessage({ kind: 'state', vector: Y.encodeStateVector(document) }))
      if (words) peer.send(encodeMessage({ kind: 'note', message: words }))
      const here = [...awareness.getStates().keys()]
      if (here.length) peer.send(encodeMessage({ kind: 'awareness', update: encodeAwarenessUpdate(awareness, here) }))
    },
    leave(peer) {
      peers.delete(peer)
      removeAwarenessStates(awareness, [...peer.clients], null)
    },
    async receive(peer, message) {
      if (message.kind === 'state') {
        peer.send(encodeMessage({ kind: 'whole', update: lacking(message.vector) }))
      } else if (message.kind === 'awareness') {
        const clients = clientsIn(message.update, peer.person.name)
        const fresh = clients?.filter(client => !peer.clients.has(client)) ?? []
        if (!clients || peer.clients.size + fresh.length > liveLimits.clients) return
        applyAwarenessUpdate(awareness, message.update, peer)
      } else if (message.kind === 'update') await takeUpdate(peer, message.number, message.update)
      else if (message.kind === 'beat') peer.send(encodeMessage(message))
    },
    apply(changes, person) {
      const form = formFor(person)
      const fault = form && changesOnForm(form, changes)
      if (fault) return Promise.reject(new Refusal(403, fault))
      return new Promise((resolve, reject) => {
        let content: Uint8Array | null = null
        const note = (update: Uint8Array) => {
          content = update
        }
        const tried = trialNow()
        tried.once('update', note)
        applyToDocument(tried, changes, 'server')
        tried.off('update', note)
        if (!content) return resolve()
        waiting.push({
          content,
          person: person.id,
          peer: null,
          written: () => {
            tell({ kind: 'update', number: 0, update: content! })
            behind = true
            void keepLater().then(() => resolve())
          },
          refuse: message => reject(new Refusal(503, message)),
        })
        startWriting()
      })
    },
    catchUp,
    close() {
      clearTimeout(timer)
      mirror.stop()
      awareness.destroy()
      spoilTrial()
      document.destroy()
    },
  }
}
