import fc from 'fast-check'
import { describe, expect, it } from 'vitest'
import { mostWritten, type Amount } from '../model'
import {
  cellKey,
  fieldsOfWritten,
  hasRoomFor,
  withBlock,
  withCell,
  withColumnAfter,
  withoutColumn,
  withoutRow,
  withRowAfter,
  writtenOf,
  type Written,
} from './index'

const format: Amount['format'] = { decimals: null, scale: 'none', prefix: '', suffix: '' }
const amount = (key: string): Amount => ({ table: 'riders', column: key, find: 'sum', format })
/** A table whose cells say where they stood at first, with a number in some of them. */
const table = (rows: number, columns: number, told: readonly (readonly [number, number])[] = []): Written => ({
  cells: Array.from({ length: rows }, (_, y) => Array.from({ length: columns }, (__, x) => cellKey(y, x))),
  amounts: Object.fromEntries(told.map(([y, x]) => [cellKey(y, x), amount(cellKey(y, x))])),
})
const any = fc.tuple(fc.integer({ min: 2, max: 7 }), fc.integer({ min: 1, max: 6 })).chain(([rows, columns]) =>
  fc.record({
    written: fc.array(fc.tuple(fc.nat(rows - 1), fc.nat(columns - 1)), { maxLength: 6 }).map(told => table(rows, columns, told)),
    row: fc.nat(rows - 1),
    column: fc.nat(columns - 1),
  }),
)
/** Every number stands in the cell that says where it stood at first, and every row has as many cells. */
function isWhole({ cells, amounts }: Written) {
  expect(new Set(cells.map(row => row.length)).size).toBe(1)
  for (const [key, one] of Object.entries(amounts)) {
    const [y, x] = key.split(',').map(Number) as [number, number]
    expect(cells[y]?.[x]).toBe(one.column)
  }
}

describe('a table that is written by hand', () => {
  it('keeps each number in its cell, whatever rows and columns come and go', () => {
    fc.assert(
      fc.property(any, ({ written, row, column }) => {
        for (const next of [withRowAfter(written, row), withColumnAfter(written, column)]) {
          isWhole(next)
          expect(Object.keys(next.amounts)).toHaveLength(Object.keys(written.amounts).length)
        }
        for (const next of [withoutRow(written, row), withoutColumn(written, column)]) isWhole(next)
        const gone = Object.keys(written.amounts).filter(key => key.startsWith(`${row},`)).length
        if (written.cells.length > 2)
          expect(Object.keys(withoutRow(written, row).amounts)).toHaveLength(Object.keys(written.amounts).length - gone)
      }),
    )
  })

  it('has plain words in a cell that is written over, alone or in a block', () => {
    const told = table(2, 2, [
      [0, 1],
      [1, 1],
    ])
    expect(withCell(told, 1, 1, 'nine')).toEqual({
      cells: [
        ['0,0', '0,1'],
        ['1,0', 'nine'],
      ],
      amounts: { '0,1': amount('0,1') },
    })
    expect(withCell(told, 1, 0, '12', amount('x')).amounts['1,0']).toEqual(amount('x'))
    const pasted = withBlock(told, 1, 1, [['a', 'b'], ['c']])
    expect(pasted.cells).toEqual([
      ['0,0', '0,1', ''],
      ['1,0', 'a', 'b'],
      ['', 'c', ''],
    ])
    expect(pasted.amounts).toEqual({ '0,1': amount('0,1') })
  })

  it('has at least its names, a row and a column, and no more than a deck has room for', () => {
    expect(withoutRow(table(2, 1), 1)).toEqual(table(2, 1))
    expect(withoutColumn(table(2, 1), 0)).toEqual(table(2, 1))
    const full = table(mostWritten.rows, mostWritten.columns)
    expect([withRowAfter(full, 3), withColumnAfter(full, 3)]).toEqual([full, full])
    expect(hasRoomFor(498, 59, [['x'], ['y']])).toBe(true)
    expect(hasRoomFor(499, 59, [['x'], ['y']]) || hasRoomFor(0, 59, [['x', 'y']]) || hasRoomFor(0, 0, [['x'.repeat(2001)]])).toBe(false)
    expect(withBlock(table(2, 1), 0, 0, [['x'.repeat(2001)]]).cells[0]![0]).toHaveLength(2000)
    const over = withBlock(full, mostWritten.rows - 1, mostWritten.columns - 1, [['x', 'y'], ['z']])
    expect([over.cells.length, over.cells[0]!.length, over.cells.at(-1)!.at(-1)]).toEqual([mostWritten.rows, mostWritten.columns, 'x'])
  })

  it('fills rows that are short, and says nothing of numbers where there are none', () => {
    expect(writtenOf({}).cells).toEqual([['']])
    expect(writtenOf({ cells: [['a', 'b'], ['c']] }).cells).toEqual([
      ['a', 'b'],
      ['c', ''],
    ])
    expect(fieldsOfWritten(table(1, 1))).toEqual({ cells: [['0,0']], amounts: undefined })
  })
})
