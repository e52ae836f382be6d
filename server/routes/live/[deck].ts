import { decodeMessage } from '../../../core/live'
import { deckExists } from '../../database/decks'
import { personById } from '../../database/people'
import type { Peer, Room } from '../../live/room'
import { closeLater, roomOf } from '../../live/rooms'

const deckOf = (url: string) => new URL(url, 'http://localhost').pathname.split('/').at(-1) ?? ''
const joined = new Map<string, { peer: Peer, room: Promise<Room>, deck: string }>()

/** The socket of a live document. Who is not signed in, or asks for a deck that is not there, is refused at the door. */
export default defineWebSocketHandler({
  async upgrade(request) {
    const session = await requireUserSession(request as never).catch(() => null)
    const person = session?.user && (await personById(session.user.id).catch(() => undefined))
    if (!person) throw new Response('Sign in first.', { status: 401 })
    // Pages of other origins may not open sockets with this person's cookie.
    const origin = request.headers.get('origin')
    if (origin && new URL(origin).host !== request.headers.get('host')) throw new Response('Another origin.', { status: 403 })
    if (!(await deckExists(deckOf(request.url)))) throw new Response('There is no such deck.', { status: 404 })
    request.context.person = { id: person.id, role: person.role }
  },
  open(socket) {
    const deck = deckOf(socket.request.url)
    const person = socket.context.person as Peer['person'] | undefined
    if (!person) {
      socket.close(4401, 'Sign in first.')
      return
    }
    const peer: Peer = { id: socket.id, person, clients: new Set(), send: bytes => socket.send(bytes) }
    const room = roomOf(deck)
    joined.set(socket.id, { peer, room, deck })
    room.then(opened => opened.join(peer)).catch(() => socket.close(1013, 'The database is away. Try again.'))
  },
  async message(socket, message) {
    const entry = joined.get(socket.id)
    const decoded = decodeMessage(message.uint8Array())
    if (!entry || !decoded) return
    const room = await entry.room.catch(() => null)
    room?.receive(entry.peer, decoded)
  },
  async close(socket) {
    const entry = joined.get(socket.id)
    joined.delete(socket.id)
    const room = await entry?.room.catch(() => null)
    if (!entry || !room) return
    room.leave(entry.peer)
    if (room.isEmpty()) closeLater(entry.deck, room)
  },
})
