import fc from 'fast-check'
import { describe, expect, it } from 'vitest'
import { formatNumber, scaleFor, summarise, type DataTable } from './index'

const row = fc.record({
  key: fc.constantFrom('Astrel', 'Quill', 'Low Sands', 'Harrow', ''),
  value: fc.option(fc.integer({ min: -10_000, max: 10_000 }), { nil: null }),
})
const rows = fc.array(row, { minLength: 1, maxLength: 60 })
const tableOf = (list: { key: string; value: number | null }[]): DataTable => ({
  id: 't',
  name: 't.csv',
  columns: [
    { name: 'route', type: 'text', values: list.map(item => item.key) },
    { name: 'riders', type: 'number', values: list.map(item => item.value) },
  ],
})
const input = { by: 'route', value: 'riders', aggregate: 'sum' as const, order: 'data' as const }

describe('groups of a table', () => {
  it('add up to the whole, whatever stands in it, and lose no group', () => {
    fc.assert(
      fc.property(rows, list => {
        const made = summarise(tableOf(list), input).rows
        expect(made.reduce((sum, item) => sum + (item.value ?? 0), 0)).toBe(list.reduce((sum, item) => sum + (item.value ?? 0), 0))
        expect(new Set(made.map(item => item.key)).size).toBe(new Set(list.map(item => item.key)).size)
        expect(summarise(tableOf(list), { ...input, aggregate: 'count' }).rows.reduce((sum, item) => sum + item.value!, 0)).toBe(
          list.length,
        )
      }),
    )
  })

  it('have a mean between their least and their most, and none where no row has an amount', () => {
    fc.assert(
      fc.property(rows, list => {
        const of = (aggregate: 'mean' | 'least' | 'most') =>
          new Map(summarise(tableOf(list), { ...input, aggregate }).rows.map(item => [item.key, item.value]))
        const [mean, least, most] = [of('mean'), of('least'), of('most')]
        for (const [key, value] of mean) {
          if (value === null) expect([least.get(key), most.get(key)]).toEqual([null, null])
          else {
            expect(value).toBeGreaterThanOrEqual(least.get(key)!)
            expect(value).toBeLessThanOrEqual(most.get(key)!)
          }
        }
      }),
    )
  })

  it('are in the order that is asked for, those without an amount last when falling', () => {
    fc.assert(
      fc.property(rows, list => {
        const valuesIn = (order: 'rising' | 'falling') =>
          summarise(tableOf(list), { ...input, order }).rows.map(item => item.value ?? Number.NEGATIVE_INFINITY)
        expect(valuesIn('rising')).toEqual([...valuesIn('rising')].sort((a, b) => a - b))
        expect(valuesIn('falling')).toEqual([...valuesIn('falling')].sort((a, b) => b - a))
      }),
    )
  })
})

describe('a number among others', () => {
  const plain = { decimals: null, scale: 'auto' as const, prefix: '', suffix: '' }
  it('is in the scale of the middle one, whichever of them is asked', () => {
    fc.assert(
      fc.property(fc.array(fc.integer({ min: 1, max: 50_000_000 }), { minLength: 1, maxLength: 15 }), values => {
        const mark = { none: '', thousands: 'k', millions: 'M' }[scaleFor(values)]
        for (const value of values) expect(formatNumber(value, plain, 'en', values).replace(/[\d.,-]/g, '')).toBe(mark)
      }),
    )
  })

  it('keeps its value to what its decimals say', () => {
    fc.assert(
      fc.property(fc.double({ min: -1e6, max: 1e6, noNaN: true }), fc.integer({ min: 0, max: 4 }), (value, decimals) => {
        const read = Number(
          formatNumber(value, { ...plain, scale: 'none', decimals }, 'en')
            .replaceAll(',', '')
            .replace('−', '-'),
        )
        expect(Math.abs(read - value)).toBeLessThanOrEqual(0.5 * 10 ** -decimals + 1e-9)
      }),
    )
  })

  it('stands between what is written before and after it, with a blank before a word', () => {
    expect(formatNumber(1200, { ...plain, scale: 'none', prefix: '~', suffix: 'boats' }, 'en')).toBe('~1,200 boats')
    expect(formatNumber(1200, { ...plain, scale: 'none', suffix: '%' }, 'en')).toBe('1,200%')
    expect(formatNumber(null, plain, 'en')).toBe('–')
    expect(formatNumber(Number.NaN, plain, 'en')).toBe('–')
  })
})
