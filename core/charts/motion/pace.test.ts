import fc from 'fast-check'
import { describe, expect, it } from 'vitest'
import type { DataTable } from '../../data'
import { houseTheme } from '../../layouts'
import type { ChartSpec } from '../../model'
import { roughMeasurer } from '../../text'
import { newChart } from '../catalogue'
import { paceOf } from './pace'
import { passageOf } from './run'
import { runOf } from './shown-rows'

/** Quill passes Astrel from 2029 to 2030; nothing else changes places. */
const table: DataTable = {
  id: 't',
  name: 't',
  columns: [
    { name: 'year', type: 'date', grain: 'year', values: ['2028', '2028', '2029', '2029', '2030', '2030', '2031', '2031'] },
    { name: 'route', type: 'text', values: ['Astrel', 'Quill', 'Astrel', 'Quill', 'Astrel', 'Quill', 'Astrel', 'Quill'] },
    { name: 'riders', type: 'number', values: [40, 10, 42, 30, 43, 60, 44, 80] },
  ],
}
const race = (at: 'first' | 'last', goes?: 'steps' | 'slower'): ChartSpec => ({
  ...newChart('t'),
  kind: 'lying-bar',
  across: 'route',
  height: 'riders',
  moment: { column: 'year', at, ...(goes ? { goes } : {}) },
})
const run = runOf(race('last'), table, 'en')!
const room = { width: 1200, height: 600, textSize: 28, fonts: houseTheme.fonts, measurer: roughMeasurer, language: 'en' }

describe('the pace of a chart through time', () => {
  it('is slower where places are exchanged, and the whole takes that much longer', () => {
    const pace = paceOf(run, 0, 3, 'slower')
    expect(pace.steps).toBeCloseTo(3.6, 6)
    // Of 3.6 the first step is 1, the second 1.6.
    expect(pace.at(1 / 3.6)).toBeCloseTo(1, 6)
    expect(pace.at(1.8 / 3.6)).toBeCloseTo(1.5, 6)
    const seconds = (goes?: 'slower') => passageOf(race('first'), race('last', goes), table, room).seconds
    expect(seconds('slower') / seconds()).toBeCloseTo(3.6 / 3, 6)
  })

  it('stands still at each moment where it goes by steps', () => {
    const pace = paceOf(run, 0, 3, 'steps')
    expect([0.1 / 3, 0.5 / 3, 1.3 / 3].map(share => pace.at(share))).toEqual([0, 0, 1])
    expect(pace.at(0.8 / 3)).toBeGreaterThan(0.3)
  })

  it('goes from the first to the last without ever going back, in both directions', () => {
    const share = fc.double({ min: 0, max: 1, noNaN: true })
    fc.assert(
      fc.property(share, share, fc.constantFrom(undefined, 'steps' as const, 'slower' as const), fc.boolean(), (a, b, goes, back) => {
        const pace = back ? paceOf(run, 3, 0, goes) : paceOf(run, 0, 3, goes)
        expect([pace.at(0), pace.at(1)]).toEqual([0, 3])
        expect(pace.at(Math.max(a, b))).toBeGreaterThanOrEqual(pace.at(Math.min(a, b)))
      }),
    )
    const there = passageOf(race('last'), race('first', 'slower'), table, room)
    expect(there.at(1).description).toContain('2028')
    expect(there.at(0.5).marks).toHaveLength(2)
  })
})
