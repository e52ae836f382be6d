import fc from 'fast-check'
import { describe, expect, it } from 'vitest'
import type { DataTable } from '../../data'
import { houseTheme } from '../../layouts'
import type { ChartSpec } from '../../model'
import { roughMeasurer } from '../../text'
import {
  chartKinds,
  drawChart,
  newChart,
  passageBetween,
  shapeOf,
  shapeOfData,
  touch,
  type ChartDrawing,
  type ChartLabel,
  type ChartRoom,
} from '../index'

const room: ChartRoom = { width: 1200, height: 640, textSize: 28, fonts: houseTheme.fonts, measurer: roughMeasurer, language: 'en' }
const amount = fc.option(fc.double({ min: -1e6, max: 1e6, noNaN: true }), { freq: 8 })
const name = fc.constantFrom(
  'Quill',
  'Astrel',
  'Low Sands',
  'Port Harrow',
  'Night boat',
  'Mail run',
  'A very long name of a stop that goes on',
  '',
)
const day = fc.integer({ min: 0, max: 800 }).map(days => new Date(Date.UTC(2030, 0, 1) + days * 86_400_000).toISOString().slice(0, 10))
const rows = fc.array(fc.record({ place: name, day, route: name, first: amount, second: amount }), { maxLength: 60 })
const tableOf = (list: { place: string; day: string; route: string; first: number | null; second: number | null }[]): DataTable => ({
  id: 't',
  name: 't',
  columns: [
    { name: 'place', type: 'text', values: list.map(row => row.place || null) },
    { name: 'day', type: 'date', grain: 'day', values: list.map(row => row.day) },
    { name: 'route', type: 'text', values: list.map(row => row.route || null) },
    { name: 'first', type: 'number', values: list.map(row => row.first) },
    { name: 'second', type: 'number', values: list.map(row => row.second) },
  ],
})
const spec = (kind: string) =>
  fc
    .record({
      across: fc.constantFrom('place', 'day'),
      series: fc.constantFrom(null, 'route'),
      labels: fc.constantFrom('all' as const, 'highlighted' as const, 'none' as const),
      rule: fc.constantFrom(undefined, 'most' as const, 'rise' as const, 'last' as const),
      total: fc.boolean(),
      order: fc.constantFrom('data' as const, 'falling' as const),
    })
    .map(({ rule, ...more }): ChartSpec => ({
      ...newChart('t'),
      kind,
      height: 'first',
      along: 'second',
      ...more,
      ...(rule ? { rule } : {}),
    }))

const numbers = (value: unknown): number[] =>
  typeof value === 'number'
    ? [value]
    : Array.isArray(value)
      ? value.flatMap(numbers)
      : value && typeof value === 'object'
        ? Object.values(value).flatMap(numbers)
        : []
const isFinite = (drawing: ChartDrawing) =>
  [...numbers(drawing.marks), ...numbers(drawing.labels), ...numbers(drawing.rules)].every(Number.isFinite)
const boxOf = ({ x, y, width, height }: ChartLabel) => ({
  x: x - width / 2,
  y: y - height * 0.39,
  width: width - 0.2,
  height: height * 0.78 - 0.01,
})
const runs = { numRuns: 60 }

describe.each(chartKinds.map(({ name: kind }) => kind))('a chart that is a %s', kind => {
  it('is drawn of any rows, with all its numbers finite and every mark in one of its named parts', () => {
    fc.assert(
      fc.property(rows, spec(kind), (list, chosen) => {
        const drawing = drawChart(chosen, tableOf(list), room)
        expect(isFinite(drawing)).toBe(true)
        expect(drawing.names).toHaveLength(drawing.parts)
        for (const { part } of drawing.marks) expect(part >= 0 && part < drawing.parts).toBe(true)
        for (const { part } of drawing.labels) expect(part === null || (part >= 0 && part < drawing.parts)).toBe(true)
        expect(drawing.description.length).toBeGreaterThan(8)
      }),
      runs,
    )
  })

  it('keeps its marks and its words to its room', () => {
    fc.assert(
      fc.property(rows, spec(kind), (list, chosen) => {
        const drawing = drawChart(chosen, tableOf(list), room)
        for (const mark of drawing.marks) {
          const { x, y } = shapeOf(mark).anchor(mark)
          expect([x >= -1, x <= room.width + 1, y >= -1, y <= room.height + 1]).toEqual([true, true, true, true])
        }
        for (const label of drawing.labels.filter(one => one.angle === 0)) {
          const { x, width } = boxOf(label)
          expect(x >= -2 && x + width <= room.width + 2 ? null : label).toBeNull()
        }
      }),
      runs,
    )
  })

  it('sets no word on another', () => {
    fc.assert(
      fc.property(rows, spec(kind), (list, chosen) => {
        const upright = drawChart(chosen, tableOf(list), room).labels.filter(one => one.angle === 0)
        upright.forEach((a, index) => {
          for (const b of upright.slice(index + 1)) expect(touch(boxOf(a), boxOf(b)) ? [a, b] : null).toBeNull()
        })
      }),
      runs,
    )
  })

  it('goes to any other figures by steps that are all finite, and arrives', () => {
    fc.assert(
      fc.property(rows, rows, spec(kind), fc.double({ min: 0, max: 1, noNaN: true }), (before, after, chosen, progress) => {
        const [from, to] = [drawChart(chosen, tableOf(before), room), drawChart(chosen, tableOf(after), room)]
        const passage = passageBetween(from, to, room.width, room.height)
        expect(isFinite(passage.at(progress))).toBe(true)
        expect([passage.at(0), passage.at(1)]).toEqual([from, to])
        expect(passage.seconds >= 0.25 && passage.seconds < 4).toBe(true)
      }),
      { numRuns: 20 },
    )
  })

  it('turns into every other kind, mark by mark, by steps that are all finite', () => {
    const kinds = fc.constantFrom(...chartKinds.map(({ name }) => name))
    fc.assert(
      fc.property(rows, spec(kind), kinds, fc.double({ min: 0, max: 1, noNaN: true }), (list, chosen, other, progress) => {
        const [from, to] = [kind, other].map(name => drawChart({ ...chosen, kind: name }, tableOf(list), room))
        const between = passageBetween(from!, to!, room.width, room.height).at(progress)
        expect(isFinite(between)).toBe(true)
        expect(between.marks.every(mark => mark.shape !== 'path' || !mark.d.includes('NaN'))).toBe(true)
      }),
      { numRuns: 20 },
    )
  })

  it('is drawn at any time of a table that it runs through, within its room, and all in its named parts', () => {
    fc.assert(
      fc.property(rows, spec(kind), fc.double({ min: 0, max: 6, noNaN: true }), (list, chosen, time) => {
        const run = { ...chosen, across: 'place', moment: { column: 'day', at: 'last' as const } }
        const drawing = drawChart(run, tableOf(list), room, time)
        expect(isFinite(drawing)).toBe(true)
        for (const mark of drawing.marks) {
          const { x, y } = shapeOf(mark).anchor(mark)
          expect([x >= -1, x <= room.width + 1, y >= -1, y <= room.height + 1]).toEqual([true, true, true, true])
        }
        for (const { part } of [...drawing.marks, ...drawing.labels])
          expect(part === null || (part >= 0 && part < drawing.parts)).toBe(true)
      }),
      { numRuns: 20 },
    )
  })

  it('goes through time without a leap: a hundredth of a step later each mark and word is near where it was', () => {
    // Fields of a grid that become more or fewer come and go where they are.
    if (kind === 'waffle') return
    const seats = fc.array(fc.integer({ min: 5, max: 100 }), { minLength: 15, maxLength: 15 })
    fc.assert(
      fc.property(seats, fc.integer({ min: 0, max: 198 }), fc.constantFrom('falling' as const, 'data' as const), (list, at, order) => {
        const run = list.map((first, row) => ({
          place: `Stop ${row % 5}`,
          day: `2030-01-0${1 + Math.floor(row / 5)}`,
          route: 'Quill',
          first,
          second: list[(row * 7) % 15]!,
        }))
        const moment = { column: 'day', at: 'last' as const }
        const chosen = { ...newChart('t'), kind, across: 'place', height: 'first', along: 'second', order, moment }
        const [now, next] = [at / 100, at / 100 + 0.01].map(time => drawChart(chosen, tableOf(run), room, time))
        const places = (drawing: ChartDrawing) =>
          new Map<string, { x: number; y: number }>([
            ...drawing.marks.map(mark => [`${mark.shape} ${mark.key}`, shapeOf(mark).anchor(mark)] as const),
            ...drawing.labels.filter(label => label.opacity !== 0).map(label => [`label ${label.key}`, label] as const),
          ])
        const later = places(next!)
        for (const [name, place] of places(now!)) {
          const other = later.get(name)
          if (other) expect([name, Math.hypot(other.x - place.x, other.y - place.y) < 60]).toEqual([name, true])
        }
      }),
      { numRuns: 25 },
    )
  })

  it('says how well it suits any rows, and why, or what it lacks', () => {
    fc.assert(
      fc.property(rows, spec(kind), (list, chosen) => {
        const { suits } = chartKinds.find(one => one.name === kind)!
        const suit = suits?.(shapeOfData(chosen, tableOf(list)))
        expect(suit && (suit.lacks || suit.why) ? true : suit).toBe(true)
        expect(suit!.score >= 0 && suit!.score <= 1).toBe(true)
        if (suit!.lacks) expect(suit!.score).toBe(0)
      }),
      runs,
    )
  })
})
