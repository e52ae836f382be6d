import { describe, expect, it } from 'vitest'
import { route } from '../testing/nuxt'
import { inPage } from '../testing/open-deck'
import { answers } from '../testing/setup'
import { changeWords, partsOf, useDataRoom } from './data-room'

describe('what a version changes', () => {
  it('is told by its rows, its sums and its new columns', () => {
    const sums = [
      { column: 'riders', before: 19, after: 25 },
      { column: 'takings', before: 1240.5, after: 1300 },
      { column: 'boats', before: 2, after: 3 },
    ]
    expect(changeWords({ rows: { before: 2, after: 3 }, sums, added: ['crew'] })).toBe(
      '3 rows for 2; “riders” comes to 25 for 19; “takings” comes to 1,300 for 1,240.50; one sum more; new: “crew”',
    )
    expect(changeWords({ rows: { before: 2, after: 2 }, sums: [], added: [] })).toBe('2 rows as before')
  })
})

describe('a sentence of how something was read', () => {
  it('is told into what can be changed and what stands around it', () => {
    expect(partsOf('*Money* in euros, *comma* is the decimal')).toEqual([
      { text: 'Money', changeable: true },
      { text: ' in euros, ', changeable: false },
      { text: 'comma', changeable: true },
      { text: ' is the decimal', changeable: false },
    ])
    expect(partsOf('Nothing of it')).toEqual([{ text: 'Nothing of it', changeable: false }])
    expect(partsOf('')).toEqual([])
  })
})

describe('the room of tables', () => {
  const entry = (id: string, versions: number, more: object = {}) => ({
    id,
    name: id,
    fileName: `${id}.csv`,
    versions,
    held: 0,
    open: 0,
    ...more,
  })
  /** A server with tables, which counts how often each is asked for. */
  function served(first: ReturnType<typeof entry>[]) {
    let list = first
    const asked: string[] = []
    answers.set('/api/data', () => list)
    answers.set('/api/tables/watched', () => ({
      folder: '/srv/tables',
      faults: list.length > 1 ? [{ file: 'notes.csv', fault: 'It holds nothing.' }] : [],
    }))
    for (const id of ['riders', 'fares'])
      answers.set(`/api/data/${id}`, () => {
        asked.push(id)
        return { id, name: id, versions: list.find(one => one.id === id)!.versions }
      })
    return { asked, now: (next: typeof list) => void (list = next) }
  }

  it('hears of tables that come and of files that are none, and brings what is looked at anew only where it has changed', async () => {
    route.query = { table: 'riders' }
    const server = served([entry('riders', 1)])
    const room = inPage(() => useDataRoom())
    await room.load()
    await room.look()
    expect(room.folder.value).toEqual({ folder: '/srv/tables', faults: [] })
    await room.follow()
    expect(server.asked).toEqual(['riders'])
    server.now([entry('riders', 1), entry('fares', 1)])
    await room.follow()
    expect([room.list.value.map(({ id }) => id), room.folder.value!.faults.length, server.asked]).toEqual([
      ['riders', 'fares'],
      1,
      ['riders'],
    ])
    server.now([entry('riders', 2), entry('fares', 1)])
    await room.follow()
    expect([server.asked, room.detail.value!.versions]).toEqual([['riders', 'riders'], 2])
  })

  it('says that the server could not be asked, and keeps what it has', async () => {
    route.query = { table: 'riders' }
    served([entry('riders', 1)])
    const room = inPage(() => useDataRoom())
    await room.load()
    await room.look()
    answers.set('/api/data', () => {
      throw Object.assign(new Error('The server is busy.'), { name: 'FetchError', status: 503, data: { message: 'The server is busy.' } })
    })
    await room.follow()
    expect([room.list.value.length, room.detail.value!.id, room.lacking.value]).toEqual([1, 'riders', 'The server is busy.'])
  })

  it('goes to a table and a view one after the other, however fast they are asked for', async () => {
    route.query = { table: 'riders' }
    served([entry('riders', 1), entry('fares', 1)])
    const room = inPage(() => useDataRoom())
    void room.open('fares', 3)
    await room.goTo({ view: 'steps' })
    expect(route.query).toEqual({ table: 'fares', version: '3', view: 'steps' })
    await room.open('riders')
    expect(route.query).toEqual({ table: 'riders', version: undefined, view: 'steps' })
  })
})
