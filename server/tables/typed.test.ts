import { afterAll, describe, expect, it } from 'vitest'
import { endThreads } from '../apart'
import { addPerson } from '../database/people'
import { versionsOf } from '../database/sources'
import { tableById } from '../database/tables'
import { makeBySteps } from './made'
import { addVersion, makeSource, sourceAsked } from './sources'
import { gridOf, gridSchema, makeTyped, writeTyped } from './typed'

afterAll(endThreads)

const people: string[] = []
async function someone(at = 0) {
  people[at] ??= (await addPerson({ name: `Writer ${at}`, email: `writer-${at}@velmoor.example`, role: 'editor', passwordHash: null }))!.id
  return people[at]
}
const grid = (...rows: string[][]) => ({ header: ['stop', 'riders'], rows })
const make = async () => (await makeTyped('Riders by hand', grid(['Quill', '12'], ['Total', '7']), await someone())).id
const stampOf = async (id: string) => (await gridOf(await sourceAsked(id))).stamp
const refusal = (request: Promise<unknown>) =>
  request.then(
    () => 'nothing was refused',
    (error: { data?: { message?: string }; message: string }) => error.data?.message ?? error.message,
  )

describe('a table that is typed here', () => {
  it('is read as any other, every row as data, and its cells are kept as they were written', async () => {
    const id = await make()
    expect((await tableById(id))!.columns.map(({ values }) => values)).toEqual([
      ['Quill', 'Total'],
      [12, 7],
    ])
    const { header, rows } = await gridOf(await sourceAsked(id))
    expect({ header, rows }).toEqual(grid(['Quill', '12'], ['Total', '7']))
  })

  it('is one version while one person types, and the next where another one goes on', async () => {
    const id = await make()
    const source = await sourceAsked(id)
    for (const riders of ['13', '14'])
      await writeTyped(source, grid(['Quill', riders], ['Harrow', '7']), await stampOf(id), await someone())
    expect((await versionsOf(id)).map(({ number }) => number)).toEqual([1])
    expect((await tableById(id))!.columns[1]!.values).toEqual([14, 7])
    await writeTyped(source, grid(['Quill', '15'], ['Harrow', '7']), await stampOf(id), await someone(1))
    expect((await versionsOf(id)).map(({ number }) => number)).toEqual([1, 2])
    expect((await tableById(id))!.columns[1]!.values).toEqual([15, 7])
  })

  it('is not written over where somebody else has typed meanwhile', async () => {
    const id = await make()
    const [source, stamp] = [await sourceAsked(id), await stampOf(id)]
    await writeTyped(source, grid(['Quill', '20']), stamp, await someone(1))
    expect(await refusal(writeTyped(source, grid(['Quill', '30']), stamp, await someone()))).toMatch(/^Somebody else has typed/)
    expect((await tableById(id))!.columns[1]!.values).toEqual([20])
  })

  it('is held where what is typed would break its charts, and goes on air once it does not', async () => {
    const id = await make()
    const source = await sourceAsked(id)
    await makeBySteps(source, 'Those of the quay', [], await someone())
    const broken = await writeTyped(source, { header: ['stop', 'guests'], rows: [['Quill', '12']] }, await stampOf(id), await someone())
    expect(broken.held).toMatch(/“riders” is gone/)
    expect((await tableById(id))!.columns.map(({ name }) => name)).toEqual(['stop', 'riders'])
    expect((await gridOf(source)).header).toEqual(['stop', 'guests'])
    const mended = await writeTyped(await sourceAsked(id), grid(['Quill', '40']), broken.stamp, await someone())
    expect(mended.held).toBeNull()
    expect((await tableById(id))!.columns[1]!.values).toEqual([40])
  })

  it('that nothing draws yet may become anything', async () => {
    const id = await make()
    const other = { header: ['quay', 'opened'], rows: [['Quill', '3 April 2031']] }
    expect((await writeTyped(await sourceAsked(id), other, await stampOf(id), await someone())).held).toBeNull()
    expect((await tableById(id))!.columns.map(({ name, type }) => [name, type])).toEqual([
      ['quay', 'text'],
      ['opened', 'date'],
    ])
  })

  it('keeps commas, quotes and blanks as they are', async () => {
    const rows = [
      ['Quill, "the quay"', '1,5'],
      [' Harrow ', '=2+3'],
    ]
    const { id } = await makeTyped('Odd cells', grid(...rows), await someone())
    expect((await gridOf(await sourceAsked(id))).rows).toEqual(rows)
  })

  it('is no file, and a file is none', async () => {
    const typed = await sourceAsked(await make())
    expect(await refusal(addVersion(typed, new TextEncoder().encode('a,b\n1,2'), 'x.csv', await someone()))).toMatch(
      /^This table is typed here/,
    )
    const made = await makeSource(new TextEncoder().encode('stop,riders\nQuill,1'), 'file.csv', await someone())
    expect(await refusal(gridOf(await sourceAsked(made.id)))).toMatch(/^This table is read from files/)
    expect(await refusal(makeTyped('Nothing', grid(), await someone()))).toMatch(/holds no rows/)
  })

  it('takes no more than a hand types, and no rows that differ in length', () => {
    const takes = (value: unknown) => gridSchema.safeParse(value).success
    expect([takes(grid()), takes({ header: [], rows: [] }), takes({ header: ['a'], rows: [['1', '2']] })]).toEqual([true, false, false])
    expect(takes({ header: ['a'], rows: Array.from({ length: 2001 }, () => ['1']) })).toBe(false)
  })
})
