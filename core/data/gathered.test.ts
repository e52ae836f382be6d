import fc from 'fast-check'
import { describe, expect, it } from 'vitest'
import { gathered, momentPlace, type DataTable } from './index'

const table: DataTable = {
  id: 't',
  name: 't',
  columns: [
    { name: 'season', type: 'date', grain: 'year', values: ['2031', '2030', '2031', '2030', '2031'] },
    { name: 'route', type: 'text', values: ['Quill', 'Quill', 'Astrel', 'Quill', null] },
    { name: 'boats', type: 'number', values: [4, 3, 7, 2, null] },
    { name: 'cars', type: 'number', values: [1, 1, 2, null, 5] },
  ],
}
const plain = { by: 'season', value: 'boats', aggregate: 'sum', order: 'data' } as const

describe('rows that are gathered', () => {
  it('run in time, parted into series; what no row holds is null and never zero', () => {
    const made = gathered(table, { ...plain, series: 'route' })
    expect(made.categories.map(({ label }) => label)).toEqual(['2030', '2031'])
    expect(made.series.map(({ key }) => key)).toEqual(['Quill', 'Astrel', 'not given'])
    expect(made.values).toEqual([
      [5, 4],
      [null, 7],
      [null, null],
    ])
    expect(made.moments).toEqual([momentPlace('2030', 'year'), momentPlace('2031', 'year')])
  })

  it('have a series for each further column of amounts, and one only where rows are counted', () => {
    const made = gathered(table, { ...plain, beside: ['cars', 'route', 'gone'] })
    expect(made.series.map(({ key }) => key)).toEqual(['boats', 'cars'])
    expect(made.values).toEqual([
      [5, 11],
      [1, 8],
    ])
    expect(gathered(table, { ...plain, aggregate: 'count', beside: ['cars'] }).values).toEqual([[2, 3]])
  })

  it('in another order than that of time do not stand in time', () => {
    const made = gathered(table, { ...plain, order: 'falling' })
    expect([made.categories[0]!.key, made.moments]).toEqual(['2031', null])
  })

  it('are the largest and the rest where so many are asked for; the rest stands last and holds all others', () => {
    const parts: DataTable = {
      id: 't',
      name: 't',
      columns: [
        { name: 'quay', type: 'text', values: ['a', 'b', 'c', 'd', 'e'] },
        { name: 'boats', type: 'number', values: [1, 9, 2, 7, 3] },
      ],
    }
    const ask = (largest: number, more = {}) => {
      const { categories, values } = gathered(parts, { by: 'quay', value: 'boats', aggregate: 'sum', order: 'data', ...more, largest })
      return categories.map(({ label }, at) => `${label} ${values[0]![at]}`)
    }
    expect(ask(2)).toEqual(['b 9', 'd 7', 'The rest (3) 6'])
    expect(ask(2, { order: 'rising' })).toEqual(['d 7', 'b 9', 'The rest (3) 6'])
    expect(ask(2, { aggregate: 'mean' })[2]).toBe('The rest (3) 2')
    // One more than is asked for is no rest.
    expect(ask(4)).toHaveLength(5)
  })

  it('come to the same as their rows, however they are parted', () => {
    const rows = fc.array(
      fc.record({ a: fc.constantFrom('x', 'y', null), b: fc.constantFrom('p', 'q', 'r'), n: fc.option(fc.integer({ min: -99, max: 99 })) }),
      { minLength: 1 },
    )
    fc.assert(
      fc.property(rows, list => {
        const made: DataTable = {
          id: 't',
          name: 't',
          columns: [
            { name: 'a', type: 'text', values: list.map(({ a }) => a) },
            { name: 'b', type: 'text', values: list.map(({ b }) => b) },
            { name: 'n', type: 'number', values: list.map(({ n }) => n) },
          ],
        }
        const { values } = gathered(made, { by: 'a', value: 'n', aggregate: 'sum', order: 'data', series: 'b' })
        const sum = values.flat().reduce<number>((all, value) => all + (value ?? 0), 0)
        expect(sum).toBe(list.reduce((all, { n }) => all + (n ?? 0), 0))
      }),
    )
  })
})

describe('where a moment stands in time', () => {
  const day = (iso: string) => Date.parse(`${iso}T00:00:00Z`) / 86_400_000
  it('is the day at which it begins, of weeks the Monday (ISO 8601)', () => {
    expect([momentPlace('2031', 'year'), momentPlace('2031-Q3', 'quarter'), momentPlace('2031-04', 'month')]).toEqual([
      day('2031-01-01'),
      day('2031-07-01'),
      day('2031-04-01'),
    ])
    // 1 January 2026 was a Thursday: its week is the first. 2032 began on one too.
    expect([momentPlace('2026-W01', 'week'), momentPlace('2032-W01', 'week'), momentPlace('2031-W53', 'week')]).toEqual([
      day('2025-12-29'),
      day('2031-12-29'),
      day('2031-12-29'),
    ])
    expect(momentPlace('2031-04-03T11:30', 'minute')).toBeCloseTo(day('2031-04-03') + 11.5 / 24, 9)
  })

  it('is nowhere for one of any year, and for what is none', () => {
    expect([momentPlace('--04', 'month-of-year'), momentPlace('soon', 'day'), momentPlace('2031', 'month')]).toEqual([null, null, null])
  })
})
