import { afterAll, describe, expect, it } from 'vitest'
import { endThreads } from '../apart'
import { addPerson } from '../database/people'
import { tableById } from '../database/tables'
import { writeCells } from './cells'
import { sourceAsked } from './sources'
import { gridOf, makeTyped } from './typed'

afterAll(endThreads)

let person: string | undefined
async function someone() {
  person ??= (await addPerson({ name: 'Writer of cells', email: 'cells@velmoor.example', role: 'editor', passwordHash: null }))!.id
  return person
}
async function make(header: string[], ...rows: string[][]) {
  const { id } = await makeTyped('Riders', { header, rows }, await someone())
  const source = await sourceAsked(id)
  const write = async (...cells: { row: number; column: string; value: number | string | null }[]) => {
    const { version } = (await tableById(id))!
    return await writeCells(source, version!, cells, await someone())
  }
  return { id, source, write, cells: async () => (await gridOf(source)).rows }
}
const refusal = (request: Promise<unknown>) =>
  request.then(
    () => 'nothing was refused',
    (error: { data?: { message?: string }; message: string }) => error.data?.message ?? error.message,
  )

describe('a cell that is written where a chart shows it', () => {
  it('is written as it stands: its currency, its unit, its sign before decimals', async () => {
    const { write, cells, id } = await make(
      ['stop', 'fare', 'way', 'of all'],
      ['Quill', '€ 1,50', '12,5 km', '8 %'],
      ['Astrel', '€ 2,75', '3,1 km', '12 %'],
    )
    await write({ row: 0, column: 'fare', value: 1.8 })
    await write({ row: 1, column: 'way', value: 4 })
    await write({ row: 1, column: 'of all', value: 0.155 })
    expect(await cells()).toEqual([
      ['Quill', '€ 1,8', '12,5 km', '8 %'],
      ['Astrel', '€ 2,75', '4 km', '15,5 %'],
    ])
    expect((await tableById(id))!.columns.slice(1).map(({ values }) => values)).toEqual([
      [1.8, 2.75],
      [12.5, 4],
      [0.08, 0.155],
    ])
  })

  it('goes below nothing, where nothing stood, and past rows that are blank', async () => {
    const { write, cells, id } = await make(['stop', 'change'], ['Quill', '12'], ['', ''], ['Astrel', ''])
    const row = (await tableById(id))!.columns[0]!.values.indexOf('Astrel')
    await write({ row, column: 'change', value: -7.5 })
    await write({ row: 0, column: 'change', value: null })
    expect(await cells()).toEqual([
      ['Quill', ''],
      ['', ''],
      ['Astrel', '-7.5'],
    ])
  })

  it('names a category anew in all of its rows at once', async () => {
    const { write, cells } = await make(['stop', 'riders'], ['Quill', '1'], ['Astrel', '2'], ['Quill', '3'])
    await write(...[0, 2].map(row => ({ row, column: 'stop', value: 'Quill Pier' })))
    expect(await cells()).toEqual([
      ['Quill Pier', '1'],
      ['Astrel', '2'],
      ['Quill Pier', '3'],
    ])
  })

  it('is refused where it would change how the table is read, and where the table is another one by now', async () => {
    const { write, source, cells } = await make(['stop', 'riders'], ['Quill', '12'], ['Astrel', '7'])
    expect(await refusal(write({ row: 0, column: 'riders', value: 'many' }))).toMatch(/^This cannot be written here/)
    expect(await refusal(write({ row: 9, column: 'riders', value: 4 }))).toMatch(/^This cannot be written here/)
    expect(await refusal(writeCells(source, 'a-version-before', [{ row: 0, column: 'riders', value: 4 }], await someone()))).toMatch(
      /^This table has changed/,
    )
    expect(await cells()).toEqual([
      ['Quill', '12'],
      ['Astrel', '7'],
    ])
  })
})
