import fc from 'fast-check'
import { describe, expect, it, vi } from 'vitest'
import { inPage } from '../testing/open-deck'
import { answers } from '../testing/setup'
import { trimmed, useTypedGrid, written } from './typed-grid'

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
  it('are always as wide as their names, and never more than is taken', () => {
    const block = fc.array(fc.array(fc.string(), { maxLength: 5 }), { maxLength: 5 })
    fc.assert(
      fc.property(block, fc.integer({ min: -1, max: 2500 }), fc.nat(120), (lines, row, column) => {
        const grid = written(cells, { row, column }, lines)
        expect(grid.rows.length).toBeLessThanOrEqual(2000)
        expect(grid.header.length).toBeLessThanOrEqual(100)
        for (const one of grid.rows) expect(one).toHaveLength(grid.header.length)
        expect(trimmed(trimmed(grid))).toEqual(trimmed(grid))
      }),
    )
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
  it('says why it is not kept, and shows what somebody else typed meanwhile', async () => {
    let now = cells
    answers.set('/api/data/t/grid', ({ method }) => {
      if (method !== 'PUT') return { ...now, stamp: 'one' }
      now = { ...cells, rows: [['Harrow', '3']] }
      throw Object.assign(new Error('changed'), { name: 'FetchError', statusCode: 409, data: { message: 'Somebody else has typed.' } })
    })
    const { grid } = await open('t')
    grid.write({ row: 0, column: 1 }, [['13']])
    await later()
    expect(grid.cells.value.rows).toEqual([['Harrow', '3']])
  })
})
