import fc from 'fast-check'
import { describe, expect, it } from 'vitest'
import type { TableElement } from '../model'
import { styleNamed } from '../resolved'
import { houseTheme } from '../layouts'
import { seasons } from '../testing'
import { roughMeasurer } from '../text'
import { atDecimal, cellWords, layTable, tableContent } from './index'

const element = (fields: Partial<TableElement>): TableElement => ({
  id: 't',
  owner: 's',
  kind: 'table',
  name: 'Table',
  order: 'a0',
  table: null,
  columns: [],
  box: { x: 0, y: 0, width: 900, height: 500, angle: 0 },
  ...fields,
})
const lay = (own: TableElement, size = { width: 900, height: 500 }) =>
  layTable(
    own,
    tableContent(own, id => (id === 'seasons' ? seasons : undefined))!,
    { style: styleNamed(houseTheme, 'body'), fonts: houseTheme.fonts, size, language: 'en', measurer: roughMeasurer, total: 'Total' },
  )

describe('a table', () => {
  it('tells written cells into types, and numbers are sums in its last row', () => {
    const own = element({
      cells: [
        ['Route', 'Riders'],
        ['Astrel', '1200'],
        ['Quill', '840.5'],
      ],
      totals: true,
    })
    const layout = lay(own)
    expect(layout.rows).toBe(4)
    const words = (row: number) => layout.cells.filter(cell => cell.row === row).map(cell => cell.lines.join(' '))
    expect(words(0)).toEqual(['Route', 'Riders'])
    expect(words(1)).toEqual(['Astrel', '1,200.0'])
    expect(words(3)).toEqual(['Total', '2,040.5'])
    const shares = lay(
      element({
        cells: [
          ['Route', 'Share'],
          ['Astrel', '48 %'],
          ['Quill', '51.5 %'],
        ],
        totals: true,
      }),
    )
    expect(shares.cells.filter(cell => cell.row === 3).map(cell => cell.lines.join(' '))).toEqual(['Total', '99.5 %'])
  })

  it('reads data by the columns that are chosen, and waits where they are not here yet', () => {
    const columns = tableContent(element({ table: 'seasons', columns: ['crossings'] }), () => seasons)!
    expect(columns.map(column => column.name)).toEqual(['crossings'])
    expect(tableContent(element({ table: 'elsewhere' }), () => undefined)).toBeNull()
  })

  it('stands inside its box: no cell over another, rows and columns complete, whatever is written', () => {
    const cell = fc.oneof(fc.stringMatching(/^[a-z ]{0,24}$/), fc.integer({ min: -99999, max: 99999 }).map(String), fc.constant(''))
    fc.assert(
      fc.property(
        fc
          .integer({ min: 1, max: 6 })
          .chain(width => fc.array(fc.array(cell, { minLength: width, maxLength: width }), { minLength: 2, maxLength: 9 })),
        fc.integer({ min: 500, max: 1600 }),
        fc.integer({ min: 400, max: 900 }),
        fc.boolean(),
        (cells, width, height, totals) => {
          const layout = lay(element({ cells, totals }), { width, height })
          expect(layout.cells).toHaveLength(layout.rows * layout.columns)
          if (!layout.fits) return
          for (const one of layout.cells) {
            expect(one.x + one.width).toBeLessThanOrEqual(width + 0.5)
            expect(one.y + one.height).toBeLessThanOrEqual(height + 1)
          }
          const rows = new Map<number, number>()
          for (const one of layout.cells) {
            expect(rows.get(one.row) ?? one.y).toBe(one.y)
            rows.set(one.row, one.y)
          }
        },
      ),
      { numRuns: 60 },
    )
  })

  it('sets decimal signs of a column one under the other', () => {
    const own = element({
      cells: [
        ['A', 'Amount'],
        ['a', '3.5'],
        ['b', '12'],
        ['c', '1.25'],
      ],
      looks: [null, { format: { decimals: null, scale: 'none', prefix: '', suffix: '' } }],
    })
    for (const cell of lay(own).cells.filter(one => one.column === 1 && one.kind === 'body')) expect(cell.align).toBe('right')
    expect(atDecimal('1,234.50 km', 'en')).toEqual(['1,234', '.50 km'])
    expect(atDecimal('12 km', 'en')).toEqual(['12', ' km'])
    expect(atDecimal('3,5', 'de')).toEqual(['3', ',5'])
  })

  it('writes days and numbers as the language does', () => {
    expect(cellWords({ name: 'Day', type: 'date', values: ['2031-05-04', null] }, undefined, 'en')).toEqual(['May 4, 2031', ''])
    // What people write in cells is shown as they mean it, not as it is kept.
    const written = (...cells: string[]) => {
      const own = element({ cells: [['A'], ...cells.map(cell => [cell])] })
      return cellWords(tableContent(own, () => undefined)![0]!, undefined, 'en')
    }
    expect(written('48 %', '52.5 %')).toEqual(['48.0 %', '52.5 %'])
    expect(written('€ 12', '€ 3.50')).toEqual(['€12.00', '€3.50'])
    expect(written('48 km', '7.5 km')).toEqual(['48.0 km', '7.5 km'])
    expect(written('06:10', '07:00')).toEqual(['06:10', '07:00'])
    expect(written('1 h 5 min', '2 h')).toEqual(['1 h 05 min', '2 h'])
    expect(written('Q1', 'Q2')).toEqual(['Q1', 'Q2'])
    // Moments of any grain, as they come of cells that are written.
    expect(cellWords({ name: 'Q', type: 'date', grain: 'quarter-of-year', values: ['--Q1', null] }, undefined, 'en')).toEqual(['Q1', ''])
    expect(cellWords({ name: 'M', type: 'date', grain: 'month', values: ['2031-04'] }, undefined, 'en')).toEqual(['Apr 2031'])
    expect(cellWords({ name: 'W', type: 'date', values: ['no day'] }, undefined, 'en')).toEqual(['no day'])
    expect(cellWords({ name: 'N', type: 'number', values: [1234.5, 2] }, undefined, 'de')).toEqual(['1.234,5', '2,0'])
  })
})
