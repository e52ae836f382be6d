import { setTimeout as pause } from 'node:timers/promises'
import { database, isPassing } from '../database/connection'
import { newestUpdates } from '../database/decks'
import { personById } from '../database/people'
import { standingSessions } from '../database/sessions'
import { log, logError } from '../log'
import { nodeName } from '../node-name'
import { openRoom, type Room } from './room'

const rooms = new Map<string, Promise<Room>>()
const closing = new Map<string, ReturnType<typeof setTimeout>>()
const lingering = 20_000
/** How often is looked for what was not heard of, ms: news that a cut connection swallowed, roles that changed. */
const looksEvery = 4000
let watching = false

const openRooms = async () => {
  const open: [string, Room][] = []
  for (const [deck, room] of rooms) {
    // Why it did not open, who asked for it has heard.
    const opened = await room.catch((_error: unknown) => null)
    if (opened) open.push([deck, opened])
  }
  return open
}

/** Reads whatever other nodes have written since, in every room that is behind. */
async function catchUpAll() {
  const open = await openRooms()
  if (!open.length) return
  const newest = new Map((await newestUpdates(open.map(([deck]) => deck))).map(row => [row.deck, row.last]))
  for (const [deck, room] of open) if ((newest.get(deck) ?? 0) > room.cursor()) await room.catchUp()
}

/** Asks anew who those are that are in rooms: a role that changed holds from now on, and who is gone is let go. */
async function askAnew(only?: string) {
  const open = await openRooms()
  const ids = new Set(open.flatMap(([, room]) => [...room.peers()].map(peer => peer.person.id)).filter(id => !only || id === only))
  for (const id of ids) {
    const person = await personById(id)
    const theirs = open.flatMap(([, room]) => [...room.peers()].filter(peer => peer.person.id === id))
    const standing = await standingSessions(theirs.map(peer => peer.person.session))
    for (const peer of theirs) {
      if (!person || !standing.has(peer.person.session)) peer.close(4401, 'Your session has ended. Sign in again.')
      else peer.person = { id, name: person.name, role: person.role, session: peer.person.session }
    }
  }
}

/** Hears what other nodes have put on disk and who has changed; what was not heard, as the connection was cut, is found by looking. */
async function watch() {
  if (watching) return
  watching = true
  const told = (work: () => Promise<void>) => void work().catch(error => isPassing(error) || logError(error, 'news were not taken'))
  const listen = async () => {
    // Called anew each time that the connection is back.
    const onListening = () => told(catchUpAll)
    await database().listen(
      'deck_updates',
      payload => {
        const { deck, node } = JSON.parse(payload) as { deck: string; node: string }
        if (node !== nodeName) told(async () => await (await rooms.get(deck))?.catchUp())
      },
      onListening,
    )
    await database().listen('people', person => told(() => askAnew(person)))
  }
  void (async () => {
    for (;;) {
      try {
        return await listen()
      } catch (error) {
        log.warn({ err: error }, 'not listening yet')
        await pause(1000)
      }
    }
  })()
  for (let round = 1; ; round++) {
    await pause(looksEvery, undefined, { ref: false })
    told(catchUpAll)
    if (round % 8 === 0) told(() => askAnew())
  }
}

/** A deck's room, opened when nobody is in it yet. */
export async function roomOf(deck: string): Promise<Room> {
  void watch()
  clearTimeout(closing.get(deck))
  closing.delete(deck)
  let room = rooms.get(deck)
  if (!room) {
    room = openRoom(deck)
    rooms.set(deck, room)
    room.catch((_error: unknown) => rooms.delete(deck))
  }
  const opened = await room
  closeLater(deck, opened)
  return opened
}

/** Closes a room that has stood empty for a while. */
export function closeLater(deck: string, room: Room) {
  clearTimeout(closing.get(deck))
  closing.set(
    deck,
    setTimeout(
      () =>
        void (async () => {
          if (!room.isEmpty()) return
          await room.settled(lingering)
          const isKept = await room.keep().then(
            () => true,
            () => false,
          )
          if (!room.isEmpty()) return
          if (!isKept) return closeLater(deck, room)
          rooms.delete(deck)
          closing.delete(deck)
          room.close()
        })(),
      lingering,
    ),
  )
}

/** A deck as it stands on disk, with all that those who edit it now have sent: the database is given a moment to take that. */
export async function currentDeck(deck: string) {
  const room = await roomOf(deck)
  await room.settled(5000)
  await room.keep()
  return room.deck()
}

/** How many decks are open here, by how many browsers. */
export async function countRooms() {
  const open = await openRooms()
  return { decks: open.length, browsers: open.reduce((sum, [, room]) => sum + [...room.peers()].length, 0) }
}

/** Puts every snapshot on disk. */
export async function keepAllRooms() {
  for (const [, room] of await openRooms()) await room.keep()
}

/** Lets everybody go who is in a room, when what they sent is on disk; for an orderly end. */
export async function closeAllRooms() {
  for (const [deck, room] of await openRooms()) {
    for (const peer of [...room.peers()]) peer.close(1012, 'The server ends. It is back in a moment.')
    await room.settled(3000)
    await room.keep().catch(error => void logError(error, 'the snapshot was not kept', { deck }))
  }
}
