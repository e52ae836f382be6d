import { describe, expect, it } from 'vitest'
import type { DataTable } from '../../data'
import { houseTheme } from '../../layouts'
import { roughMeasurer } from '../../text'
import { drawChart, newChart, type ChartRoom } from '../index'
import { betweenShares } from './bands'

const room: ChartRoom = { width: 1200, height: 640, textSize: 28, fonts: houseTheme.fonts, measurer: roughMeasurer, language: 'en' }

describe('bands', () => {
  it('hold the middle half, by quartiles between neighbours, and leave out what has no number', () => {
    const entries = (count: number) => Array.from({ length: count }, (_, at) => ({ key: String(at), label: String(at) }))
    const data = {
      categories: entries(2),
      values: [
        [1, null],
        [4, null],
        [2, null],
        [3, 7],
      ],
    }
    // Of 1 to 4 by R-7: 1 + 0.75, and 3 + 0.25.
    expect(betweenShares(data, 0.25, 0.75)).toEqual([
      [1.75, 3.25],
      [7, 7],
    ])
    expect(betweenShares({ ...data, values: [[null, 1]] }, 0, 1)[0]).toBeNull()
  })

  it('lie within each other, and one that is highlighted has its own line', () => {
    const table = levels()
    const { marks, names } = drawChart(
      { ...newChart('t'), kind: 'bands', across: 'year', series: 'gauge', highlighted: ['Gauge 3'] },
      table,
      room,
    )
    expect(names).toEqual(['All', 'Middle half', 'Median', 'Gauge 3'])
    const [outer, inner] = marks.filter(mark => mark.shape === 'area')
    outer!.top.forEach(({ y }, at) => {
      expect(y).toBeLessThanOrEqual(inner!.top[at]!.y)
      expect(outer!.bottom[at]!.y).toBeGreaterThanOrEqual(inner!.bottom[at]!.y)
    })
    expect(marks.filter(mark => mark.shape === 'line').map(({ highlighted }) => highlighted)).toEqual([false, true])
  })
})

describe('ribbons', () => {
  it('stand with the largest on top in each column, and lead from where a series stands to where it stands next', () => {
    const values: Record<string, number[]> = { Astrel: [50, 20], Quill: [10, 30] }
    const table: DataTable = {
      id: 't',
      name: 't',
      columns: [
        { name: 'year', type: 'date', grain: 'year', values: ['2030', '2031', '2030', '2031'] },
        { name: 'route', type: 'text', values: ['Astrel', 'Astrel', 'Quill', 'Quill'] },
        { name: 'riders', type: 'number', values: [...values.Astrel!, ...values.Quill!] },
      ],
    }
    const { marks } = drawChart({ ...newChart('t'), kind: 'ribbons', series: 'route' }, table, room)
    const cell = (key: string) => marks.find(mark => mark.shape === 'cell' && mark.key === key)! as { y: number; height: number; x: number }
    expect(cell('Astrel 2030').y).toBeLessThan(cell('Quill 2030').y)
    expect(cell('Quill 2031').y).toBeLessThan(cell('Astrel 2031').y)
    const ribbon = marks.find(mark => mark.key === 'Quill 2030 on')
    expect(ribbon?.shape === 'area' && [ribbon.top[0]!.y, ribbon.top.at(-1)!.y]).toEqual([cell('Quill 2030').y, cell('Quill 2031').y])
    // As high as they are much, but for what lies between them.
    expect((cell('Astrel 2030').height + 3) / (cell('Quill 2030').height + 3)).toBeCloseTo(5, 3)
  })
})

describe('a table with bars', () => {
  const table: DataTable = {
    id: 't',
    name: 't',
    columns: [
      { name: 'berth', type: 'text', values: ['Customs Quay', 'Old Slip'] },
      { name: 'calls', type: 'number', values: [400, 100] },
      { name: 'change', type: 'number', kind: 'percent', values: [0.5, null] },
    ],
  }
  const { marks, labels, description } = drawChart(
    { ...newChart('t'), kind: 'table-bars', height: 'calls', beside: ['change'] },
    table,
    room,
  )

  it('has in each column bars of that column’s own scale', () => {
    const wide = (key: string) => (marks.find(mark => mark.key === key) as { width: number } | undefined)?.width
    expect(wide('Old Slip calls')! / wide('Customs Quay calls')!).toBeCloseTo(0.25, 6)
    expect(wide('Customs Quay change')).toBeCloseTo(wide('Customs Quay calls')!, -2)
    expect(wide('Old Slip change')).toBeUndefined()
  })

  it('writes each column as its numbers are written, and says what is missing', () => {
    const said = labels.filter(({ kind }) => kind === 'value').flatMap(({ lines }) => lines)
    expect(said).toEqual(['400', '50 %', '100', '–'])
    expect(description).toBe(
      'Table with bars by berth: 2 rows, 2 columns. calls: highest Customs Quay, 400. change: highest Customs Quay, 50 %.',
    )
  })
})

/** Six gauges through four years. */
function levels(): DataTable {
  const years = ['2028', '2029', '2030', '2031']
  const rows = years.flatMap((year, at) =>
    [1, 2, 3, 4, 5, 6].map(gauge => ({ year, gauge: `Gauge ${gauge}`, level: 400 + at * 10 + ((gauge * 37) % 50) })),
  )
  return {
    id: 't',
    name: 't',
    columns: [
      { name: 'year', type: 'date', grain: 'year', values: rows.map(({ year }) => year) },
      { name: 'gauge', type: 'text', values: rows.map(({ gauge }) => gauge) },
      { name: 'level', type: 'number', values: rows.map(({ level }) => level) },
    ],
  }
}
