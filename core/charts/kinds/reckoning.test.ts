import fc from 'fast-check'
import { describe, expect, it } from 'vitest'
import type { DataTable } from '../../data'
import { houseTheme } from '../../layouts'
import type { ChartSpec } from '../../model'
import { roughMeasurer } from '../../text'
import { drawChart, newChart, passageOf, type ChartRoom } from '../index'
import { ticksOf } from '../plane'
import { timeNames } from '../plane/time-names'
import { apartLevels } from '../side-labels'
import { spreadOf } from './box'
import { leastCrossing } from './flows'
import { panelGrid } from './multiples'
import { amountOfOne } from './pictogram'
import { ranksOf } from './ranks'
import { bandwidthOf, densityAt } from './ridges'
import { trendOf } from './scatter'
import { wholeFields } from './waffle'

const room: ChartRoom = { width: 1200, height: 640, textSize: 28, fonts: houseTheme.fonts, measurer: roughMeasurer, language: 'en' }
const amounts = fc.array(fc.double({ min: 0, max: 1e6, noNaN: true }), { minLength: 1, maxLength: 12 })

describe('what charts reckon', () => {
  it('steps of an amount, also where rows differ by rounding only', () => {
    const values = Array.from({ length: 20 }, (_, row) => 512_345.678 + (row % 3) * 1e-10)
    const table = { id: 't', name: 't', columns: [{ name: 'pounds', type: 'number' as const, values }] }
    const { marks } = drawChart({ ...newChart('t'), kind: 'histogram' }, table, room)
    expect(marks.map(({ value }) => value)).toEqual([20])
  })

  it('a box: quartiles between neighbours, and what lies beyond one and a half of their distance outside', () => {
    // By hand: of 1 to 8 and 40 the quartiles are the 3rd, 5th and 7th; 7 + 1.5 × 4 = 13.
    expect(spreadOf([40, 1, 2, 3, 4, 5, 6, 7, 8])).toEqual({ count: 9, low: 1, first: 3, middle: 5, third: 7, high: 8, outside: [40] })
    expect(spreadOf([1, 2, 3, 4])).toMatchObject({ first: 1.75, middle: 2.5, third: 3.25 })
    expect(spreadOf([])).toBeNull()
  })

  it('a straight line nearest to points: Anscombe’s first four have the same one (1973)', () => {
    const x = [10, 8, 13, 9, 11, 14, 6, 4, 12, 7, 5]
    const y = [8.04, 6.95, 7.58, 8.81, 8.33, 9.96, 7.24, 4.26, 10.84, 4.82, 5.68]
    const trend = trendOf(x.map((one, at) => ({ x: one, y: y[at]! })))!
    expect(trend.slope).toBeCloseTo(0.5, 2)
    expect(trend.at(0)).toBeCloseTo(3, 1)
    expect(trend.explains).toBeCloseTo(0.67, 2)
    expect(trendOf([1, 2, 3].map(one => ({ x: 5, y: one })))).toBeNull()
  })

  it('ranks: 1 for the most, none where there is no number, equal ones in the order of the table', () => {
    expect(
      ranksOf(
        [
          [5, 2],
          [5, 9],
          [null, 4],
        ],
        2,
      ),
    ).toEqual([
      [1, 3],
      [2, 1],
      [null, 2],
    ])
  })

  it('a hundred fields: as many as there are, each part within one of its share', () => {
    // By hand: 41.03, 19.03, 39.94 hundredths leave one field, which the last has lost most of.
    expect(wholeFields([130_500, 60_500, 127_000], 100)).toEqual([41, 19, 40])
    fc.assert(
      fc.property(amounts, list => {
        const whole = list.reduce((sum, amount) => sum + amount, 0)
        const fields = wholeFields(list, 100)
        expect(fields.reduce((sum, count) => sum + count, 0)).toBe(whole ? 100 : 0)
        list.forEach((amount, at) => expect(Math.abs(fields[at]! - (whole ? (100 * amount) / whole : 0))).toBeLessThan(1.0001))
      }),
    )
  })

  it('ribbons: the side that they arrive at is ordered by where they come from', () => {
    expect(
      leastCrossing(
        [
          [0, 0, 9],
          [0, 9, 0],
          [9, 0, 0],
        ],
        3,
      ),
    ).toEqual([2, 1, 0])
    expect(leastCrossing([], 2)).toEqual([0, 1])
  })

  it('panels: columns that keep them nearest to three by two', () => {
    expect(panelGrid(6, 900, 400)).toMatchObject({ columns: 3, lines: 2 })
    expect(panelGrid(4, 300, 800)).toMatchObject({ columns: 1, lines: 4 })
    fc.assert(
      fc.property(fc.integer({ min: 1, max: 36 }), count => {
        const { columns, lines } = panelGrid(count, 1600, 800)
        expect(columns * lines).toBeGreaterThanOrEqual(count)
        expect(columns * (lines - 1)).toBeLessThan(count)
      }),
    )
  })
})

describe('an axis', () => {
  it('has round steps that hold what it is for, at most as many as asked', () => {
    expect(ticksOf([0, 95.4])).toEqual([0, 25, 50, 75, 100])
    expect(ticksOf([-4.6, 9.6])).toEqual([-5, 0, 5, 10])
    expect(ticksOf([3, 3])).toEqual([3])
    fc.assert(
      fc.property(fc.double({ min: -1e9, max: 1e9, noNaN: true }), fc.double({ min: 1e-3, max: 1e9, noNaN: true }), (low, span) => {
        const ticks = ticksOf([low, low + span])
        expect(ticks.length).toBeLessThanOrEqual(5)
        expect(ticks[0]).toBeLessThanOrEqual(low + span * 1e-6 + Math.abs(low) * 1e-12)
        expect(ticks.at(-1)).toBeGreaterThanOrEqual(low + span - span * 1e-6 - Math.abs(low) * 1e-12)
      }),
    )
  })

  it('of time names months as far apart as fit, and the year where it begins', () => {
    const day = (iso: string) => Date.parse(`${iso}T00:00:00Z`) / 86_400_000
    const names = (from: string, to: string, fits: number) => timeNames(day(from), day(to), 'en', fits).map(({ label }) => label)
    expect(names('2031-01-01', '2031-12-31', 12)).toEqual([
      'Jan',
      'Feb',
      'Mar',
      'Apr',
      'May',
      'Jun',
      'Jul',
      'Aug',
      'Sep',
      'Oct',
      'Nov',
      'Dec',
    ])
    expect(names('2031-01-01', '2031-12-31', 5)).toEqual(['Jan', 'Apr', 'Jul', 'Oct'])
    expect(names('2030-09-10', '2031-05-01', 12)).toEqual(['Oct', 'Nov', 'Dec', '2031', 'Feb', 'Mar', 'Apr', 'May'])
    expect(names('1990-06-01', '2031-05-01', 9)).toEqual(['1995', '2000', '2005', '2010', '2015', '2020', '2025', '2030'])
  })
})

describe('words beside marks', () => {
  it('stand as near to their marks as can be without touching, in their order', () => {
    expect(apartLevels([10, 50], [20, 20], 0, 100)).toEqual([10, 50])
    // By hand: two that want 50 share the shift.
    expect(apartLevels([50, 50], [20, 20], 0, 100)).toEqual([40, 60])
    expect(apartLevels([0, 2, 100], [20, 20, 20], 0, 100)).toEqual([10, 30, 90])
    fc.assert(
      fc.property(fc.array(fc.double({ min: 0, max: 400, noNaN: true }), { minLength: 1, maxLength: 12 }), list => {
        const wanted = [...list].sort((a, b) => a - b)
        const levels = apartLevels(
          wanted,
          wanted.map(() => 30),
          0,
          400,
        )
        levels.forEach((level, at) => {
          expect(level).toBeGreaterThanOrEqual(15 - 1e-6)
          expect(level).toBeLessThanOrEqual(385 + 1e-6)
          if (at) expect(level - levels[at - 1]!).toBeGreaterThanOrEqual(30 - 1e-6)
        })
      }),
    )
  })
})

describe('bars to a target', () => {
  const plans: DataTable = {
    id: 'budget',
    name: 'budget',
    columns: [
      { name: 'item', type: 'text', values: ['Crew', 'Piers', 'Fuel'] },
      { name: 'spent', type: 'number', values: [50, 30, null] },
      { name: 'planned', type: 'number', values: [100, 20, 40] },
    ],
  }
  const drawn = (more: Partial<ChartSpec>) =>
    drawChart({ ...newChart('budget'), kind: 'bullet', across: 'item', height: 'spent', ...more }, plans, room)

  it('reach as far on their tracks as amounts are of targets, and say that share', () => {
    const { marks, labels, description } = drawn({ beside: ['planned'] })
    const width = (key: string) => {
      const mark = marks.find(one => one.key === key)
      return mark?.shape === 'bar' ? mark.width : null
    }
    expect(width('Crew')! / width('Crew way')!).toBeCloseTo(0.5, 9)
    expect(width('Piers')! / width('Piers way')!).toBeCloseTo(1.5, 9)
    expect([width('Fuel'), width('Fuel way')! / width('Crew way')!]).toEqual([null, expect.closeTo(0.4, 9)])
    expect(labels.filter(({ kind }) => kind === 'value').map(({ lines }) => lines.join(' ').replace(/\s/g, ' '))).toEqual([
      '50 · 50 %',
      '30 · 150 %',
    ])
    expect(description).toContain('1 of 3 have come to their target.')
  })

  it('have one target for all where one is chosen, and none where none is', () => {
    expect(drawn({ options: { target: 60 } }).description).toContain('The target is 60. 0 of 3 have come to their target.')
    expect(drawn({}).marks.some(({ key }) => key.endsWith('target'))).toBe(false)
  })

  it('come beneath the bars that are there already, and their targets over them', () => {
    const bars = { ...newChart('budget'), kind: 'lying-bar', across: 'item', height: 'spent' }
    const passage = passageOf(bars, { ...bars, kind: 'bullet', beside: ['planned'] }, plans, room)
    const keys = passage.at(0.85).marks.map(({ key }) => key)
    expect(keys.indexOf('Crew way')).toBeLessThan(keys.indexOf('Crew'))
    expect(keys.indexOf('Crew')).toBeLessThan(keys.indexOf('Crew target'))
  })
})

describe('icons that are counted', () => {
  it.each([
    [7.5, 1],
    [98, 10],
    [412, 50],
    [1000, 100],
    [1001, 200],
    [0.3, 0.05],
    [0, 1],
  ])('of at most %d stand for %d each', (greatest, one) => expect(amountOfOne(greatest)).toBeCloseTo(one, 9))

  it('that would be too many are drawn as others, and it is said', () => {
    const many: DataTable = {
      id: 't',
      name: 't',
      columns: [
        { name: 'year', type: 'text', values: ['2031'] },
        { name: 'riders', type: 'number', values: [900] },
      ],
    }
    const notes = (each: number) => drawChart({ ...newChart('t'), kind: 'pictogram', options: { each } }, many, room).notes
    expect([notes(0), notes(60)]).toEqual([[], []])
    expect(notes(10)).toEqual(['One for 10 would be 90 icons in a row, 20 at most are drawn: one stands for 100.'])
  })

  it('are as many as the amount, the last as far as it goes', () => {
    const table: DataTable = {
      id: 't',
      name: 't',
      columns: [
        { name: 'year', type: 'text', values: ['2022', '2031'] },
        { name: 'of ten', type: 'number', values: [1.2, 7.5] },
      ],
    }
    const { marks } = drawChart({ ...newChart('t'), kind: 'pictogram' }, table, room)
    const filled = (part: number) =>
      marks.flatMap(mark => (mark.shape === 'path' && mark.part === part && mark.tone?.name === 'plain' ? [mark.share ?? 1] : []))
    expect(filled(0).map(share => Math.round(share * 100))).toEqual([100, 20])
    expect(filled(1).map(share => Math.round(share * 100))).toEqual([100, 100, 100, 100, 100, 100, 100, 50])
  })
})

describe('ridges', () => {
  // Of 1 to 9: a standard deviation of 2.7386, quartiles 3 and 7 apart by 4, and 4 / 1.34 = 2.9851; 0.9 · 2.7386 · 9^-0.2 = 1.5883.
  const values = [1, 2, 3, 4, 5, 6, 7, 8, 9]
  it('are as wide as Silverman’s rule says', () => expect(bandwidthOf(values)).toBeCloseTo(1.5883, 3))
  it('have densities that come to one', () => {
    const width = bandwidthOf(values)
    let sum = 0
    for (let at = -10; at <= 20; at += 0.05) sum += densityAt(values, width, at) * 0.05
    expect(sum).toBeCloseTo(1, 3)
  })
})
