import { afterEach, beforeEach, describe, expect, it, vi } from 'vitest'
import { Awareness } from 'y-protocols/awareness'
import * as Y from 'yjs'
import { Line } from '../testing/line'
import { connectDocument, type ConnectionStatus } from './connection'
import type { Unsent } from './unsent'

/** What a browser keeps, in memory. */
function memory(before: Uint8Array[] = []) {
  const kept = new Map<number, Uint8Array>()
  const dropped: number[] = []
  const unsent: Unsent = {
    put: (number, update) => Promise.resolve(!!kept.set(number, update)),
    all: () => Promise.resolve(before),
    drop(upTo) {
      dropped.push(upTo)
      for (const number of kept.keys()) if (number <= upTo) kept.delete(number)
      return Promise.resolve()
    },
    name: () => {},
  }
  return { unsent, kept, dropped }
}

/** The server's own document with a word in it. */
function server(word = 'harbour') {
  const document = new Y.Doc()
  document.getMap('words').set('first', word)
  return document
}

function connected(unsent = memory().unsent) {
  const document = new Y.Doc()
  const seen: { status: ConnectionStatus; refused: string[]; noted: string[]; form: boolean | null } = {
    status: null!,
    refused: [],
    noted: [],
    form: null,
  }
  const connection = connectDocument('deck-1', document, new Awareness(document), unsent, {
    changed: status => {
      seen.status = status
    },
    refused: message => seen.refused.push(message),
    noted: message => seen.noted.push(message),
    bounded: form => {
      seen.form = form
    },
  })
  const words = document.getMap('words')
  return { document, words, seen, connection, socket: () => Line.all.at(-1)! }
}

/** Lets the document arrive. */
function arrive(socket: Line, from = server()) {
  socket.open()
  socket.say({ kind: 'whole', update: Y.encodeStateAsUpdateV2(from) })
}

let stop: (() => void)[] = []
const open = (unsent?: Unsent) => {
  const made = connected(unsent)
  stop.push(made.connection.stop)
  return made
}

beforeEach(() => {
  vi.useFakeTimers()
})
afterEach(() => {
  for (const end of stop) end()
  stop = []
  vi.useRealTimers()
})

describe('a line to the server', () => {
  it('asks for what is lacking, and is ready once the document is here', () => {
    const { words, seen, socket } = open()
    expect(socket().url).toMatch(/^ws:\/\/.*\/live\/deck-1$/)
    socket().open()
    expect(socket().sent.map(({ kind }) => kind)).toEqual(['state', 'awareness'])
    expect(seen.status).toMatchObject({ online: true, ready: false })
    socket().say({ kind: 'whole', update: Y.encodeStateAsUpdateV2(server()) })
    expect([words.get('first'), seen.status.ready]).toEqual(['harbour', true])
  })

  it('says that it is kept only once the server has said so of the last of it', () => {
    const { words, seen, socket } = open()
    arrive(socket())
    words.set('second', 'boats')
    words.set('third', 'tides')
    expect(
      socket()
        .updates()
        .map(({ number }) => number),
    ).toEqual([1, 2])
    expect(seen.status.kept).toBe(false)
    socket().say({ kind: 'kept', number: 1 })
    expect(seen.status.kept).toBe(false)
    socket().say({ kind: 'kept', number: 2 })
    expect(seen.status).toMatchObject({ kept: true, keptAt: expect.any(Date) as Date })
  })

  it('keeps in the browser what the server has not yet, and forgets it then', async () => {
    const { unsent, kept } = memory()
    const { words, socket } = open(unsent)
    arrive(socket())
    words.set('second', 'boats')
    await vi.advanceTimersByTimeAsync(1)
    expect([...kept.keys()]).toEqual([1])
    socket().say({ kind: 'kept', number: 1 })
    expect([...kept.keys()]).toEqual([])
  })

  it('says that it is kept in the browser only once it is there', async () => {
    const { unsent } = memory()
    const written: (() => void)[] = []
    unsent.put = () => new Promise(resolve => written.push(() => resolve(true)))
    const { words, seen, socket } = open(unsent)
    arrive(socket())
    words.set('second', 'boats')
    words.set('third', 'tides')
    expect(seen.status.local).toBe(false)
    written[0]!()
    await vi.advanceTimersByTimeAsync(1)
    expect(seen.status.local).toBe(false)
    written[1]!()
    await vi.advanceTimersByTimeAsync(1)
    expect(seen.status).toMatchObject({ local: true, kept: false })
  })

  it('sends nothing back that came from the server', () => {
    const { words, socket, seen } = open()
    const there = server()
    arrive(socket(), there)
    there.once('update', (update: Uint8Array) => socket().say({ kind: 'update', number: 0, update }))
    there.getMap('words').set('second', 'theirs')
    expect(words.get('second')).toBe('theirs')
    expect(socket().updates()).toEqual([])
    expect(seen.status.kept).toBe(true)
  })

  it('comes back after a break by itself, later each time, and sends all that the server lacks', async () => {
    const { words, seen, socket } = open()
    const there = server()
    arrive(socket(), there)
    words.set('second', 'boats')
    socket().close(1006)
    expect(seen.status.online).toBe(false)
    words.set('third', 'while away')
    await vi.advanceTimersByTimeAsync(260)
    expect(Line.all).toHaveLength(2)
    socket().close(1006)
    await vi.advanceTimersByTimeAsync(260)
    expect(Line.all).toHaveLength(2)
    await vi.advanceTimersByTimeAsync(200)
    expect(Line.all).toHaveLength(3)
    socket().open()
    socket().say({ kind: 'state', vector: Y.encodeStateVector(there) })
    const [update] = socket().updates()
    Y.applyUpdate(there, update!.update)
    expect(there.getMap('words').toJSON()).toEqual({ first: 'harbour', second: 'boats', third: 'while away' })
    socket().say({ kind: 'kept', number: update!.number })
    expect(seen.status.kept).toBe(true)
  })

  it('asks for nothing twice: with all kept, the server’s question is not answered', () => {
    const { socket } = open()
    const there = server()
    arrive(socket(), there)
    socket().say({ kind: 'state', vector: Y.encodeStateVector(there) })
    expect(socket().updates()).toEqual([])
  })

  it('comes back at once when the network does', async () => {
    const { socket } = open()
    arrive(socket())
    socket().close(1006)
    dispatchEvent(new Event('online'))
    expect(Line.all).toHaveLength(2)
    await vi.advanceTimersByTimeAsync(5000)
    expect(Line.all).toHaveLength(2)
  })

  it('gives a line up on which the server says nothing, and says so meanwhile', async () => {
    const { seen, socket } = open()
    arrive(socket())
    await vi.advanceTimersByTimeAsync(2600)
    expect(socket().sent.at(-1)).toEqual({ kind: 'beat' })
    socket().say({ kind: 'beat' })
    await vi.advanceTimersByTimeAsync(5000)
    expect(seen.status).toMatchObject({ silent: false, online: true })
    await vi.advanceTimersByTimeAsync(8000)
    expect(seen.status.silent).toBe(true)
    expect(Line.all.length).toBeGreaterThan(1)
    socket().open()
    socket().say({ kind: 'beat' })
    expect(seen.status).toMatchObject({ silent: false, online: true })
  })

  it('takes up what was written here before and not sent', async () => {
    const before = new Y.Doc()
    before.getMap('words').set('lost', 'and found')
    const { words, seen, socket } = open(memory([Y.encodeStateAsUpdate(before)]).unsent)
    arrive(socket())
    await vi.advanceTimersByTimeAsync(1)
    expect(words.get('lost')).toBe('and found')
    expect(socket().updates()).toHaveLength(1)
    expect(seen.status.kept).toBe(false)
  })

  it('ends where a change is refused, with nothing of it kept for later', async () => {
    const { unsent, dropped } = memory()
    const { seen, socket } = open(unsent)
    arrive(socket())
    socket().say({ kind: 'refused', number: 1, message: 'It is too large.' })
    await vi.advanceTimersByTimeAsync(10_000)
    expect(seen.refused).toEqual(['It is too large.'])
    expect(dropped).toEqual([Infinity])
    expect(Line.all).toHaveLength(1)
  })

  it('tells a message that was too large at the door from a break', async () => {
    const { seen, socket } = open()
    arrive(socket())
    socket().close(1009, 'That was too much at once.')
    await vi.advanceTimersByTimeAsync(10_000)
    expect(seen.refused).toEqual(['That was too much at once.'])
  })

  it.each([
    [401, { signedOut: true, closed: false }],
    [200, { signedOut: false, closed: true }],
    [503, { signedOut: false, closed: false }],
  ])('asks why it is refused again and again: %i', async (status, said) => {
    vi.stubGlobal('fetch', () => Promise.resolve({ status, ok: status === 200 }))
    const { seen, socket } = open()
    for (let time = 0; time < 3; time++) {
      socket().close(1006)
      await vi.advanceTimersByTimeAsync(3100)
    }
    expect(seen.status).toMatchObject(said)
  })

  it('passes on what the server notes, and whether a form holds', () => {
    const { seen, socket } = open()
    arrive(socket())
    socket().say({ kind: 'note', message: 'Two records were mended.' })
    socket().say({ kind: 'bounds', form: true })
    expect(seen).toMatchObject({ noted: ['Two records were mended.'], form: true })
  })

  it('holds a page back that would lose what nobody keeps', async () => {
    const { unsent } = memory()
    unsent.put = () => Promise.resolve(false)
    const { words, socket } = open(unsent)
    arrive(socket())
    words.set('second', 'boats')
    await vi.advanceTimersByTimeAsync(1)
    const leaving = () => {
      const event = new Event('beforeunload', { cancelable: true })
      dispatchEvent(event)
      return event.defaultPrevented
    }
    expect(leaving()).toBe(true)
    socket().say({ kind: 'kept', number: 1 })
    expect(leaving()).toBe(false)
  })
})
