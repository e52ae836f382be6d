import { describe, expect, it } from 'vitest'
import { runThrough, type Column, type DataTable, type RunWish } from './index'

const table = (columns: Column[]): DataTable => ({ id: 't', name: 't', columns })
/** Two routes over two years, in no order; Mail begins in the second, and one row says no year. */
const seats = table([
  { name: 'year', type: 'date', grain: 'year', values: ['2031', '2030', '2031', '2030', null, '2031'] },
  { name: 'route', type: 'text', values: ['Quill', 'Quill', 'Mail', 'Astrel', 'Astrel', 'Astrel'] },
  { name: 'seats', type: 'number', values: [30, 10, 8, 40, 999, 60] },
  { name: 'knots', type: 'number', values: [12, 10, 9, 20, 99, 22] },
])
const wish: RunWish = { through: 'year', across: 'route', height: 'seats', series: null, aggregate: 'sum' }
const at = (of: DataTable, more: Partial<RunWish>, time: number, keys: readonly string[]) => {
  const run = runThrough(of, { ...wish, ...more })!
  return Object.fromEntries(run.at(time, keys).columns.map(({ name, values }) => [name, values]))
}

describe('a table that is run through', () => {
  it('has its moments in the order of time; rows that say none stand at none', () => {
    const run = runThrough(seats, wish)!
    expect(run.moments.map(({ label }) => label)).toEqual(['2030', '2031'])
    expect(run.knots.map(({ categories }) => categories.map(({ key }) => key))).toEqual([
      ['Quill', 'Astrel'],
      ['Quill', 'Mail', 'Astrel'],
    ])
    expect(runThrough(seats, { ...wish, through: 'month' })).toBeNull()
    expect(runThrough(table([{ name: 'year', type: 'date', values: [null] }]), wish)).toBeNull()
  })

  it('runs through what is no time in the order of its rows', () => {
    const stages = table([
      { name: 'stage', type: 'text', values: ['Plan', 'Draft', 'Plan'] },
      { name: 'route', type: 'text', values: ['Quill', 'Quill', 'Mail'] },
      { name: 'seats', type: 'number', values: [1, 2, 3] },
    ])
    expect(runThrough(stages, { ...wish, through: 'stage' })!.moments.map(({ label }) => label)).toEqual(['Plan', 'Draft'])
  })

  it('lies in a straight line between two moments; amounts that are added up grow from nothing, others do not', () => {
    const keys = ['Astrel', 'Quill', 'Mail']
    expect(at(seats, {}, 0.25, keys)).toEqual({ route: keys, seats: [45, 15, 2] })
    expect(at(seats, { aggregate: 'mean' }, 0.25, keys)).toEqual({ route: keys, seats: [45, 15, 8] })
    expect(at(seats, { aggregate: 'count' }, 0.5, keys)).toEqual({ route: keys, rows: [1, 1, 0.5] })
  })

  it('is, at a moment and beyond its ends, what stands there and nothing else', () => {
    const keys = ['Quill', 'Mail', 'Astrel']
    expect(at(seats, {}, 0, keys)).toEqual({ route: ['Quill', 'Astrel'], seats: [10, 40] })
    expect(at(seats, {}, -3, keys)).toEqual(at(seats, {}, 0, keys))
    expect(at(seats, {}, 9, keys)).toEqual({ route: keys, seats: [30, 8, 60] })
    expect(at(seats, {}, 1, ['Mail'])).toEqual({ route: ['Mail'], seats: [8] })
  })

  it('takes a second amount along by its mean, and columns beside it as the first', () => {
    expect(at(seats, { along: 'knots' }, 0.5, ['Quill'])).toEqual({ route: ['Quill'], seats: [20], knots: [11] })
    expect(at(seats, { beside: ['knots'] }, 0.5, ['Astrel'])).toEqual({ route: ['Astrel'], seats: [50], knots: [21] })
  })

  it('is parted into series, each on its own way', () => {
    const parted = table([
      { name: 'year', type: 'date', grain: 'year', values: ['2030', '2030', '2031', '2031'] },
      { name: 'route', type: 'text', values: ['Quill', 'Quill', 'Quill', 'Quill'] },
      { name: 'class', type: 'text', values: ['foot', 'car', 'foot', 'car'] },
      { name: 'seats', type: 'number', values: [10, 4, 20, 8] },
    ])
    expect(at(parted, { series: 'class' }, 0.5, ['Quill'])).toEqual({ route: ['Quill', 'Quill'], class: ['foot', 'car'], seats: [15, 6] })
  })

  it('knows what each amount lies between all the way', () => {
    const { extents } = runThrough(seats, { ...wish, along: 'knots' })!
    expect([...extents]).toEqual([
      ['seats', [8, 60]],
      ['knots', [9, 22]],
    ])
  })

  it('keeps numbers that name categories numbers, and what is not given not given', () => {
    const berths = table([
      { name: 'year', type: 'date', grain: 'year', values: ['2030', '2030'] },
      { name: 'berth', type: 'number', values: [2, null] },
      { name: 'boats', type: 'number', values: [5, 7] },
    ])
    const [berth] = runThrough(berths, { ...wish, across: 'berth', height: 'boats' })!.at(0, ['2', 'not given']).columns
    expect(berth!.values).toEqual([2, null])
  })
})
