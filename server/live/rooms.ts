import { database } from '../database/connection'
import { nodeName, openRoom, type Room } from './room'

const rooms = new Map<string, Promise<Room>>()
const closing = new Map<string, ReturnType<typeof setTimeout>>()
const lingering = 20_000
let listening = false

/** Hears what other nodes have put on disk. */
async function listen() {
  if (listening) return
  listening = true
  await database().listen('deck_updates', async payload => {
    const { deck, node } = JSON.parse(payload) as { deck: string, node: string }
    if (node !== nodeName) await (await rooms.get(deck))?.catchUp()
  }).catch(() => {
    listening = false
  })
}

/** A deck's room, opened when nobody is in it yet. */
export async function roomOf(deck: string): Promise<Room> {
  void listen()
  clearTimeout(closing.get(deck))
  closing.delete(deck)
  let room = rooms.get(deck)
  if (!room) {
    room = openRoom(deck)
    rooms.set(deck, room)
    room.catch(() => rooms.delete(deck))
  }
  const opened = await room
  closeLater(deck, opened)
  return opened
}

/** Closes a room that has stood empty for a while. */
export function closeLater(deck: string, room: Room) {
  clearTimeout(closing.get(deck))
  closing.set(deck, setTimeout(async () => {
    if (!room.isEmpty()) return
    await room.keep()
    if (!room.isEmpty()) return
    rooms.delete(deck)
    closing.delete(deck)
    room.document.destroy()
  }, lingering))
}

/** A deck as it stands on disk and in the hands of those who edit it now. */
export async function currentDeck(deck: string) {
  const room = await roomOf(deck)
  await room.keep()
  return room.deck()
}

/** Puts every snapshot on disk; for an orderly end. */
export async function keepAllRooms() {
  for (const room of rooms.values()) await (await room).keep()
}
