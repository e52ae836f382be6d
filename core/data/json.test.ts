import { describe, expect, it } from 'vitest'
import { sketchOf } from '../testing'
import { readDataFile } from './file'

const read = (text: string, name = 'boats.json') => readDataFile(new TextEncoder().encode(text), name, 't')
const sketch = (text: string, name?: string) => {
  const made = read(text, name)
  return made.ok ? sketchOf(made.value) : made.message
}

describe('JSON as a table', () => {
  it.each([
    [
      'a list of records',
      '[{"stop":"Quill","riders":12},{"stop":"Harrow","riders":7}]',
      ['stop | place | Quill, Harrow', 'riders | number | 12, 7'],
    ],
    ['a list in a record', '{"of":"2031","rows":[{"stop":"Quill","riders":12.5}]}', ['stop | place | Quill', 'riders | number | 12.5']],
    ['a list of lists', '[["stop","riders"],["Quill",12]]', ['stop | place | Quill', 'riders | number | 12']],
    [
      'lines',
      '{"stop":"Quill","open":true}\n{"stop":"Harrow","open":false}\n',
      ['stop | place | Quill, Harrow', 'open | yes-no | yes, no'],
    ],
    [
      'fields that some records lack, and null',
      '[{"stop":"Quill","riders":null},{"stop":"Harrow","riders":7,"day":"2031-04-03"}]',
      ['stop | place | Quill, Harrow', 'riders | number | ∅, 7', 'day | date day | ∅, 2031-04-03'],
    ],
    [
      'what stands within a record',
      '[{"stop":{"name":"Quill","at":{"x":1}},"riders":2}]',
      ['stop.name | place | Quill', 'stop.at.x | number | 1', 'riders | number | 2'],
    ],
    [
      'features',
      '{"type":"FeatureCollection","features":[{"type":"Feature","id":4,"properties":{"stop":"Quill","riders":12},"geometry":null}]}',
      ['id | code | 4', 'stop | place | Quill', 'riders | number | 12'],
    ],
    [
      'features with outlines',
      JSON.stringify({
        type: 'FeatureCollection',
        features: [
          { type: 'Feature', properties: { stop: 'Quill' }, geometry: { type: 'Point', coordinates: [-31.2, 47.05, 3] } },
          { type: 'Feature', properties: { stop: 'Harrow' }, geometry: null },
        ],
      }),
      ['stop | place | Quill, Harrow', 'outline | outline | POINT(-31.2 47.05), ∅'],
    ],
    [
      'a topology',
      '{"type":"Topology","objects":{"all":{"type":"Point","properties":{"stop":"Quill"},"coordinates":[1,2]}},"arcs":[]}',
      ['stop | place | Quill', 'outline | outline | POINT(1 2)'],
    ],
    [
      'years as names',
      '[{"stop":"Quill","2029":1,"2030":2,"2031":3}]',
      ['stop | place | Quill, Quill, Quill', 'year | date year | 2029, 2030, 2031', 'amount | number | 1, 2, 3'],
    ],
    ['plain values', '[3,4]', ['value | number | 3, 4']],
  ])('has columns from %s', (_, text, columns) => {
    // Years that are names stand first in a record, whatever its order was.
    expect([...(sketch(text) as string[])].sort()).toEqual([...columns].sort())
  })

  it('is known by how it begins, and separated text by not beginning so', () => {
    expect(sketch('[{"stop":"Quill"}]', 'boats.txt')).toEqual(['stop | place | Quill'])
    expect(sketch('[km],riders\n12,3\n13,4', 'boats.csv')).toHaveLength(2)
  })

  it.each([
    ['a record that ends too early', '[{"stop":"Quill"', /“boats\.json” is no JSON that can be read: line 1/],
    ['a line that is none', '{"stop":"Quill"}\nHarrow', /line 2/],
    ['no record', '[]', /holds nothing/],
    ['a word', '"Quill"', /holds no list of records/],
    ['a topology without lines', '{"type":"Topology","objects":{}}', /“boats\.json”: This TopoJSON has no layers/],
  ])('is one sentence for %s', (_, text, words) => expect(sketch(text)).toMatch(words))
})

describe('a map as a table', () => {
  const places = (geometries: unknown[]) =>
    JSON.stringify({
      type: 'FeatureCollection',
      features: geometries.map((geometry, at) => ({ type: 'Feature', properties: { parish: `Parish ${at + 1}` }, geometry })),
    })
  const notes = (text: string) => {
    const made = read(text, 'parishes.geojson')
    return made.ok ? made.value.notes.filter(({ about }) => about === 'outlines').map(({ words }) => words) : made.message
  }
  it('says which rows have no place on it', () => {
    const point = { type: 'Point', coordinates: [1, 2] }
    expect(notes(places([point, null, { type: 'Polygon', coordinates: [[[0, 0]]] }]))).toEqual([
      '2 rows have *no outline that can be read* and no place on a map.',
    ])
    expect(notes(places([point]))).toEqual([])
  })
  it('of a million points is read as one of as many as are seen', () => {
    const coast = Array.from({ length: 1_000_000 }, (_, at) => {
      const angle = (at / 1_000_000) * 2 * Math.PI
      return [10 * Math.cos(angle) + Math.sin(at) * 0.0002, 50 + 10 * Math.sin(angle) + Math.cos(at) * 0.0002]
    })
    const text = places([{ type: 'Polygon', coordinates: [[...coast, coast[0]]] }])
    expect(notes(text)).toEqual(['1,000,001 points of outlines were *made fewer*: more are not seen on a slide.'])
    const made = read(text, 'parishes.geojson')
    const outline = made.ok ? String(made.value.table.columns.at(-1)!.values[0]) : ''
    expect(outline.split(',').length).toBeLessThan(60_100)
    expect(outline.split(',').length).toBeGreaterThan(10_000)
  })
})
