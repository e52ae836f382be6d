import { setTimeout as pause } from 'node:timers/promises'
import { decodeMessage, liveLimits } from '../../../core/live'
import { deckExists } from '../../database/decks'
import type { Peer, Room } from '../../live/room'
import { closeLater, roomOf } from '../../live/rooms'
import { bucketsBy } from '../../live/tempo'
import { logError } from '../../log'
import { isOwnOrigin } from '../../origin'
import { bearerByHeader } from '../../session'

const deckOf = (url: string) => new URL(url, 'http://localhost').pathname.split('/').at(-1) ?? ''

interface Joined {
  peer: Peer
  room: Promise<Room>
  deck: string
  /** Messages are taken one after the other, in their order. */
  turn: Promise<void>
  /** Bytes that wait for their turn. */
  queued: number
}
const joined = new Map<string, Joined>()

/** Sockets that one person may have open at once, over all decks. */
const mostSockets = 60
/** Bytes that a person may send over all sockets: enough for a large paste at once, and for any hand after it. */
const bytesOf = bucketsBy({ burst: 24 * 1024 * 1024, perSecond: 512 * 1024 })
/** Messages likewise. */
const messagesOf = bucketsBy({ burst: 600, perSecond: 80 })
/** What has to be refused costs its sender this long, ms, and twice as long each further time for a while. */
const refusalsOf = bucketsBy({ burst: 3, perSecond: 0.2 })
const mostQueued = 4 * liveLimits.update

async function take(entry: Joined, bytes: Uint8Array) {
  const { peer } = entry
  const wait = Math.max(bytesOf(peer.person.id, bytes.length, Date.now()), messagesOf(peer.person.id, 1, Date.now()))
  if (wait > 0) await pause(wait)
  const message = decodeMessage(bytes)
  const room = message && (await entry.room.catch((_error: unknown) => null))
  if (!room) return
  const was = peer.refused
  await room.receive(peer, message)
  if (peer.refused && !was) await pause(refusalsOf(peer.person.id, 1, Date.now()))
}

/** The socket of a live document. Who is not signed in, or asks for a deck that is not there, is refused at the door. */
export default defineWebSocketHandler({
  async upgrade(request) {
    const person = await bearerByHeader(request.headers.get('cookie'))
    if (!person) throw new Response('Sign in first.', { status: 401 })
    // Pages of other origins may not open sockets with this person's cookie.
    const origin = request.headers.get('origin')
    if (origin && !isOwnOrigin(origin, request.headers.get('host'))) throw new Response('Another origin.', { status: 403 })
    if ([...joined.values()].filter(entry => entry.peer.person.id === person.id).length >= mostSockets)
      throw new Response('Too many decks are open at once. Close some of their pages.', { status: 429 })
    if (!(await deckExists(deckOf(request.url)))) throw new Response('There is no such deck.', { status: 404 })
    request.context.person = { id: person.id, name: person.name, role: person.role, session: person.session }
  },
  open(socket) {
    const deck = deckOf(socket.request.url)
    const person = socket.context.person as Peer['person'] | undefined
    if (!person) {
      socket.close(4401, 'Sign in first.')
      return
    }
    const peer: Peer = {
      id: socket.id,
      person,
      clients: new Set(),
      refused: false,
      send: bytes => socket.send(bytes),
      close: (code, reason) => socket.close(code, reason),
    }
    const room = roomOf(deck)
    joined.set(socket.id, { peer, room, deck, turn: Promise.resolve(), queued: 0 })
    room.then(
      opened => {
        if (joined.has(socket.id)) opened.join(peer)
      },
      error => {
        logError(error, 'a deck could not be opened', { deck })
        socket.close(1013, 'The database is away. Try again.')
      },
    )
  },
  message(socket, message) {
    const entry = joined.get(socket.id)
    if (!entry) return
    const bytes = message.uint8Array()
    entry.queued += bytes.length
    if (bytes.length > liveLimits.update + 64 || entry.queued > mostQueued) {
      socket.close(1009, 'That is more than can be taken at once.')
      return
    }
    entry.turn = entry.turn
      .then(() => take(entry, bytes))
      .catch(error => void logError(error, 'a message was not taken', { deck: entry.deck }))
      .finally(() => {
        entry.queued -= bytes.length
      })
  },
  async close(socket) {
    const entry = joined.get(socket.id)
    joined.delete(socket.id)
    const room = await entry?.room.catch((_error: unknown) => null)
    if (!entry || !room) return
    room.leave(entry.peer)
    if (room.isEmpty()) closeLater(entry.deck, room)
  },
})
