import fc from 'fast-check'
import { describe, expect, it, vi } from 'vitest'
import { inPage } from '../testing/open-deck'
import { answers } from '../testing/setup'
import { beyond, trimmed, useTypedGrid, written } from './typed-grid'

const cells = { header: ['stop', 'riders'], rows: [['Quill', '12']] }

describe('cells that are typed', () => {
  it('are kept without what is blank at the end, and with what is blank between', () => {
    const grid = {
      header: ['stop', '', ''],
      rows: [
        ['Quill', '', ''],
        ['', '', ''],
        ['', '3', ''],
        ['', '', ''],
      ],
    }
    expect(trimmed(grid)).toEqual({
      header: ['stop', ''],
      rows: [
        ['Quill', ''],
        ['', ''],
        ['', '3'],
      ],
    })
    expect(trimmed({ header: [''], rows: [] })).toEqual({ header: [''], rows: [] })
  })
  it('grow with what is written, names among it; lines within a cell become blanks', () => {
    expect(written(cells, { row: 1, column: 1 }, [['7', 'yes'], ['9']])).toEqual({
      header: ['stop', 'riders', ''],
      rows: [
        ['Quill', '12', ''],
        ['', '7', 'yes'],
        ['', '9', ''],
      ],
    })
    expect(written(cells, { row: -1, column: 2 }, [['two\nlines']]).header).toEqual(['stop', 'riders', 'two lines'])
  })
  it('are always as wide as their names; what the grid does not hold is said, and nothing of it written', () => {
    const block = fc.array(fc.array(fc.string(), { maxLength: 5 }), { maxLength: 5 })
    fc.assert(
      fc.property(block, fc.integer({ min: -1, max: 2500 }), fc.nat(120), (lines, row, column) => {
        const place = { row, column }
        if (beyond(place, lines)) {
          expect(() => written(cells, place, lines)).toThrow(RangeError)
          return
        }
        const grid = written(cells, place, lines)
        expect(grid.rows.length).toBeLessThanOrEqual(2000)
        expect(grid.header.length).toBeLessThanOrEqual(100)
        for (const one of grid.rows) expect(one).toHaveLength(grid.header.length)
        expect(trimmed(trimmed(grid))).toEqual(trimmed(grid))
      }),
    )
    expect(beyond({ row: 1999, column: 0 }, [['1'], ['2']])).toBe(
      'A table that is typed holds 2,000 rows; this would be 2,001. Upload it as a file.',
    )
    expect(beyond({ row: 1999, column: 0 }, [['1']])).toBe('')
    expect(beyond({ row: 0, column: 99 }, [['1', '2']])).toMatch(/^A table that is typed holds 100 columns/)
    expect(beyond({ row: -1, column: 0 }, [['x'.repeat(201)]])).toMatch(/^A name may have 200 letters/)
    expect(beyond({ row: 0, column: 0 }, [['x'.repeat(201)]])).toBe('')
  })
})

describe('a table that is typed', () => {
  const open = async (id: string | null) => {
    vi.useFakeTimers()
    const made: string[] = []
    const grid = inPage(() => useTypedGrid({ id: () => id, name: () => 'By hand', made: one => made.push(one), kept: () => {} }))
    await grid.load()
    return { grid, made }
  }
  const later = async () => {
    await vi.advanceTimersByTimeAsync(1000)
  }

  it('is kept a moment after the last change, once for all of them', async () => {
    const puts: unknown[] = []
    answers.set('/api/data/t/grid', ({ method, body }) => {
      if (method !== 'PUT') return { ...cells, stamp: 'one' }
      puts.push(body)
      return { stamp: 'two', held: null }
    })
    const { grid } = await open('t')
    grid.write({ row: 0, column: 1 }, [['13']])
    grid.write({ row: 0, column: 1 }, [['14']])
    expect(grid.isKept.value).toBe(false)
    await later()
    expect(grid.isKept.value).toBe(true)
    expect(puts).toEqual([{ grid: { ...cells, rows: [['Quill', '14']] }, stamp: 'one' }])
    grid.back()
    grid.back()
    await later()
    expect(puts.at(-1)).toEqual({ grid: cells, stamp: 'two' })
    grid.again()
    expect(grid.cells.value.rows).toEqual([['Quill', '13']])
  })
  it('is made once there is a row, and until then it is said that it is not kept', async () => {
    answers.set('/api/data/typed', ({ body }) => ({ id: (body as { name: string }).name, stamp: 'first' }))
    const puts: unknown[] = []
    answers.set('/api/data/By hand/grid', ({ body }) => {
      puts.push((body as { stamp: string }).stamp)
      return { stamp: 'second', held: null }
    })
    const { grid, made } = await open(null)
    grid.write({ row: -1, column: 0 }, [['stop']])
    await later()
    expect([made, grid.fault.value]).toEqual([[], 'Not saved: there is no row yet.'])
    grid.write({ row: 0, column: 0 }, [['Quill']])
    await later()
    expect([made, grid.fault.value]).toEqual([['By hand'], ''])
    // One goes on typing into what it has become.
    grid.write({ row: 1, column: 0 }, [['Harrow']])
    await later()
    expect(puts).toEqual(['first'])
  })
  const failing = (statusCode: number | undefined, message: string) =>
    Object.assign(new Error(message), { name: 'FetchError', statusCode, data: { message } })

  it('shows what somebody else typed meanwhile, says so, and what was typed here comes back by taking back', async () => {
    let now = { ...cells, stamp: 'one' }
    const puts: unknown[] = []
    answers.set('/api/data/t/grid', ({ method, body }) => {
      if (method !== 'PUT') return now
      if ((body as { stamp: string }).stamp !== now.stamp) throw failing(409, 'Somebody else has typed.')
      puts.push(body)
      return { stamp: 'three', held: null }
    })
    const { grid } = await open('t')
    now = { ...cells, rows: [['Harrow', '3']], stamp: 'two' }
    grid.write({ row: 0, column: 1 }, [['13']])
    await later()
    expect(grid.cells.value.rows).toEqual([['Harrow', '3']])
    expect(grid.fault.value).toMatch(/^Not saved: /)
    grid.back()
    await later()
    expect(puts).toEqual([{ grid: { ...cells, rows: [['Quill', '13']] }, stamp: 'two' }])
    expect([grid.fault.value, grid.isKept.value]).toEqual(['', true])
  })
  it('is tried again by itself while the server is away, and never called saved before it is', async () => {
    let isAway = true
    answers.set('/api/data/t/grid', ({ method }) => {
      if (method !== 'PUT') return { ...cells, stamp: 'one' }
      if (isAway) throw failing(undefined, 'no answer')
      return { stamp: 'two', held: null }
    })
    const { grid } = await open('t')
    grid.write({ row: 0, column: 1 }, [['13']])
    await later()
    expect([grid.isKept.value, grid.fault.value !== '']).toEqual([false, true])
    isAway = false
    await vi.advanceTimersByTimeAsync(6000)
    expect([grid.isKept.value, grid.fault.value]).toEqual([true, ''])
  })
  it('goes on being saved where a version is held, and says why that is', async () => {
    const puts: unknown[] = []
    answers.set('/api/data/t/grid', ({ method, body }) => {
      if (method !== 'PUT') return { ...cells, stamp: 'one' }
      puts.push((body as { grid: unknown }).grid)
      return { stamp: 'two', held: 'The column “riders” is gone.' }
    })
    const { grid } = await open('t')
    grid.write({ row: -1, column: 1 }, [['guests']])
    await later()
    expect([grid.held.value, grid.fault.value]).toEqual(['The column “riders” is gone.', ''])
    grid.write({ row: 0, column: 1 }, [['13']])
    await later()
    expect(puts).toHaveLength(2)
  })
  it('brings what somebody else typed where nothing of one’s own waits', async () => {
    let now = { ...cells, stamp: 'one' }
    answers.set('/api/data/t/grid', () => now)
    const { grid } = await open('t')
    now = { ...cells, rows: [['Harrow', '3']], stamp: 'two' }
    grid.write({ row: 0, column: 1 }, [['13']])
    await grid.follow()
    expect(grid.cells.value.rows).toEqual([['Quill', '13']])
    grid.back()
    await grid.follow()
    expect(grid.cells.value.rows).toEqual([['Harrow', '3']])
  })
})
