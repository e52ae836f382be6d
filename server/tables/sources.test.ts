import { afterAll, describe, expect, it } from 'vitest'
import { endThreads } from '../apart'
import { addPerson } from '../database/people'
import { dropSource, listSources, sourceById, versionOf, versionsOf } from '../database/sources'
import { tableById, tableNamed, tablesById } from '../database/tables'
import { addVersion, chooseReading, makeSource, sourceAsked } from './sources'

afterAll(endThreads)

const bytes = (text: string) => new TextEncoder().encode(text)
let person = ''
async function someone() {
  person ||= (await addPerson({ name: 'Ines Rahm', email: 'ines@velmoor.example', role: 'editor', passwordHash: null }))!.id
  return person
}
const make = async (text: string, name = 'boardings.csv') => (await makeSource(bytes(text), name, await someone())).id
const next = async (id: string, text: string) => await addVersion(await sourceAsked(id), bytes(text), 'boardings-2.csv', await someone())
const columnOf = async (id: string, name: string) => (await tableById(id))!.columns.find(column => column.name === name)
const refusal = (request: Promise<unknown>) =>
  request.then(
    () => 'nothing was refused',
    (error: { data?: { message?: string }; message: string }) => error.data?.message ?? error.message,
  )

const plain = 'stop;riders\nQuill;12\nHarrow;7\nTotal;19'

describe('a table of the team', () => {
  it('is read as it is kept, and its own id stands for the version on air', async () => {
    const made = await makeSource(bytes(plain), 'Boardings by stop.csv', await someone())
    expect(made.said).toEqual(['“Total” in row 4 *agrees with the sum* and is never drawn.'])
    const table = await tableById(made.id)
    expect([table!.id, table!.columns.map(column => column.values)]).toEqual([
      made.id,
      [
        ['Quill', 'Harrow'],
        [12, 7],
      ],
    ])
    expect((await tablesById([made.id]))[0]).toEqual(table)
    expect([(await tableNamed('boardings BY stop'))!.id, (await tableNamed('boardings by stop.csv'))!.id]).toEqual([made.id, made.id])
    expect((await listSources()).find(({ id }) => id === made.id)).toMatchObject({
      name: 'Boardings by stop',
      fileName: 'Boardings by stop.csv',
      versions: 1,
      held: 0,
      open: 0,
    })
  })

  it('is replaced by its next version, which is read as the one before was decided to be', async () => {
    const id = await make(plain)
    await chooseReading(await sourceAsked(id), { totals: 'data', columns: { riders: { kind: 'text' } } }, await someone())
    expect((await columnOf(id, 'riders'))!.values).toEqual(['12', '7', '19'])
    expect(await next(id, 'stop;riders\nQuill;13\nTotal;13')).toEqual({ number: 2, held: null })
    expect(await columnOf(id, 'riders')).toMatchObject({ type: 'text', values: ['13', '13'] })
    expect((await sourceById(id))!.onAir).toBe(2)
  })

  it('keeps what is on air where the next version would break it, and says why', async () => {
    const id = await make(plain)
    const made = await next(id, 'place;riders\nQuill;13')
    expect(made).toEqual({ number: 2, held: 'The column “stop” is gone.' })
    expect((await columnOf(id, 'riders'))!.values).toEqual([12, 7])
    expect((await versionsOf(id)).map(({ number, held }) => [number, held])).toEqual([
      [1, null],
      [2, 'The column “stop” is gone.'],
    ])
    expect((await listSources()).find(one => one.id === id)).toMatchObject({ versions: 2, held: 1 })
  })

  it('puts a held version on air once it is decided how it is read', async () => {
    const id = await make('day;riders\n25/04/2031;12\n26/04/2031;7')
    expect((await next(id, 'day;riders\n03/05/2031;9\n04/06/2031;8')).held).toBe('“day” leaves a question open.')
    await chooseReading(await sourceAsked(id), { columns: { day: { kind: 'date', order: 'dmy' } } }, await someone())
    expect((await sourceById(id))!.onAir).toBe(2)
    expect((await columnOf(id, 'day'))!.values).toEqual(['2031-05-03', '2031-06-04'])
    expect((await versionOf(id, 2))!.held).toBeNull()
  })

  it('stays as it is where choices make no table of it, or a file is none', async () => {
    const id = await make(plain)
    expect(await refusal(chooseReading(await sourceAsked(id), { above: 3, header: 1 }, await someone()))).toMatch(
      /Read so, version 1 is no table any more/,
    )
    expect(await refusal(next(id, ''))).toMatch(/holds nothing/)
    expect((await sourceById(id))!.choices).toEqual({})
    expect((await columnOf(id, 'riders'))!.values).toEqual([12, 7])
  })

  it('is gone with its versions when it is removed; what was published of it keeps its rows', async () => {
    const id = await make(plain)
    const { tableId } = (await versionOf(id, 1))!
    await dropSource(id)
    expect([await sourceById(id), await tableById(id), await versionsOf(id)]).toEqual([undefined, undefined, []])
    expect((await tableById(tableId))!.columns).toHaveLength(2)
    expect(await refusal(sourceAsked(id))).toMatch(/no such table any more/)
  })
})
