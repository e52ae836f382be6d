import { describe, expect, it } from 'vitest'
import { chartKindNamed, drawChart, passageOf, specInState, type ChartRoom } from '../charts'
import type { Column, DataTable } from '../data'
import { houseTheme } from '../layouts'
import { applyChanges, beatsOf, elementsOf, readDeck, slidesOf, statesOf } from '../model'
import { countingContext, freshDeck } from '../testing'
import { roughMeasurer } from '../text'
import { insertStory, storiesFor, storyOutlines } from './index'

const look = { language: 'en', fonts: houseTheme.fonts, measurer: roughMeasurer }
const room: ChartRoom = { ...look, width: 1600, height: 800, textSize: 28 }
const table = (columns: Column[]): DataTable => ({ id: 't', name: 't', columns })
const routes = {
  Astrel: [40, 60, 61, 62, 63, 64],
  Quill: [10, 30, 50, 61, 80, 99],
  Mail: [30, 28, 26, 24, 22, 20],
  Tern: [5, 9, 12, 20, 26, 31],
}
const years = ['2026', '2027', '2028', '2029', '2030', '2031']
const rows = Object.entries(routes).flatMap(([route, amounts]) => amounts.map((seats, at) => ({ route, seats, year: years[at]! })))
/** Four routes over six years. */
const race = table([
  { name: 'year', type: 'date', grain: 'year', values: rows.map(({ year }) => year) },
  { name: 'route', type: 'text', kind: 'category', values: rows.map(({ route }) => route) },
  { name: 'seats', type: 'number', values: rows.map(({ seats }) => seats) },
])
const months = table([
  { name: 'month', type: 'date', grain: 'month', values: Array.from({ length: 12 }, (_, at) => `2031-${String(at + 1).padStart(2, '0')}`) },
  { name: 'riders', type: 'number', values: [3, 4, 5, 7, 9, 12, 15, 18, 11, 8, 5, 4] },
])
const parts = table([
  { name: 'why', type: 'text', kind: 'category', values: ['Work', 'School', 'Visits', 'Other'] },
  { name: 'journeys', type: 'number', values: [130, 60, 54, 44] },
  { name: 'minutes', type: 'number', values: [22, 31, 55, 40] },
])
const ledger = table([
  { name: 'item', type: 'text', kind: 'category', values: ['Fares', 'Fuel', 'Crew', 'Grants'] },
  { name: 'pounds', type: 'number', values: [900, -300, -420, 150] },
])
const aims = table([
  { name: 'year', type: 'date', grain: 'year', values: ['2030', '2030', '2031', '2031'] },
  { name: 'berth', type: 'text', kind: 'category', values: ['Customs Quay', 'Old Slip', 'Customs Quay', 'Old Slip'] },
  { name: 'boats', type: 'number', values: [40, 12, 55, 14] },
  { name: 'target', type: 'number', values: [50, 20, 50, 20] },
])
const tables = { race, months, parts, ledger, aims }
const offersOf = (of: DataTable) => storiesFor(of, look)
const named = (of: DataTable, name: string) => offersOf(of).offers.find(({ outline }) => outline.name === name)!

describe('stories of a table', () => {
  it('are at least ten, each named once', () => {
    expect(storyOutlines.length).toBeGreaterThanOrEqual(10)
    expect(new Set(storyOutlines.map(({ name }) => name)).size).toBe(storyOutlines.length)
  })

  it.each([
    ['race', 'race'],
    ['months', 'year-in-months'],
    ['parts', 'whole-to-part'],
    ['ledger', 'step-by-step'],
    ['aims', 'to-the-target'],
  ] as const)('begin, of %s, with the one that suits its rows best', (of, best) => {
    expect(offersOf(tables[of]).offers[0]!.outline.name).toBe(best)
  })

  it('say what a table lacks for the others', () => {
    const lacking = Object.fromEntries(offersOf(parts).lacking.map(({ outline, lacks }) => [outline.name, lacks]))
    expect(lacking).toMatchObject({ race: 'a column of time', 'year-in-months': 'a column of months or quarters' })
    const many = table([
      { name: 'stop', type: 'text', kind: 'category', values: Array.from({ length: 70 }, (_, at) => `Stop ${at}`) },
      { name: 'riders', type: 'number', values: Array.from({ length: 70 }, (_, at) => at + 0.5) },
    ])
    const { lacks } = offersOf(many).lacking.find(({ outline }) => outline.name === 'whole-to-part')!
    expect(lacks).toBe('a column of 2 to 60 categories')
    expect(offersOf(months).lacking.find(({ outline }) => outline.name === 'together')!.lacks).toBe('a second column of amounts')
  })

  it('have headlines that are computed, and never more than is true', () => {
    expect(named(race, 'race').slides[0]!.title).toBe('Quill passed Astrel in 2030')
    expect(named(parts, 'whole-to-part').slides[0]!.title).toContain('Work')
    // In 2031 alone: 55 of 50, and 14 of 20.
    expect(named(aims, 'to-the-target').slides.map(({ title }) => title)).toEqual(['One of 2 has come to its target', 'The way to target'])
    expect(named(aims, 'to-the-target').slides[1]!.states![0]!.references).toEqual([{ at: 70, words: 'target' }])
    const passing = {
      ...race,
      columns: race.columns.map(column => (column.name === 'seats' ? { ...column, values: column.values.map(() => 7) } : column)),
    }
    expect(offersOf(passing).lacking.find(({ outline }) => outline.name === 'two-that-pass')!.lacks).toBe(
      'one that passes another for good',
    )
  })

  it('are of what is an amount rather than of what groups: fares, and not their zones', () => {
    const fares = table([
      {
        name: 'ticket',
        type: 'text',
        kind: 'category',
        values: ['Single', 'Day', 'Week', 'Single to town', 'Day to town', 'Week to town'],
      },
      { name: 'zone', type: 'number', values: [1, 1, 1, 2, 2, 2] },
      { name: 'fare', type: 'number', values: [2.4, 6, 19, 3.8, 9.5, 31] },
    ])
    const [slide] = named(fares, 'against-the-rest').slides
    expect([slide!.chart!.height, slide!.caption]).toEqual(['fare', 'Fare by ticket. From t.'])
  })

  it('find anew in other rows what they tell: the same outline, another hero', () => {
    const other = table([
      race.columns[0]!,
      { ...race.columns[1]!, values: race.columns[1]!.values.map(value => (value === 'Quill' ? 'Harrow' : value)) },
      race.columns[2]!,
    ])
    expect(named(other, 'race').slides[0]!.title).toBe('Harrow passed Astrel in 2030')
  })

  describe.each(Object.keys(tables) as (keyof typeof tables)[])('of %s', of => {
    it('are all of charts that can be drawn, and go from state to state', () => {
      for (const { outline, slides, why, score } of offersOf(tables[of]).offers) {
        expect([outline.name, slides.length > 0, why.endsWith('.'), score >= 0 && score <= 1]).toEqual([outline.name, true, true, true])
        for (const { title, chart, states = [] } of slides) {
          expect(title.length).toBeGreaterThan(3)
          if (!chart) continue
          for (const spec of [chart, ...states]) {
            expect(chartKindNamed(spec.kind).name).toBe(spec.kind)
            expect(drawChart(spec, tables[of], room).marks.length).toBeGreaterThan(0)
          }
          states.forEach((spec, at) => {
            const passage = passageOf(at ? states[at - 1]! : chart, spec, tables[of], room)
            expect(passage.at(0.5).marks.length).toBeGreaterThan(0)
          })
        }
      }
    })
  })
})

describe('a story that is put into a deck', () => {
  it('is slides after the one that was named, with charts that are told in states, a beat each', () => {
    const base = freshDeck()
    const { slides } = named(race, 'race')
    const deck = applyChanges(base, insertStory(base, { after: slidesOf(base)[0]!.id, slides }, countingContext('s')))
    const put = slidesOf(deck).slice(1)
    expect(put).toHaveLength(slides.length)
    const chart = elementsOf(deck, put[0]!.id).find(({ kind }) => kind === 'chart')!
    const states = statesOf(deck, chart.id)
    expect(states.map(({ id }) => specInState(deck, slides[0]!.chart!, id))).toEqual(slides[0]!.states)
    expect(beatsOf(deck, put[0]!.id)).toHaveLength(1 + states.length)
    expect(put[0]!.notes).toBe(slides[0]!.notes)
    const read = readDeck(JSON.parse(JSON.stringify(deck)))
    expect(read.ok ? read.value.notes : read.message).toEqual([])
  })
})
