import { describe, expect, it } from 'vitest'
import type { DataTable } from '../data'
import { houseTheme } from '../layouts'
import type { ChartSpec } from '../model'
import { roughMeasurer } from '../text'
import { amountWay, atStep, cellOf, dragStep, drawChart, naming, newChart, shapeOf, shiftOf, subjectOf, type ChartRoom } from './index'

const room: ChartRoom = { width: 1200, height: 640, textSize: 28, fonts: houseTheme.fonts, measurer: roughMeasurer, language: 'en' }
const tableOf = (riders: (number | null)[]): DataTable => ({
  id: 't',
  name: 'Riders',
  columns: [
    { name: 'stop', type: 'text', values: ['Quill', 'Astrel', 'Low Sands', 'Quill'] },
    { name: 'year', type: 'date', grain: 'year', values: ['2030', '2030', '2030', '2031'] },
    { name: 'riders', type: 'number', values: riders },
  ],
})
const table = tableOf([40, 25, 10, 44])
const single: DataTable = { ...table, columns: table.columns.map(column => ({ ...column, values: column.values.slice(0, 3) })) }
const draw = (spec: ChartSpec, of = single, size = room) => drawChart(spec, of, size)
const labelled = (key: string, spec: ChartSpec, of = single, size = room) => draw(spec, of, size).labels.find(label => label.key === key)!

describe('a label that was moved by hand', () => {
  const bars = newChart('t')
  const before = draw(bars)
  const label = before.labels.find(({ key }) => key === 'value Quill')!
  const to = { x: label.x + 260, y: label.y + 180 }
  const spec: ChartSpec = { ...bars, moved: { 'value Quill': shiftOf(label, before, to) } }

  it('stands where it was put, and is led to from its mark', () => {
    const moved = labelled('value Quill', spec)
    expect(moved.x).toBeCloseTo(to.x, 1)
    expect(moved.y).toBeCloseTo(to.y, 1)
    const bar = draw(spec).marks.find(({ key }) => key === 'Quill')!
    expect(moved.leader![0]).toEqual(shapeOf(bar).anchor(bar))
  })

  it('stays as far from its mark where new rows move that', () => {
    const shiftIn = (riders: number[]) => {
      const of = { ...single, columns: [...single.columns.slice(0, 2), { ...single.columns[2]!, values: riders }] }
      const bar = draw(spec, of).marks.find(({ key }) => key === 'Quill')!
      const { x, y } = labelled('value Quill', spec, of)
      const end = shapeOf(bar).anchor(bar)
      return [Math.round(x - end.x), Math.round(y - end.y)]
    }
    expect(shiftIn([20, 25, 30])).toEqual(shiftIn([40, 25, 30]))
  })

  it('is said though there would be no room for it, and others give way to it', () => {
    const many: DataTable = {
      id: 't',
      name: 't',
      columns: [
        { name: 'stop', type: 'text', values: Array.from({ length: 90 }, (_, at) => `Stop ${at}`) },
        { name: 'riders', type: 'number', values: Array.from({ length: 90 }, (_, at) => 100 + at) },
      ],
    }
    expect(labelled('value Stop 3', bars, many)).toBeUndefined()
    const kept = labelled('value Stop 3', { ...bars, moved: { 'value Stop 3': { x: 3, y: -6 } } }, many)
    expect(kept.lines).toEqual(['103'])
    const onAnother = draw({
      ...bars,
      moved: { 'value Astrel': { x: 0, y: 0 }, 'value Quill': shiftOf(label, before, labelled('value Low Sands', bars)) },
    })
    expect(onAnother.labels.some(({ key }) => key === 'value Quill')).toBe(true)
    expect(onAnother.labels.some(({ key }) => key === 'value Low Sands')).toBe(false)
    expect(onAnother.leftOut).toContain('10')
  })

  it('stays within the chart, however far it is put and however small the chart becomes', () => {
    const far = labelled('value Quill', { ...bars, moved: { 'value Quill': { x: 200, y: -200 } } }, single, {
      ...room,
      width: 400,
      height: 300,
    })
    expect([far.x + far.width / 2 <= 400, far.y >= 0]).toEqual([true, true])
  })
})

describe('what a mark stands for', () => {
  it('is found by its key, in one series and in several', () => {
    expect(subjectOf(newChart('t'), single, { key: 'Astrel' })).toMatchObject({ category: { key: 'Astrel' }, series: null })
    const several: ChartSpec = { ...newChart('t'), across: 'year', series: 'stop' }
    expect(subjectOf(several, table, { key: '2031 Quill' })).toMatchObject({ category: { key: '2031' }, series: { key: 'Quill' } })
    expect(subjectOf(several, table, { key: 'trend' })).toBeNull()
  })

  it('is a cell where one row says it, and why it is none where several do', () => {
    const subject = (key: string) => subjectOf(newChart('t'), table, { key })!
    expect(cellOf(newChart('t'), table, subject('Astrel'))).toEqual({ row: 1, column: 'riders', value: 25 })
    expect(cellOf(newChart('t'), table, subject('Quill'))).toBe('This is made of 2 rows. Change them in the grid.')
    const race: ChartSpec = { ...newChart('t'), across: 'stop', moment: { column: 'year', at: 'named', key: '2031' } }
    expect(cellOf(race, table, subjectOf(race, table, { key: 'Quill' })!)).toEqual({ row: 3, column: 'riders', value: 44 })
    expect(cellOf({ ...newChart('t'), aggregate: 'count' }, table, subject('Quill'))).toMatch(/counts rows/)
    expect(naming(newChart('t'), table, subject('Quill'))).toEqual({ rows: [0, 3], column: 'stop' })
  })
})

describe('amounts that are pulled', () => {
  it.each(['bar', 'lying-bar', 'lollipop', 'line', 'dots'])('run along the axis of %s as far as they are drawn', kind => {
    const drawing = draw({ ...newChart('t'), kind, across: 'stop' })
    const way = amountWay(drawing)!
    const end = (key: string) => {
      const mark = drawing.marks.find(one => one.key === key && one.value !== null && (one.shape === 'bar' || one.shape === 'point'))!
      return shapeOf(mark).anchor(mark)[way.along]
    }
    expect(end('Quill') - end('Low Sands')).toBeCloseTo(30 * way.scale, 3)
  })

  it('are not pulled where lengths are shares, or there is no length', () => {
    const shares: ChartSpec = { ...newChart('t'), kind: 'stack', across: 'year', series: 'stop', options: { share: true } }
    expect(amountWay(draw(shares, table))).toBeNull()
    expect(amountWay(draw({ ...newChart('t'), kind: 'ring' }))).toBeNull()
  })

  it('go by round steps, not finer than a px or than the column is', () => {
    expect(dragStep({ along: 'y', scale: -0.3 }, [1, 2])).toBe(5)
    expect(dragStep({ along: 'y', scale: -40 }, [1, 2])).toBe(1)
    expect(dragStep({ along: 'y', scale: -40 }, [1.5, 2])).toBe(0.05)
    expect(atStep(0.1 + 0.2, 0.05)).toBe(0.3)
  })
})
