import fc from 'fast-check'
import { describe, expect, it } from 'vitest'
import { formatNumber, readCsv, readNumber, summarise, type DataTable } from './index'

const utf8 = (text: string) => new Uint8Array(Buffer.from(text, 'utf8'))
const read = (text: string | Uint8Array, name = 'table.csv') => readCsv(typeof text === 'string' ? utf8(text) : text, name, 't')
const table = (text: string | Uint8Array): DataTable => {
  const outcome = read(text)
  if (!outcome.ok) throw new Error(outcome.message)
  return outcome.value.table
}
const column = (made: DataTable, name: string) => made.columns.find(candidate => candidate.name === name)!

describe('reading a table', () => {
  it('takes semicolons, decimal commas, a byte-order mark and line breaks inside quotation marks', () => {
    const made = table('\ufeffmonth;riders;note\r\nJan;"1.234,5";calm\r\nFeb;987,25;"storm,\r\nsecond week"\r\n')
    expect(column(made, 'riders')).toEqual({
      name: 'riders',
      type: 'number',
      kind: 'number',
      values: [1234.5, 987.25],
    })
    expect(column(made, 'note').values[1]).toBe('storm,\r\nsecond week')
  })

  it('takes commas and decimal points, tabs, and the old western encoding', () => {
    expect(column(table('a,b\nx,1.5\ny,2.25'), 'b').values).toEqual([1.5, 2.25])
    expect(column(table('a\tb\nx\t1,5\ny\t2,25'), 'b').values).toEqual([1.5, 2.25])
    expect(table(new Uint8Array([0x61, 0x3b, 0x62, 0x0a, 0xe9, 0x3b, 0x31])).columns[0]!.values).toEqual(['é'])
  })

  it('keeps missing values missing, gives nameless and twice-named columns names, and knows days', () => {
    const made = table('day,x,x,\n2031-04-02,1,,z\n2031-04-03,,2,z')
    expect(made.columns.map(item => [item.name, item.type])).toEqual([
      ['day', 'date'],
      ['x', 'number'],
      ['x 2', 'number'],
      ['Column 4', 'text'],
    ])
    expect(made.columns[1]!.values).toEqual([1, null])
  })

  it.each([
    ['one line only', 'a,b,c', /holds no rows/],
    ['nothing', '', /holds nothing/],
    ['an open quotation mark', 'a,b\n"x,1\ny,2', /never closed/],
    ['no text', 'a\0b,c\n1,2', /not text/],
  ])('says what is wrong with %s', (_, text, words) => {
    const outcome = read(text, 'bad.csv')
    expect(!outcome.ok && outcome.message).toMatch(words)
    expect(!outcome.ok && outcome.message).toContain('bad.csv')
  })

  it('reads back any numbers that it is given, with either sign', () => {
    fc.assert(
      fc.property(
        fc.array(
          fc.integer({ min: -1e9, max: 1e9 }).map(value => value / 100),
          { minLength: 2, maxLength: 20 },
        ),
        values => {
          const comma = ['n;v', ...values.map((value, index) => `r${index};${String(value).replace('.', ',')}`)].join('\n')
          expect(column(table(comma), 'v').values).toEqual(values)
          const point = ['n,v', ...values.map((value, index) => `r${index},${value}`)].join('\n')
          expect(column(table(point), 'v').values).toEqual(values)
        },
      ),
    )
  })

  it('reads percents and thousands marks, and nothing that is not a number', () => {
    expect([readNumber('12,5 %', ','), readNumber('1 234', '.'), readNumber('1.234.567', ','), readNumber('−3', '.')]).toEqual([
      0.125, 1234, 1234567, -3,
    ])
    expect([readNumber('1,2,3', '.'), readNumber('12 boats', '.'), readNumber('', '.')]).toEqual([null, null, null])
  })
})

describe('summing up', () => {
  const made = table('month,route,riders\nJan,A,10\nJan,B,5\nFeb,A,20\nMar,B,')

  it('gathers by a column and keeps the order of the data', () => {
    expect(summarise(made, { by: 'month', value: 'riders', aggregate: 'sum', order: 'data' }).rows).toEqual([
      { key: '--01', label: 'Jan', value: 15 },
      { key: '--02', label: 'Feb', value: 20 },
      { key: '--03', label: 'Mar', value: null },
    ])
  })

  it('orders by amount or by name, counts rows, and finds columns that were not named', () => {
    expect(summarise(made, { by: 'month', value: 'riders', aggregate: 'mean', order: 'falling' }).rows.map(row => row.key)).toEqual([
      '--02',
      '--01',
      '--03',
    ])
    expect(summarise(made, { by: null, value: null, aggregate: 'count', order: 'name' }).rows).toEqual([
      { key: '--01', label: 'Jan', value: 2 },
      { key: '--02', label: 'Feb', value: 1 },
      { key: '--03', label: 'Mar', value: 1 },
    ])
    expect(summarise(made, { by: 'gone', value: 'gone', aggregate: 'sum', order: 'data' })).toMatchObject({
      category: 'month',
      amount: 'riders',
    })
  })
})

describe('numbers as a reader sees them', () => {
  const format = { decimals: null, scale: 'auto' as const, prefix: '', suffix: '' }
  it.each([
    [41_240, format, 'en', [41_240], '41.2k'],
    [950, format, 'en', [950], '950'],
    [1_500_000, format, 'de', [1_500_000], '1,5M'],
    [1_094_300, format, 'en', [213_000, 480_000, 300_000, 1_094_300], '1,094k'],
    [0.962, { ...format, scale: 'percent' as const, decimals: 1 }, 'en', [0.962], '96.2 %'],
    [1234, { ...format, scale: 'none' as const, prefix: '~', suffix: 'riders' }, 'en', [1234], '~1,234 riders'],
    [null, format, 'en', [], '–'],
  ])('%s', (value, how, language, among, words) => expect(formatNumber(value, how, language, among)).toBe(words))

  it('gives all numbers that stand together the same scale and decimals', () => {
    expect([12_000, 500].map(value => formatNumber(value, format, 'en', [12_000, 500]))).toEqual(['12.0k', '0.5k'])
  })
})
