import fc from 'fast-check'
import { describe, expect, it } from 'vitest'
import { readCsv, type DataTable } from '../data'
import { houseTheme } from '../layouts'
import { roughMeasurer } from '../text'
import { bestChart, chartKinds, factsOf, leftOutOf, newChart, offersFor, proposedChart, redrawn, shapeOfData, swapped } from './index'

const table = (text: string): DataTable => {
  const read = readCsv(new TextEncoder().encode(text), 'table.csv', 't')
  if (!read.ok) throw new Error(read.message)
  return read.value.table
}
const seasons = table(
  [
    'season;route;passengers',
    ...[2028, 2029, 2030, 2031].flatMap((year, at) => [
      `${year};Quill;${60 + at * 12}`,
      `${year};Astrel;${70 - at * 2}`,
      `${year};Low Sands;${20 + at * 13}`,
    ]),
  ].join('\n'),
)
const stops = table('stop;boardings\nQuill Quay;2010\nAstrel North;1655\nHarrow Town;1790\nLow Sands;361')
const kindsOf = (of: DataTable, show: Parameters<typeof offersFor>[2] = null) =>
  offersFor(proposedChart(of), of, show).offers.map(({ kind }) => kind.name)
const factsIn = (of: DataTable, more = {}) =>
  factsOf({ ...proposedChart(of), ...more }, of, { language: 'en', fonts: houseTheme.fonts, measurer: roughMeasurer }).map(
    ({ words }) => words,
  )

describe('the chart that a choice begins with', () => {
  it('runs along time, for each of what parts its rows; without time it stands by its names', () => {
    expect(proposedChart(seasons)).toMatchObject({
      across: 'season',
      height: 'passengers',
      series: 'route',
      aggregate: 'sum',
      rule: 'rise',
    })
    expect(proposedChart(stops)).toMatchObject({ across: 'stop', height: 'boardings', series: null, rule: 'most' })
  })

  it('makes the mean of shares, counts rows where there is no number, and leaves codes alone', () => {
    expect(proposedChart(table('route;on time\nQuill;97 %\nQuill;91 %\nAstrel;93 %'))).toMatchObject({
      aggregate: 'mean',
      height: 'on time',
    })
    expect(proposedChart(table('route;remark\nQuill;late\nAstrel;full\nQuill;late'))).toMatchObject({ aggregate: 'count', height: null })
    expect(proposedChart(table('code;stop;boardings\n0041;Quill;12\n0107;Astrel;9')).height).toBe('boardings')
  })

  it('is drawn as what suits it best, and another table keeps how a chart looks', () => {
    expect(bestChart(seasons).kind).toBe('line')
    expect(bestChart(stops).kind).toBe('bar')
    const before = { ...newChart('old'), kind: 'ring', across: 'gone', total: true, highlighted: ['gone'] }
    expect(redrawn(before, stops)).toMatchObject({ kind: 'ring', across: 'stop', total: true, highlighted: [], table: 't' })
    expect(redrawn({ ...newChart(null) }, seasons).kind).toBe('line')
  })
})

describe('kinds that are offered', () => {
  it('stand best first, those that would mislead last and with why, those that lack a column apart with which', () => {
    expect(kindsOf(seasons)[0]).toBe('line')
    const parts = table(`part;boats\n${Array.from({ length: 20 }, (_, index) => `quay ${index};${index + 5}`).join('\n')}`)
    const { offers, lacking } = offersFor(proposedChart(parts), parts, null)
    const ring = offers.find(({ kind }) => kind.name === 'ring')!
    expect(ring.suit.warning).toBe('20 parts: the small ones cannot be told apart.')
    // The remedy does what it says.
    expect(ring.suit.remedy!.label).toBe('Show 7 and the rest')
    const mended = offersFor({ ...proposedChart(parts), ...ring.suit.remedy!.change }, parts, null).offers.find(
      ({ kind }) => kind.name === 'ring',
    )!
    expect([mended.suit.warning, shapeOfData(mended.spec, parts).categories]).toEqual([undefined, 8])
    const first = offers.findIndex(({ suit }) => suit.warning)
    expect(offers.slice(first).every(({ suit }) => suit.warning)).toBe(true)
    expect(lacking.map(({ kind }) => kind.name)).toEqual(expect.arrayContaining(['slope', 'flows', 'calendar', 'scatter']))
    expect(offers.length + lacking.length).toBe(chartKinds.length)
  })

  it('are ordered by what is to be shown, and none is hidden by it', () => {
    expect(kindsOf(stops, 'share')[0]).toBe('ring')
    expect([...kindsOf(stops, 'order')].sort()).toEqual([...kindsOf(stops)].sort())
  })

  it('warn of a ring with a loss, of lines without order, and of means on each other', () => {
    const change = table('stop;change\nQuill;9,6\nSandgate;-1,4\nMarsh;-2,3')
    const warningOf = (of: DataTable, kind: string, spec = proposedChart(of)) =>
      offersFor(spec, of, null).offers.find(offer => offer.kind.name === kind)?.suit.warning
    expect(warningOf(change, 'ring')).toBe('A part cannot be less than nothing. Draw bars.')
    expect(warningOf(stops, 'line')).toBe('These rows have no order that a line could follow.')
    expect(warningOf(seasons, 'stack', { ...proposedChart(seasons), aggregate: 'mean' })).toContain('not parts of a whole')
  })
})

describe('columns', () => {
  it('that are not drawn are named, and what runs across and what parts it change places', () => {
    const fares = table('season;route;passengers;cars\n2030;Quill;12;3\n2030;Astrel;9;2\n2031;Quill;14;4')
    const spec = proposedChart(fares)
    const drawn = ['across', 'height', 'series'] as const
    expect(leftOutOf(drawn, spec, fares).map(({ name }) => name)).toEqual(['cars'])
    expect(leftOutOf(drawn, { ...spec, series: null, beside: ['cars'] }, fares).map(({ name }) => name)).toEqual(['route'])
    expect(swapped(spec, fares)).toMatchObject({ across: 'route', series: 'season' })
  })
})

describe('facts', () => {
  it('say what grew most, who passed whom and when, and what is a record', () => {
    const said = factsIn(seasons)
    expect(said).toContain('Low Sands nearly trebled, from 20 in 2028 to 59 in 2031.')
    expect(said).toContain('Quill passed Astrel in 2029.')
    expect(said).toContain('2031 is a record for two of the three.')
  })

  it('say what is highest and by how much, what few make up of all, and what lies far out', () => {
    expect(factsIn(stops)).toContain('Quill Quay is highest, with 2,010, 5.6 times Low Sands.')
    const uneven = table(`quay;boats\nQuill;900\n${Array.from({ length: 9 }, (_, index) => `q${index};${40 + index}`).join('\n')}`)
    expect(factsIn(uneven)).toContain('Quill makes up 69 % of all ten.')
    expect(factsIn(uneven)).toContain('Quill lies far above the rest, at 900.')
  })

  it('say that it doubled only where it did, and that one is highest only where no other is as high', () => {
    const grown = (to: number) => factsIn(table(`season;boats\n2030;100\n2031;${to}`)).find(words => words.includes('from 100'))
    expect([grown(200), grown(195), grown(260), grown(180), grown(80)]).toEqual([
      'Boats doubled, from 100 in 2030 to 200 in 2031.',
      'Boats nearly doubled, from 100 in 2030 to 195 in 2031.',
      'Boats more than doubled, from 100 in 2030 to 260 in 2031.',
      'Boats rose by 80 %, from 100 in 2030 to 180 in 2031.',
      'Boats fell by 20 %, from 100 in 2030 to 80 in 2031.',
    ])
    expect(factsIn(table('stop;boats\nQuill;9\nAstrel;9\nLow Sands;3')).some(words => words.includes('highest'))).toBe(false)
    const gap = table('season;boats\n2026;1\n2027;2\n2028;3\n2029;\n2030;4\n2031;5')
    expect(factsIn(gap).some(words => words.includes('in a row'))).toBe(false)
  })

  it('say how often it rose in a row, and nothing of the kind where there is no order', () => {
    const rising = table('season;passengers\n2026;241\n2027;252\n2028;263\n2029;279\n2030;291\n2031;318')
    expect(factsIn(rising)).toContain('Passengers has risen five times in a row.')
    expect(factsIn(rising)).toContain('2031 is the highest so far, with 318.')
    expect(factsIn(stops).some(words => /in a row|so far|passed/.test(words))).toBe(false)
  })

  it('never say that one passed another who is not ahead at the end', () => {
    const amounts = fc.array(fc.tuple(fc.integer({ min: 0, max: 50 }), fc.integer({ min: 0, max: 50 })), { minLength: 2, maxLength: 12 })
    fc.assert(
      fc.property(amounts, list => {
        const rows = list.flatMap(([a, b], at) => [`${2000 + at};A;${a}`, `${2000 + at};B;${b}`])
        const made = table(['season;route;passengers', ...rows].join('\n'))
        const [a, b] = list.at(-1)!
        const passed = factsIn(made).filter(words => words.includes(' passed '))
        expect(passed.length).toBeLessThanOrEqual(1)
        if (passed[0]) expect(passed[0].startsWith('A') ? a > b : b > a).toBe(true)
      }),
      { numRuns: 60 },
    )
  })
})
