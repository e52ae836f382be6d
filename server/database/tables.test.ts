import { describe, expect, it } from 'vitest'
import type { DataTable } from '../../core/data'
import { columnValues, keepTable, tableById, tableHead, tableRows, tableText } from './tables'

const table: DataTable = {
  id: 'part-by-part',
  name: 'Part by part',
  columns: [
    { name: 'route', type: 'text', kind: 'category', values: ['Quill', null, 'Marsh', 'Quill', 'say "hi"'] },
    { name: 'riders', type: 'number', unit: '€', values: [1, 2.5, null, -4, 5] },
  ],
}

describe('a table in the database', () => {
  it('is told by its head, read some rows at a time, and by the values of a column, as it is whole', async () => {
    await keepTable(table, null)
    expect(await tableById(table.id)).toEqual(table)
    expect(JSON.parse((await tableText(table.id))!)).toEqual(table)
    expect(await tableHead(table.id)).toEqual({ rows: 5, columns: table.columns.map(({ values: _, ...column }) => column) })
    expect(await tableRows(table.id, 1, 3)).toEqual(table.columns.map(({ values }) => values.slice(1, 4)))
    expect(await tableRows(table.id, 4, 200)).toEqual([['say "hi"'], [5]])
    expect(await tableRows(table.id, 9, 200)).toEqual([[], []])
    expect(await columnValues(table.id, 'route', 10)).toEqual(['Quill', 'Marsh', 'say "hi"'])
    expect(await columnValues(table.id, 'route', 2)).toEqual(['Quill', 'Marsh'])
    expect(await columnValues(table.id, 'gone', 2)).toEqual([])
  })

  it('that is not there has no head, no text and no rows', async () => {
    expect([await tableHead('nowhere'), await tableText('nowhere'), await tableRows('nowhere', 0, 5)]).toEqual([undefined, undefined, []])
  })
})
