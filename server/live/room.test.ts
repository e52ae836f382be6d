import { randomUUID } from 'node:crypto'
import { afterEach, beforeEach, describe, expect, it } from 'vitest'
import { applyAwarenessUpdate, Awareness, encodeAwarenessUpdate } from 'y-protocols/awareness'
import * as Y from 'yjs'
import { applyToDocument, decodeMessage, fillDocument, liveLimits, readDocument, type LiveMessage } from '../../core/live'
import { applyChanges, putRecord, setRecord, slidesOf, type Change, type Deck } from '../../core/model'
import { freshDeck, textElement } from '../../core/testing'
import { database } from '../database/connection'
import { insertDeck, snapshotOf, updatesOf } from '../database/decks'
import { addPerson, type PersonRole } from '../database/people'
import { UserError } from '../user-error'
import { openRoom, type Peer, type Room } from './room'

let ids = 0
let rooms: Room[] = []
let maker = ''
let editor = ''
beforeEach(async () => {
  const person = async (name: string) =>
    (await addPerson({ name, email: `${name}-${randomUUID()}@velmoor.example`, role: 'editor', passwordHash: null }))!.id
  maker = await person('Ines')
  editor = await person('Piet')
})
afterEach(() => {
  for (const room of rooms) room.close()
  rooms = []
})

/** A deck in the database, with one text, made by Ines. */
async function deckInDatabase(more: readonly Change[] = []) {
  const id = `room-${++ids}`
  const fresh = freshDeck()
  const deck = applyChanges(fresh, [putRecord('elements', textElement('words', slidesOf(fresh)[0]!.id, ['Words'])), ...more])
  const document = new Y.Doc()
  fillDocument(document, deck)
  const snapshot = JSON.stringify(deck)
  await insertDeck({
    id,
    title: 'Spring timetable',
    purpose: 'talk',
    person: maker,
    update: Y.encodeStateAsUpdate(document),
    snapshot,
    cover: snapshot,
    slides: 1,
    tables: [],
  })
  return id
}
async function open(id: string) {
  const room = await openRoom(id)
  rooms.push(room)
  return room
}

/** A browser in a room: its document follows what it is sent. */
async function browser(room: Room, { role = 'editor' as PersonRole, id = editor, name = 'Piet' } = {}) {
  const document = new Y.Doc()
  const awareness = new Awareness(document)
  const heard: LiveMessage[] = []
  const peer: Peer = {
    id: randomUUID(),
    person: { id, name, role, session: randomUUID() },
    send(bytes) {
      const message = decodeMessage(bytes)!
      heard.push(message)
      if (message.kind === 'whole') Y.applyUpdateV2(document, message.update, 'server')
      if (message.kind === 'update') Y.applyUpdate(document, message.update, 'server')
      if (message.kind === 'awareness') applyAwarenessUpdate(awareness, message.update, 'server')
    },
    close: () => {},
    clients: new Set(),
    refused: false,
  }
  room.join(peer)
  await room.receive(peer, { kind: 'state', vector: Y.encodeStateVector(document) })
  let number = 0
  /** Changes something and sends it, as a browser does; resolves once the room has looked at it. */
  const change = async (changes: readonly Change[]) => {
    const updates: Uint8Array[] = []
    const note = (update: Uint8Array) => updates.push(update)
    document.on('update', note)
    applyToDocument(document, changes)
    document.off('update', note)
    for (const update of updates) await room.receive(peer, { kind: 'update', number: ++number, update })
    await room.settled(5000)
  }
  return {
    peer,
    document,
    awareness,
    heard,
    change,
    deck: () => readDocument(document),
    of: <K extends LiveMessage['kind']>(kind: K) =>
      heard.filter((message): message is Extract<LiveMessage, { kind: K }> => message.kind === kind),
  }
}
const renamed = (title: string) => [setRecord('info', 'info', { title })]
const titleOf = (deck: Deck) => deck.info.info!.title

describe('a room', () => {
  it('gives a browser the deck as it stands on disk', async () => {
    const room = await open(await deckInDatabase())
    const one = await browser(room)
    expect(titleOf(one.deck())).toBe('Spring timetable')
    expect(one.heard.map(({ kind }) => kind)).toEqual(['bounds', 'state', 'whole'])
  })

  it('counts a change as kept once it is on disk, and tells the others then', async () => {
    const id = await deckInDatabase()
    const room = await open(id)
    const [one, two] = [await browser(room), await browser(room)]
    const before = (await updatesOf(id)).length
    await one.change(renamed('Summer'))
    expect(one.of('kept')).toEqual([{ kind: 'kept', number: 1 }])
    expect(await updatesOf(id)).toHaveLength(before + 1)
    expect(titleOf(two.deck())).toBe('Summer')
    expect(one.of('update')).toEqual([])
  })

  it('takes changes of many at once, and all have the same in the end', async () => {
    const room = await open(await deckInDatabase())
    const browsers = await Promise.all(Array.from({ length: 5 }, () => browser(room)))
    await Promise.all(
      browsers.map((one, index) => one.change([setRecord('elements', 'words', { name: `Name ${index}` }), ...renamed(`Title ${index}`)])),
    )
    await room.settled(5000)
    const decks = browsers.map(one => JSON.stringify(one.deck().elements.words) + titleOf(one.deck()))
    expect(new Set(decks).size).toBe(1)
    expect(titleOf(room.deck())).toBe(titleOf(browsers[0]!.deck()))
  })

  it('is opened anew as it was left', async () => {
    const id = await deckInDatabase()
    const one = await browser(await open(id))
    await one.change(renamed('Summer'))
    expect(titleOf((await open(id)).deck())).toBe('Summer')
  })

  it('keeps the deck as JSON beside it, of the last that was written', async () => {
    const id = await deckInDatabase()
    const room = await open(id)
    const one = await browser(room)
    await one.change(renamed('Summer'))
    await room.keep()
    expect(titleOf((await snapshotOf(id))!)).toBe('Summer')
  })

  it('hears what another node has written, and passes it on', async () => {
    const id = await deckInDatabase()
    const [here, there] = [await open(id), await open(id)]
    const [one, two] = [await browser(here), await browser(there)]
    await one.change(renamed('Summer'))
    expect(titleOf(there.deck())).toBe('Spring timetable')
    await there.catchUp()
    expect([titleOf(there.deck()), titleOf(two.deck())]).toEqual(['Summer', 'Summer'])
    await two.change(renamed('Autumn'))
    await here.catchUp()
    expect(titleOf(one.deck())).toBe('Autumn')
    expect(here.cursor()).toBe(Math.max(...(await updatesOf(id)).map(row => row.id)))
  })

  it('answers a beat, and says who is there until they leave', async () => {
    const room = await open(await deckInDatabase())
    const [one, two] = [await browser(room), await browser(room)]
    await room.receive(one.peer, { kind: 'beat' })
    expect(one.heard.at(-1)).toEqual({ kind: 'beat' })
    one.awareness.setLocalState({ name: 'Piet', color: '#7d4a78', slide: null, selection: [] })
    await room.receive(one.peer, { kind: 'awareness', update: encodeAwarenessUpdate(one.awareness, [one.document.clientID]) })
    expect(two.awareness.getStates().get(one.document.clientID)).toMatchObject({ name: 'Piet' })
    expect((await browser(room)).awareness.getStates().has(one.document.clientID)).toBe(true)
    room.leave(one.peer)
    expect(two.awareness.getStates().has(one.document.clientID)).toBe(false)
  })
})

describe('a room refuses', () => {
  it('a viewer, with a sentence, and everything that builds on what it refused', async () => {
    const id = await deckInDatabase()
    const room = await open(id)
    const one = await browser(room, { role: 'viewer' })
    await one.change(renamed('Mine'))
    await one.change(renamed('Mine again'))
    expect(one.of('refused')).toEqual([expect.objectContaining({ number: 1, message: expect.stringContaining('viewer') as string })])
    expect(titleOf(room.deck())).toBe('Spring timetable')
    expect(await updatesOf(id)).toHaveLength(1)
  })

  it('what its schema does not allow, and nothing of it is on disk', async () => {
    const id = await deckInDatabase()
    const room = await open(id)
    const [one, two] = [await browser(room), await browser(room)]
    await one.change([setRecord('elements', 'words', { box: { x: 0, y: 0, width: -5, height: 2, angle: 0 } })])
    expect(one.of('refused')).toHaveLength(1)
    expect(await updatesOf(id)).toHaveLength(1)
    expect(two.deck().elements.words!.box!.width).toBe(1200)
    // The others go on.
    await two.change(renamed('Summer'))
    expect(titleOf(room.deck())).toBe('Summer')
  })

  it('bytes that are no update', async () => {
    const room = await open(await deckInDatabase())
    const one = await browser(room)
    await room.receive(one.peer, { kind: 'update', number: 1, update: Uint8Array.of(250, 3, 9, 1, 1, 7) })
    expect(one.of('refused')).toHaveLength(1)
  })

  it('on a form all but the filling of places, unless one made it or is an admin', async () => {
    const room = await open(await deckInDatabase([setRecord('info', 'info', { form: true })]))
    const held = await browser(room)
    expect(held.of('bounds')).toEqual([{ kind: 'bounds', form: true }])
    await held.change([setRecord('elements', 'words', { box: { x: 5, y: 5, width: 900, height: 400, angle: 0 } })])
    expect(held.of('refused')).toHaveLength(1)
    for (const free of [await browser(room, { id: maker, name: 'Ines' }), await browser(room, { role: 'admin' })]) {
      expect(free.of('bounds')).toEqual([{ kind: 'bounds', form: false }])
      await free.change([setRecord('elements', 'words', { name: 'Moved' })])
      expect(free.of('refused')).toEqual([])
    }
  })

  it('more people behind one line than there can be, and names that are not one’s own', async () => {
    const room = await open(await deckInDatabase())
    const [one, two] = [await browser(room), await browser(room)]
    one.awareness.setLocalState({ name: 'Somebody else', color: '#7d4a78', slide: null, selection: [] })
    await room.receive(one.peer, { kind: 'awareness', update: encodeAwarenessUpdate(one.awareness, [one.document.clientID]) })
    expect(two.awareness.getStates().has(one.document.clientID)).toBe(false)
    const crowd = Array.from({ length: liveLimits.clients + 5 }, () => new Awareness(new Y.Doc()))
    for (const ghost of crowd) {
      ghost.setLocalState({ name: 'Piet', color: '#7d4a78', slide: null, selection: [] })
      await room.receive(one.peer, { kind: 'awareness', update: encodeAwarenessUpdate(ghost, [ghost.doc.clientID]) })
    }
    expect(one.peer.clients.size).toBeLessThanOrEqual(liveLimits.clients)
  })
})

describe('an edit of the server’s own', () => {
  it('is on disk before anyone hears of it, and in the snapshot', async () => {
    const id = await deckInDatabase()
    const room = await open(id)
    const one = await browser(room)
    await room.apply(renamed('By the server'), { id: editor, role: 'editor' })
    expect(titleOf(one.deck())).toBe('By the server')
    expect(titleOf((await snapshotOf(id))!)).toBe('By the server')
    const [row] = await database()`select person from deck_updates where deck = ${id} order by id desc limit 1`
    expect(row!.person).toBe(editor)
  })

  it('is refused on a form as a person’s would be', async () => {
    const room = await open(await deckInDatabase([setRecord('info', 'info', { form: true })]))
    const moved = [setRecord('elements', 'words', { box: { x: 5, y: 5, width: 900, height: 400, angle: 0 } })]
    await expect(room.apply(moved, { id: editor, role: 'editor' })).rejects.toBeInstanceOf(UserError)
    await room.apply(moved, { id: maker, role: 'editor' })
    expect(room.deck().elements.words!.box!.x).toBe(5)
  })

  it('that changes nothing is done at once', async () => {
    const id = await deckInDatabase()
    const room = await open(id)
    await room.apply([], { id: editor, role: 'editor' })
    expect(await updatesOf(id)).toHaveLength(1)
  })
})

describe('a deck whose records are broken on disk', () => {
  it('is mended as it is opened, what cannot be is put aside, and both are told', async () => {
    const id = await deckInDatabase()
    const document = new Y.Doc()
    for (const row of await updatesOf(id)) Y.applyUpdate(document, row.content!)
    const record = document.getMap('elements').get('words') as Y.Map<unknown>
    document.transact(() => {
      record.set('opacity', 900)
      const nameless = new Y.Map<unknown>()
      nameless.set('kind', 'nothing that is known')
      document.getMap('elements').set('lost', nameless)
    })
    await database()`update deck_updates set content = ${Buffer.from(Y.encodeStateAsUpdate(document))} where deck = ${id}`
    const room = await open(id)
    expect(room.deck().elements.words!.opacity ?? 1).toBeLessThanOrEqual(1)
    expect(room.deck().elements.lost).toBeUndefined()
    const one = await browser(room)
    expect(one.of('note')).toHaveLength(1)
    expect(await database()`select record from set_aside where deck = ${id}`).toEqual([{ record: 'lost' }])
    // The next who open it find it whole.
    expect((await browser(await open(id))).of('note')).toEqual([])
  })
})
