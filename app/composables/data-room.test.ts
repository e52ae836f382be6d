import { describe, expect, it } from 'vitest'
import { nextTick } from 'vue'
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
        return { id, name: id, versions: list.find(one => one.id === id)!.versions, shown: { columns: [] } }
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

  it('shows rows in the order of a column, says which of the table’s each is, and forgets the order with the table', async () => {
    route.query = { table: 'riders' }
    served([entry('riders', 1), entry('fares', 1)])
    const shown = { number: 1, rows: 3, columns: [{ name: 'riders', type: 'number' }] }
    for (const id of ['riders', 'fares']) answers.set(`/api/data/${id}`, () => ({ id, name: id, shown }))
    const asked: unknown[] = []
    answers.set('/api/data/riders/rows', ({ query }) => {
      asked.push(query)
      const by = (query as { by?: number }).by
      return by === undefined ? { columns: [[5, 9, 7]] } : { rows: [1, 2, 0], columns: [[9, 7, 5]] }
    })
    const room = inPage(() => useDataRoom())
    await room.look()
    const later = () => new Promise(resolve => setTimeout(resolve))
    const rowOf = async (place: number) => {
      room.rowAt(place)
      await later()
      return room.rowAt(place)
    }
    expect(await rowOf(1)).toEqual({ number: 1, cells: [9] })
    room.order.value = { column: 0, way: 'down' }
    await nextTick()
    expect(await rowOf(0)).toEqual({ number: 1, cells: [9] })
    expect(await rowOf(2)).toEqual({ number: 0, cells: [5] })
    expect(asked.at(-1)).toEqual({ version: 1, from: 0, count: 200, by: 0, way: 'down' })
    await room.open('fares')
    await later()
    expect([room.detail.value!.id, room.order.value]).toEqual(['fares', null])
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
