import fc from 'fast-check'
import { describe, expect, it } from 'vitest'
import { readWritten, sketchOf } from '../../testing'
import { sampleSize } from './column'
import { frameOf } from './frame'
import { readRows, type ReadingChoices, type TableReading } from './index'

const rowsOf = (text: string) => text.split('\n').map(line => line.split(','))
const read = (text: string, choices: ReadingChoices = {}) => readRows(rowsOf(text), { name: 'Boardings', id: 't', choices })
const noteOf = (reading: TableReading, about: TableReading['notes'][number]['about']) => reading.notes.find(note => note.about === about)!
const columnOf = (reading: TableReading, name: string) => reading.columns.find(column => column.name === name)!

describe('what was done to a whole table', () => {
  it.each([
    ['totals', 'stop,riders\nQuill,12\nHarrow,7\nTotal,19', ['stop | place | Quill, Harrow, Total', 'riders | number | 12, 7, 19']],
    ['missing', 'stop,riders\nQuill,12\nHarrow,..', ['stop | place | Quill, Harrow', 'riders | number | 12, 0']],
    [
      'gathered',
      'stop,2029,2030,2031\nQuill,1,2,3',
      ['stop | place | Quill', '2029 | number | 1', '2030 | number | 2', '2031 | number | 3'],
    ],
    ['header', ',Spring,\nstop,boats,riders\nQuill,1,2', ['stop | place | Quill', 'boats | number | 1', 'riders | number | 2']],
  ] as const)('is undone by the press that goes with it: %s', (about, text, columns) => {
    const { back } = noteOf(read(text), about)
    expect(sketchOf(read(text, back!.choices))).toEqual(columns)
  })

  it('comes back where the way back has a way back', () => {
    const text = 'stop,riders\nQuill,12\nHarrow,..'
    const zero = noteOf(read(text), 'missing').back!.choices
    const again = noteOf(read(text, zero), 'missing').back!.choices
    expect(sketchOf(read(text, { ...zero, ...again }))).toEqual(sketchOf(read(text)))
  })

  it('says what changes amounts first, and what only names them last', () => {
    const reading = read('Title\nstop,stop,2029,2030,2031\nQuill,a,1,2,..\nHarrow,b,3,4,5\nTotal,,4,6,5\n')
    expect(reading.notes.map(note => note.about)).toEqual(['totals', 'gathered', 'missing', 'above', 'names'])
  })
})

describe('a question that is open', () => {
  const text = 'day,riders\n03/04/2031,12\n05/06/2031,9'

  it('has two answers made of the column’s own cell, and each decides it', () => {
    const open = columnOf(read(text), 'day').open!
    expect(open.answers.map(({ label }) => label)).toEqual(['3 April', '4 March'])
    const days = open.answers.map(({ choice }) => read(text, { columns: { day: choice } }).table.columns[0]!.values)
    expect(days).toEqual([
      ['2031-04-03', '2031-06-05'],
      ['2031-03-04', '2031-05-06'],
    ])
  })

  it('is none any more once it is answered, and holds for the table’s next version', () => {
    const choice = columnOf(read(text), 'day').open!.answers[1]!.choice
    const next = read('day,riders\n03/04/2031,12\n07/08/2031,5', { columns: { day: choice } })
    expect(columnOf(next, 'day')).toMatchObject({ isChosen: true, choice: { kind: 'date', order: 'mdy' } })
    expect(columnOf(next, 'day').open).toBeUndefined()
    expect(next.table.columns[0]).toMatchObject({ type: 'date', values: ['2031-03-04', '2031-07-08'] })
  })

  it('keeps the cells as they were written until then', () => {
    expect(read(text).table.columns[0]).toMatchObject({ type: 'text', values: ['03/04/2031', '05/06/2031'] })
    expect(read(text).table.columns[0]!.open).toBe('No day is above 12.')
  })
})

describe('a decimal sign that no cell tells', () => {
  const rows = (crew: string, piers: string, total: string) => `item;planned\nCrew;${crew}\nPiers;${piers}\nFares;415\nTotal;${total}`
  const planned = (text: string) => {
    const { table, totals } = readWritten(text)
    return { values: table.columns[1]!.values, agrees: totals.map(({ sums }) => sums[0]?.agrees) }
  }

  it('is the one by which the total comes to what the rows do', () => {
    expect(planned(rows('4,210', '1,260', '5,885'))).toEqual({ values: [4210, 1260, 415], agrees: [true] })
    expect(planned(rows('4,210', '1,260', '420,470'))).toEqual({ values: [4.21, 1.26, 415], agrees: [true] })
    expect(planned(rows('4.210', '1.260', '5.885'))).toEqual({ values: [4210, 1260, 415], agrees: [true] })
  })

  it('stays what is likelier where the total agrees by none', () => {
    const likelier = planned('item;planned\nCrew;4,210\nPiers;1,260\nFares;415').values
    expect(planned(rows('4,210', '1,260', '9,999'))).toEqual({ values: likelier, agrees: [false] })
  })
})

describe('the ways of reading a column', () => {
  it('are offered with how many cells each reads, and what becomes of one', () => {
    const { offers } = columnOf(readWritten('item;cost\nFuel;1.240,50 €\nCrew;20,00 €\nPaint;1.015 €'), 'cost')
    expect(offers.map(({ label, reads, of, example }) => [label, reads, of, example])).toEqual([
      ['Money, comma is the decimal', 3, 3, { cell: '1.240,50 €', value: 1240.5, shown: '1,240.50 €' }],
      ['Plain number, comma is the decimal, unit left out', 3, 3, { cell: '1.240,50 €', value: 1240.5, shown: '1,240.5' }],
      ['Text, as it was written', 3, 3, { cell: '1.240,50 €', value: '1.240,50 €', shown: '1.240,50 €' }],
      ['Money, point is the decimal', 1, 3, { cell: '1.015 €', value: 1.015, shown: '1.015 €' }],
      ['Plain number, point is the decimal, unit left out', 1, 3, { cell: '1.015 €', value: 1.015, shown: '1.015' }],
    ])
  })

  it('read a column so when they are chosen, against what it would be by itself', () => {
    const text = 'stop,boats\nQuill,1998\nHarrow,2004\nSaltworks,2011'
    expect(columnOf(read(text), 'boats').choice.kind).toBe('number')
    const choice = columnOf(read(text), 'boats').offers.find(({ label }) => label === 'Year')!.choice
    expect(read(text, { columns: { boats: choice } }).table.columns[1]).toMatchObject({
      type: 'date',
      grain: 'year',
      values: ['1998', '2004', '2011'],
    })
    expect(read(text, { columns: { boats: { kind: 'text' } } }).table.columns[1]).toMatchObject({
      type: 'text',
      values: ['1998', '2004', '2011'],
    })
  })
})

describe('a large table', () => {
  const days = (count: number, told: number) =>
    ['day,riders', ...Array.from({ length: count }, (_, row) => (row === told ? '25/04/2031,1' : `0${1 + (row % 8)}/04/2031,${row}`))].join(
      '\n',
    )

  it('is read by all of its cells where one beyond those that were looked at says more', () => {
    const count = sampleSize * 3
    const reading = read(days(count, 1))
    expect(reading.table.columns[0]).toMatchObject({ type: 'date', grain: 'day' })
    expect(reading.table.columns[0]!.values.slice(0, 3)).toEqual(['2031-04-01', '2031-04-25', '2031-04-03'])
    expect(read(days(count, -1)).table.columns[0]!.open).toBe('No day is above 12.')
  })
})

describe('any rows at all', () => {
  const cell = fc.oneof(
    fc.constantFrom(
      '',
      ' ',
      'Total',
      'Source: desk',
      '2031',
      '1.234',
      '1,234',
      '03/04/2031',
      '25.04.31',
      'n/a',
      '€12',
      '12 %',
      'yes',
      'Q1',
      '0041',
      '(5)',
      '1:05',
    ),
    fc.string({ maxLength: 12 }),
    fc.integer().map(String),
  )
  const grid = fc.array(fc.array(cell, { maxLength: 6 }), { maxLength: 14 })

  it('are each of them in one place: above, header, data, total, below, left out, or empty', () => {
    fc.assert(
      fc.property(grid, rows => {
        const frame = frameOf(rows)
        const filled = rows.filter(row => row.some(one => one.trim() !== '')).length
        const told = frame.above.length + frame.header.length + frame.rows.length + frame.repeated + frame.below.length
        // Rows of another table are counted with the empty ones among them.
        expect(told + (frame.other ? filled - told : 0)).toBe(filled)
        expect(frame.other).toBeGreaterThanOrEqual(filled - told)
      }),
    )
  })

  it('become columns of one length with values of their type, and every amount is a finite number', () => {
    fc.assert(
      fc.property(grid, rows => {
        const { table } = readRows(rows, { name: 't', id: 't' })
        const lengths = new Set(table.columns.map(column => column.values.length))
        expect(lengths.size).toBeLessThanOrEqual(1)
        expect(new Set(table.columns.map(column => column.name)).size).toBe(table.columns.length)
        for (const column of table.columns)
          for (const value of column.values)
            if (value !== null)
              expect(typeof value === 'number' ? Number.isFinite(value) : value).toBe(column.type === 'number' ? true : value)
      }),
    )
  })

  it('lose no amount: what is not read as one is missing by a mark, or told', () => {
    const amounts = fc.array(fc.oneof(fc.integer({ min: -9999, max: 9999 }).map(String), fc.constantFrom('..', 'n/a', '', 'closed')), {
      minLength: 6,
      maxLength: 30,
    })
    fc.assert(
      fc.property(amounts, cells => {
        const { table, columns } = readRows([['stop', 'riders'], ...cells.map((one, row) => [`s${row}x`, one])], {
          name: 't',
          id: 't',
          choices: { above: 0, header: 1 },
        })
        const column = table.columns.find(({ name }) => name === 'riders')
        if (column?.type !== 'number') return
        const { missing, unread } = columns[1]!
        const gone = missing.reduce((sum, [, count]) => sum + count, 0) + unread.count
        expect(column.values.filter(value => value !== null).length + gone).toBe(cells.length)
        expect(unread.count).toBe(cells.filter(one => one === 'closed').length)
      }),
    )
  })
})
