import fc from 'fast-check'
import { describe, expect, it } from 'vitest'
import type { DataTable } from '../../data'
import { houseTheme } from '../../layouts'
import type { ChartSpec, Deck } from '../../model'
import { roughMeasurer } from '../../text'
import { freshDeck } from '../../testing'
import {
  drawChart,
  newChart,
  passageBetween,
  passageOf,
  questionOf,
  specInState,
  stateFields,
  stateWords,
  timesOf,
  type ArcMark,
  type BarMark,
  type ChartDrawing,
  type ChartRoom,
} from '../index'
import { bentAt } from './bend'
import { placesOf } from './places'
import { runOf } from './shown-rows'
import { uncovered } from './uncovered'

const room: ChartRoom = { width: 1200, height: 640, textSize: 28, fonts: houseTheme.fonts, measurer: roughMeasurer, language: 'en' }

/** Seats by year and route; null where a route did not run yet. */
const tableOf = (routes: Readonly<Record<string, readonly (number | null)[]>>, first = 2028): DataTable => {
  const rows = Object.entries(routes).flatMap(([route, amounts]) =>
    amounts.flatMap((seats, at) => (seats === null ? [] : [{ year: first + at, route, seats }])),
  )
  return {
    id: 't',
    name: 't',
    columns: [
      { name: 'year', type: 'number', values: rows.map(({ year }) => year) },
      { name: 'route', type: 'text', values: rows.map(({ route }) => route) },
      { name: 'seats', type: 'number', values: rows.map(({ seats }) => seats) },
    ],
  }
}
const table = tableOf({ Astrel: [40, 60, 60], Quill: [10, 50, 90], 'Night boat': [null, 20, 30] })
const race = (more: Partial<ChartSpec> = {}): ChartSpec => ({
  ...newChart('t'),
  kind: 'lying-bar',
  across: 'route',
  height: 'seats',
  order: 'falling',
  moment: { column: 'year', at: 'last' },
  ...more,
})
const bars = (drawing: ChartDrawing) => new Map(drawing.marks.map(mark => [mark.key, mark as BarMark]))
const said = (drawing: ChartDrawing, key: string) => drawing.labels.find(label => label.key === key)?.lines.join(' ')

describe('a table that is run through', () => {
  it('has the moments of its column in their order, and each chart its own of them', () => {
    expect(timesOf(race(), table, 'year', 'en').map(({ label }) => label)).toEqual(['2028', '2029', '2030'])
    const at = (moment: ChartSpec['moment']) => said(drawChart(race({ moment }), table, room), 'moment')
    expect([
      at({ column: 'year', at: 'first' }),
      at({ column: 'year', at: 'last' }),
      at({ column: 'year', at: 'named', key: '2029' }),
    ]).toEqual(['2028', '2030', '2029'])
    // One that is gone is the last there is.
    expect(at({ column: 'year', at: 'named', key: '1999' })).toBe('2030')
    expect(at({ column: 'year', at: 'last', told: false })).toBeUndefined()
  })

  it('lies between two moments in a straight line; what is new grows from nothing', () => {
    const half = bars(drawChart(race(), table, room, 0.5))
    expect([...half].map(([key, { value }]) => [key, value])).toEqual([
      ['Astrel', 50],
      ['Quill', 30],
      ['Night boat', 10],
    ])
    expect(bars(drawChart(race(), table, room, 0)).has('Night boat')).toBe(false)
    expect(bars(drawChart(race(), table, room, 0.02)).get('Night boat')!.opacity).toBeLessThan(0.1)
  })

  it('lets one pass another about when they are equal, and reaches every moment in its order', () => {
    const places = placesOf(runOf(race(), table, 'en')!, 'falling')
    const at = (time: number) => ['Astrel', 'Quill'].map(key => Number(places.place(key, time).toFixed(3)))
    // 60 and 50 + 40 t are equal a quarter into the step; the passing stays within it.
    expect([at(1), at(1.275), at(1.6), at(2)]).toEqual([
      [0, 1],
      [0.5, 0.5],
      [1, 0],
      [1, 0],
    ])
  })

  it('gives every bar the length of its amount at any time, and none leaves the plane', () => {
    const amounts = fc.array(fc.option(fc.integer({ min: 0, max: 100_000 }), { freq: 6 }), { minLength: 4, maxLength: 4 })
    fc.assert(
      fc.property(amounts, amounts, amounts, fc.double({ min: 0, max: 3, noNaN: true }), (a, b, c, time) => {
        const drawing = drawChart(race(), tableOf({ a, b, c }), room, time)
        const drawn = drawing.marks as BarMark[]
        const longest = drawn.reduce((most, bar) => (bar.value! > most.value! ? bar : most), drawn[0]!)
        for (const bar of drawn) {
          expect(bar.x + bar.width).toBeLessThanOrEqual(room.width + 0.01)
          if (longest.value! > 1) expect(bar.width / longest.width).toBeCloseTo(bar.value! / longest.value!, 6)
        }
      }),
    )
  })

  it('never leaps: a hundredth of a step later everything is near where it was', () => {
    fc.assert(
      fc.property(fc.double({ min: 0, max: 1.98, noNaN: true }), time => {
        const [now, next] = [time, time + 0.01].map(at => drawChart(race(), table, room, at))
        const later = bars(next!)
        for (const [key, bar] of bars(now!)) {
          const other = later.get(key)
          if (!other) continue
          expect(Math.abs(other.y - bar.y)).toBeLessThan(room.height * 0.05)
          expect(Math.abs(other.width - bar.width)).toBeLessThan(room.width * 0.05)
        }
      }),
    )
  })

  it('keeps the largest few only, and fades what falls out of them', () => {
    const of = (time: number) => bars(drawChart(race({ largest: 2 }), tableOf({ a: [9, 8], b: [8, 4], c: [1, 6] }), room, time))
    expect([[...of(0).keys()], [...of(1).keys()]]).toEqual([
      ['a', 'b'],
      ['a', 'c'],
    ])
    // 8 − 4 t and 1 + 5 t are equal seven ninths into the step, as near as a passing may end.
    expect(of(0.725).get('b')!.opacity).toBeCloseTo(0.5, 1)
  })

  it('counts rows where a chart counts', () => {
    const list = { ...table, columns: table.columns.map(column => ({ ...column, values: [...column.values, column.values[0]!] })) }
    const counted = bars(drawChart(race({ aggregate: 'count' }), list, room, 0))
    expect([...counted].map(([key, { value }]) => [key, value])).toEqual([
      ['Astrel', 2],
      ['Quill', 1],
    ])
  })
})

describe('what a state is called', () => {
  const words = (before: ChartSpec | null, spec: ChartSpec) => stateWords(before, spec, table)
  const last = race()

  it('says how it differs from the one before, of the first what it shows, and nothing that is not so', () => {
    expect(words(null, race({ rule: 'rise', moment: { column: 'year', at: 'first' } }))).toBe('2028, bars, Quill lit')
    expect(words(race({ moment: { column: 'year', at: 'first' } }), last)).toBe('2030')
    expect(words(last, race({ only: { keys: ['Quill'], found: ['least'] } }))).toBe('Quill and Night boat alone')
    expect(words(race({ only: { keys: ['Quill'], found: [] } }), last)).toBe('All again')
    expect(words(last, race({ kind: 'ring', largest: 2, order: 'name' }))).toBe('Ring, the 2 largest, by name')
    expect([words(last, race()), words(last, race({ total: true }))]).toEqual(['As before', 'Changed'])
  })
})

describe('a chart whose moments leave a question open', () => {
  it('is not drawn until that is answered', () => {
    const [year, ...others] = table.columns
    const open = { ...table, columns: [{ ...year!, open: 'No day is above 12.' }, ...others] }
    expect(questionOf(race(), open)).toContain('“year” can be read in two ways.')
    expect(questionOf(race(), table)).toBeNull()
  })
})

describe('what a chart picks', () => {
  it('is found anew in whatever rows there are: the one that rose most over all moments', () => {
    const lit = (of: DataTable) =>
      drawChart(race({ rule: 'rise', moment: { column: 'year', at: 'first' } }), of, room).marks.filter(one => one.highlighted)
    expect(lit(table).map(({ key }) => key)).toEqual(['Quill'])
    expect(lit(tableOf({ Astrel: [40, 90], Quill: [10, 50] })).map(({ key }) => key)).toEqual(['Astrel'])
  })

  it('is drawn alone, by name and by what is found', () => {
    const only = { keys: ['Night boat'], found: ['most' as const] }
    const alone = drawChart(race({ only }), table, room)
    expect([...bars(alone).keys()]).toEqual(['Quill', 'Night boat'])
    const { moment: _moment, ...still } = race({ only })
    expect(drawChart(still, table, room).names).toEqual(['Astrel', 'Night boat'])
  })
})

describe('the way from one state to another', () => {
  const columns = drawChart({ ...newChart('t'), across: 'route', height: 'seats' }, table, room)
  const ring = drawChart({ ...newChart('t'), across: 'route', height: 'seats', kind: 'ring' }, table, room)

  it('runs through all that lies between two moments, evenly, forwards and back', () => {
    const [first, last] = [race({ moment: { column: 'year', at: 'first' } }), race()]
    const passage = passageOf(first, last, table, room)
    expect([passage.runs, passage.seconds]).toEqual([{ from: '2028', to: '2030', steps: 2 }, 2.2])
    expect(passage.at(0.25).marks).toEqual(drawChart(last, table, room, 0.5).marks)
    expect(passageOf(last, first, table, room).at(0.25).marks).toEqual(drawChart(first, table, room, 1.5).marks)
    const { marks, labels } = passage.at(1)
    expect({ marks, labels }).toEqual({ marks: drawChart(last, table, room).marks, labels: drawChart(last, table, room).labels })
    expect(passage.at(0).marks).toEqual(drawChart(first, table, room).marks)
  })

  it('moves axes first, then marks, then new labels, and takes longer for a longer way', () => {
    const { axes, marks, labels } = passageBetween(columns, ring, room.width, room.height)
    expect(axes!.begins).toBe(0)
    expect(marks!.begins).toBeGreaterThan(0)
    expect(marks!.begins).toBeLessThan(axes!.ends)
    expect(labels!.ends).toBeGreaterThan(marks!.ends)
    const still = passageBetween(columns, { ...columns }, room.width, room.height)
    expect([still.seconds, still.axes, still.marks, still.counts.moved]).toEqual([0.25, null, null, 0])
    const values = { across: 'route', height: 'seats' }
    const [near, far] = [44, 200].map(seats => {
      const other = drawChart({ ...newChart('t'), ...values }, tableOf({ Astrel: [seats], Quill: [10], 'Night boat': [20] }), room)
      return passageBetween(columns, other, room.width, room.height).seconds
    })
    expect(far!).toBeGreaterThan(near!)
  })

  it('moves an axis that stays with its marks: what is read on it is true at every moment', () => {
    const drawn = (seats: number) =>
      drawChart({ ...newChart('t'), across: 'route', height: 'seats', labels: 'none' }, tableOf({ Astrel: [seats], Quill: [50] }), room)
    const passage = passageBetween(drawn(90), drawn(190), room.width, room.height)
    for (const share of [0.2, 0.5, 0.8]) {
      const { marks, rules } = passage.at(share)
      const base = rules.find(({ kind }) => kind === 'base')!.from.y
      const fifty = rules.find(({ key }) => key === 'axis 50')!.from.y
      const quill = marks.find(({ key }) => key === 'Quill') as BarMark
      expect(quill.y + quill.height).toBeCloseTo(base, 0)
      expect(quill.y).toBeCloseTo(fifty, 0)
    }
  })

  it('counts amounts on their way, and says them as the chart does at its end', () => {
    const [from, to] = [40, 60].map(seats =>
      drawChart({ ...newChart('t'), across: 'route', height: 'seats' }, tableOf({ Astrel: [seats], Quill: [80] }), room),
    )
    const passage = passageBetween(from!, to!, room.width, room.height)
    const words = [0.3, 0.5, 0.7].map(share => Number(said(passage.at(share), 'value Astrel')))
    expect(words.every(number => number > 40 && number < 60)).toBe(true)
    expect([...words].sort((a, b) => a - b)).toEqual(words)
  })

  it('tells apart what is lit, what comes and what goes', () => {
    const lit = passageOf(race(), race({ highlighted: ['Quill'] }), table, room)
    expect(lit.counts).toMatchObject({ lit: 1, dimmed: 2, moved: 0, come: 0, gone: 0 })
    const alone = passageOf(race(), race({ only: { keys: ['Quill'], found: [] } }), table, room)
    expect(alone.counts).toMatchObject({ gone: 2, come: 0 })
  })

  it('lets columns lie down end to end and bend into a ring, their whole length kept, and back', () => {
    const passage = passageBetween(columns, ring, room.width, room.height)
    expect(passage.bends).toBe(true)
    const arcs = ring.marks as ArcMark[]
    const bends = (columns.marks as BarMark[]).map(bar => ({ bar, arc: arcs.find(({ key }) => key === bar.key)! }))
    const lengthOf = (share: number) =>
      bentAt(bends, share, 5000).reduce((sum, mark) => {
        if (mark.shape === 'bar') return sum + mark.width
        const { from, until, inner, outer } = mark as ArcMark
        return sum + (((until - from) * Math.PI) / 180) * ((inner + outer) / 2)
      }, 0)
    const whole = lengthOf(1)
    for (const share of [0.4199, 0.5, 0.6, 0.75, 0.9]) expect(lengthOf(share) / whole).toBeCloseTo(1, 2)
    expect(bentAt(bends, 1, room.width).map(mark => (mark as ArcMark).from)).toEqual(bends.map(({ arc }) => arc.from))
    const back = passageBetween(ring, columns, room.width, room.height)
    expect(back.at(0.99).marks.every(({ shape }) => shape === 'bar')).toBe(true)
  })

  it('fades the word that lies under another as deep as it lies, and leaves those that are apart', () => {
    const label = (x: number, kind: 'category' | 'value') => ({
      ...columns.labels[0]!,
      key: kind,
      kind,
      x,
      y: 100,
      width: 100,
      height: 30,
      angle: 0,
    })
    const seen = (x: number) => uncovered([label(100, 'category'), label(x, 'value')]).map(({ opacity }) => opacity ?? 1)
    expect(seen(220)).toEqual([1, 1])
    expect(seen(100)).toEqual([1, 0])
    const [least, more] = [seen(198), seen(195)].map(([, opacity]) => opacity!)
    expect(least! > more! && more! > 0).toBe(true)
  })
})

describe('a state of a chart', () => {
  const optional = fc.record(
    {
      kind: fc.constantFrom('bar', 'ring', 'line'),
      order: fc.constantFrom('data' as const, 'falling' as const),
      largest: fc.integer({ min: 1, max: 9 }),
      rule: fc.constantFrom('most' as const, 'rise' as const),
      highlighted: fc.array(fc.constantFrom('a', 'b'), { maxLength: 2 }),
      moment: fc.constantFrom({ column: 'year', at: 'last' as const }, { column: 'year', at: 'named' as const, key: '2029' }),
    },
    { requiredKeys: [] },
  )

  it('keeps where it differs from the chart as composed, and is drawn as it was kept', () => {
    fc.assert(
      fc.property(optional, optional, (own, other) => {
        const [spec, wanted] = [own, other].map(more => ({ ...newChart('t'), ...more }) as ChartSpec)
        const state = { id: 's', element: 'c', order: 'a0', name: '', ...stateFields(spec!, wanted!) }
        const deck: Deck = { ...freshDeck(), states: { s: state } }
        expect(specInState(deck, spec!, 's')).toEqual(wanted)
      }),
    )
  })

  it('follows the chart in all that it says nothing of', () => {
    const spec = { ...newChart('t'), kind: 'bar' }
    const state = { id: 's', element: 'c', order: 'a0', name: '', ...stateFields(spec, { ...spec, rule: 'most' }) }
    const deck: Deck = { ...freshDeck(), states: { s: state } }
    expect(specInState(deck, { ...spec, kind: 'ring' }, 's')).toMatchObject({ kind: 'ring', rule: 'most' })
  })
})
