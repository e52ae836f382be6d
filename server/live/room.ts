import { applyAwarenessUpdate, Awareness, encodeAwarenessUpdate, removeAwarenessStates } from 'y-protocols/awareness'
import * as Y from 'yjs'
import { encodeMessage, liveLimits, mirrorOf, readInSteps, type LiveMessage } from '../../core/live'
import type { Change, Deck } from '../../core/model'
import { changesOnForm } from '../../core/resolved'
import { makerOf } from '../database/decks'
import { mayEdit, type PersonRole } from '../database/people'
import { nodeName } from '../node-name'
import { UserError } from '../user-error'
import { clientsIn } from './awareness'
import { inSteps } from './in-steps'
import { Journal } from './journal'
import { emptyDocument, mendDocument } from './mending'
import { Snapshot } from './snapshot'
import { Trial } from './trial'
import { Writer } from './writer'

/** Who does something in a room. */
interface Actor {
  id: string
  role: PersonRole
}

/** One browser on a live document. */
export interface Peer {
  id: string
  person: Actor & { name: string; session: string }
  send(bytes: Uint8Array): void
  close(code: number, reason: string): void
  /** The awareness clients that it speaks for. */
  clients: Set<number>
  /** Something of it was refused: what builds on that is of no use until it has begun anew. */
  refused: boolean
}

/** What a room is opened with. */
interface Opened {
  id: string
  document: Y.Doc
  /** What was read of it, bytes. */
  bytes: number
  journal: Journal
  mirror: ReturnType<typeof mirrorOf>
  /** Who made the deck; null where they are gone. */
  maker: string | null
  /** What was mended, as a sentence. */
  mended: string | null
}

/** Opens a deck's document from its updates on disk: mended where an older program left something broken, folded where they are many. */
export async function openRoom(id: string): Promise<Room> {
  const document = emptyDocument()
  const journal = new Journal(id, nodeName)
  let bytes = 0
  const apply = (content: Uint8Array) => {
    bytes += content.length
    Y.applyUpdate(document, content, 'disk')
  }
  await journal.read(apply, { opening: true })
  let behind = false
  const mended = await mendDocument(id, document, async content => {
    await journal.append([{ content, person: null }])
    behind = true
  })
  const mirror = mirrorOf(document, await inSteps(readInSteps(document)))
  const room = new Room({ id, document, bytes, journal, mirror, maker: await makerOf(id), mended })
  if (behind) room.snapshot.changed()
  void journal.fold(document)
  return room
}

/** A deck's live document while someone has it open. It holds what is on disk, and nothing else. */
export class Room {
  readonly document: Y.Doc
  readonly snapshot: Snapshot
  readonly #opened: Opened
  readonly #awareness: Awareness
  readonly #peers = new Set<Peer>()
  readonly #writer: Writer
  readonly #trial: Trial
  /** The document's weight at most, bytes: what was written, replaced words too. */
  #bytes: number
  /**
   * The whole state as a browser that has nothing yet gets it, kept until the next change: encoding a large deck takes longer than sending
   * it.
   */
  #whole: Uint8Array | null = null

  constructor(opened: Opened) {
    const { document, journal, mirror } = opened
    this.#opened = opened
    this.document = document
    this.#bytes = opened.bytes
    this.snapshot = new Snapshot(opened.id, () => mirror.deck())
    this.#trial = new Trial(empty => {
      Y.applyUpdate(empty, Y.encodeStateAsUpdate(document))
      for (const entry of this.#writer.waiting) Y.applyUpdate(empty, entry.content)
    })
    this.#writer = new Writer(journal, {
      written: content => {
        Y.applyUpdate(document, content, 'written')
        this.snapshot.changed()
      },
      refused: () => this.#trial.spoil(),
      idle: () => void journal.fold(document),
    })
    document.on('update', (update: Uint8Array) => {
      this.#whole = null
      this.#bytes += update.length
    })
    this.#awareness = new Awareness(document)
    this.#awareness.setLocalState(null)
    this.#awareness.on('update', this.#passOn)
  }

  /** The id of the last update read from disk in its order. */
  cursor = () => this.#opened.journal.cursor
  /** The deck as it stands on disk, mended. */
  deck = (): Deck => this.#opened.mirror.deck()
  peers = (): Iterable<Peer> => this.#peers
  isEmpty = () => this.#peers.size === 0
  /** Resolves once nothing waits to be written any more, or after so many ms. */
  settled = (patience: number) => this.#writer.settled(patience)
  /** Puts the snapshot on disk if it is behind. */
  keep = () => this.snapshot.keep()

  join(peer: Peer) {
    this.#peers.add(peer)
    peer.send(encodeMessage({ kind: 'bounds', form: this.#heldToPlaces(peer.person) }))
    peer.send(encodeMessage({ kind: 'state', vector: Y.encodeStateVector(this.document) }))
    if (this.#opened.mended) peer.send(encodeMessage({ kind: 'note', message: this.#opened.mended }))
    const here = [...this.#awareness.getStates().keys()]
    if (here.length) peer.send(encodeMessage({ kind: 'awareness', update: encodeAwarenessUpdate(this.#awareness, here) }))
  }

  leave(peer: Peer) {
    this.#peers.delete(peer)
    removeAwarenessStates(this.#awareness, [...peer.clients], null)
  }

  async receive(peer: Peer, message: LiveMessage) {
    if (message.kind === 'state') peer.send(encodeMessage({ kind: 'whole', update: this.#lacking(message.vector) }))
    else if (message.kind === 'awareness') this.#takeAwareness(peer, message.update)
    else if (message.kind === 'update') await this.#takeUpdate(peer, message.number, message.update)
    else if (message.kind === 'beat') peer.send(encodeMessage(message))
  }

  /** Applies what other nodes have put on disk. */
  catchUp = () =>
    this.#opened.journal.read(content => {
      Y.applyUpdate(this.document, content, 'disk')
      this.#trial.follow(content)
      this.#tell({ kind: 'update', number: 0, update: content })
    })

  /** Makes an edit of the server's own, as a person: on disk before anyone hears of it. Throws a `UserError` where it may or can not be. */
  async apply(changes: readonly Change[], person: Actor): Promise<void> {
    const form = this.#formFor(person)
    const fault = form && changesOnForm(form, changes)
    if (fault) throw new UserError(403, fault)
    const content = this.#trial.make(changes)
    if (!content) return
    await new Promise<void>((resolve, reject) =>
      this.#writer.add({
        content,
        person: person.id,
        peer: null,
        written: () => {
          this.#tell({ kind: 'update', number: 0, update: content })
          void this.snapshot.keepLater().then(() => resolve())
        },
        refuse: message => reject(new UserError(503, message)),
      }),
    )
  }

  close() {
    this.snapshot.stop()
    this.#opened.mirror.stop()
    this.#awareness.destroy()
    this.#trial.spoil()
    this.document.destroy()
  }

  /** Whether somebody would be held to the places of this deck, if it is a form: everybody but who made it, and admins. */
  #heldToPlaces = (person: Actor) => person.role !== 'admin' && person.id !== this.#opened.maker
  /** The deck that somebody's change is measured by; null where nothing but its limits bind them. */
  #formFor = (person: Actor) => (this.deck().info.info?.form && this.#heldToPlaces(person) ? this.deck() : null)

  #lacking(vector: Uint8Array): Uint8Array {
    return vector.length > 1 ? Y.encodeStateAsUpdateV2(this.document, vector) : (this.#whole ??= Y.encodeStateAsUpdateV2(this.document))
  }

  #tell(message: LiveMessage, except?: Peer) {
    const encoded = encodeMessage(message)
    for (const peer of this.#peers) if (peer !== except) peer.send(encoded)
  }

  #passOn = ({ added, updated, removed }: Record<'added' | 'updated' | 'removed', number[]>, origin: unknown) => {
    const peer = origin as Peer | null
    if (peer?.clients) for (const client of added) peer.clients.add(client)
    const update = encodeAwarenessUpdate(this.#awareness, [...added, ...updated, ...removed])
    this.#tell({ kind: 'awareness', update }, peer ?? undefined)
  }

  #takeAwareness(peer: Peer, update: Uint8Array) {
    const clients = clientsIn(update, peer.person.name)
    const fresh = clients?.filter(client => !peer.clients.has(client)) ?? []
    if (!clients || peer.clients.size + fresh.length > liveLimits.clients) return
    applyAwarenessUpdate(this.#awareness, update, peer)
  }

  /** Whether the document would hold more than it may; reckoned anew before that is said: what was replaced weighs nothing any more. */
  #isFull(more: number): boolean {
    if (this.#bytes + more <= liveLimits.document) return false
    this.#bytes = Y.encodeStateAsUpdate(this.document).length
    return this.#bytes + more > liveLimits.document
  }

  /** A sentence on why an update of a browser cannot be taken, null where it can be. */
  async #faultOf(peer: Peer, content: Uint8Array): Promise<string | null> {
    if (!mayEdit(peer.person.role)) return 'Your role is viewer: you can look, but not change. Ask an editor of your team.'
    if (this.#isFull(content.length))
      return (
        `A deck holds ${liveLimits.document / 1048576} MB of words and shapes at most, and this one is full. Take some of its ` +
        'slides into another deck.'
      )
    return await this.#trial.faultOf(content, peer, () => this.#formFor(peer.person), this.catchUp)
  }

  async #takeUpdate(peer: Peer, number: number, content: Uint8Array) {
    const refuse = (message: string) => {
      peer.refused = true
      peer.send(encodeMessage({ kind: 'refused', number, message }))
    }
    if (peer.refused) return
    const fault = await this.#faultOf(peer, content)
    if (fault) return refuse(fault)
    this.#writer.add({
      content,
      peer,
      person: peer.person.id,
      refuse,
      written: () => {
        this.#tell({ kind: 'update', number: 0, update: content }, peer)
        peer.send(encodeMessage({ kind: 'kept', number }))
      },
    })
  }
}
