import fc from 'fast-check'
import { describe, expect, it } from 'vitest'
import { readCsv, writeCsv, type DataTable } from '../../data'
import { readWorkbook, writeWorkbook } from './index'

const table: DataTable = {
  id: 't',
  name: 'Boardings 2031/32: [north].csv',
  columns: [
    { name: 'stop', type: 'text', kind: 'place', values: ['Quill; Quay', 'A "late" one', null] },
    { name: 'code', type: 'text', kind: 'code', values: ['0041', '0107', '0042'] },
    { name: 'day', type: 'date', kind: 'date', grain: 'day', values: ['2031-04-03', null, '2031-12-31'] },
    { name: 'takings', type: 'number', kind: 'money', unit: '€', values: [1240.5, -560, null] },
    { name: 'on time', type: 'number', kind: 'percent', values: [0.941, null, 1] },
    { name: 'boats', type: 'number', kind: 'number', values: [12, 0, 7] },
  ],
}
const valuesOf = (made: ReturnType<typeof readWorkbook>) =>
  made.ok ? Object.fromEntries(made.value.table.columns.map(({ name, values }) => [name, values])) : made.message
const own = Object.fromEntries(table.columns.map(({ name, values }) => [name, values]))

describe('a table that is written', () => {
  it('as a workbook reads back with the same values and kinds', () => {
    const made = readWorkbook(writeWorkbook(table), 'again.xlsx', 'again')
    expect(valuesOf(made)).toEqual(own)
    expect(made.ok && made.value.table.columns.map(({ kind }) => kind)).toEqual(table.columns.map(({ kind }) => kind))
  })

  it('as a workbook says of an outline that no cell of it holds what it is, and where it is whole', () => {
    const long = `LINESTRING(${Array.from({ length: 5000 }, (_, at) => `${at} 44.5`).join(',')})`
    const outlines: DataTable = {
      id: 'm',
      name: 'm',
      columns: [{ name: 'outline', type: 'text', kind: 'outline', values: ['POINT(1 2)', long] }],
    }
    const made = readWorkbook(writeWorkbook(outlines), 'again.xlsx', 'again')
    const [first, second] = made.ok ? made.value.table.columns[0]!.values : []
    expect(first).toBe('POINT(1 2)')
    expect(writeCsv(outlines)).toContain(long)
    expect(second === null || String(second).startsWith('line, 5000 points')).toBe(true)
  })

  it('as CSV reads back with the same values', () => {
    const shares = { ...table, columns: table.columns.filter(({ name }) => name !== 'on time') }
    const { 'on time': _, ...rest } = own
    expect(valuesOf(readCsv(new TextEncoder().encode(writeCsv(shares)), 'again.csv', 'again'))).toEqual(rest)
  })

  it('as CSV keeps any words and numbers, and nothing in it is taken for a formula by a spreadsheet', () => {
    const words = fc.constantFrom('Quill', 'a,b', 'line\nbreak', 'say "so"', '=1+1', '+cmd', '@sum', '-x', '-12')
    fc.assert(
      fc.property(fc.array(fc.tuple(words, fc.double({ noNaN: true, noDefaultInfinity: true })), { minLength: 1, maxLength: 20 }), rows => {
        const text = writeCsv({
          id: 't',
          name: 't',
          columns: [
            { name: 'words', type: 'text', values: rows.map(([word]) => word) },
            { name: 'n', type: 'number', values: rows.map(([, number]) => number) },
          ],
        })
        expect(text.startsWith('\ufeffwords,n\r\n')).toBe(true)
        for (const line of text.slice(1).split('\r\n').slice(1)) expect(/^"?[=+@]|^"?-[^0-9]/.test(line)).toBe(false)
        for (const [, number] of rows) expect(text).toContain(String(number))
      }),
    )
  })
})
