import fc from 'fast-check'
import { describe, expect, it } from 'vitest'
import type { DataTable } from '../../data'
import { houseTheme } from '../../layouts'
import type { ChartSpec } from '../../model'
import { roughMeasurer } from '../../text'
import { chartKindNamed, drawChart, newChart } from '../catalogue'
import type { ChartRoom } from '../drawing'
import { touch } from '../labels'
import type { RegionMark } from '../marks'
import { passageOf } from '../motion/run'
import { stateWords } from '../motion/state-words'
import { offersFor, withMap } from '../offers'
import { classesOf } from './classes'

const field = (x: number, y: number) => `POLYGON((${x} ${y},${x + 1} ${y},${x + 1} ${y + 1},${x} ${y + 1},${x} ${y}))`
/** Nine fields, three by three, from the lower left. */
const names = ['Quill', 'Fairhaven', 'Bellhouse', 'Saltworks', 'Cordmarket', 'Lantern', 'Old Slip', 'Harrow', 'Marsh']
const map: DataTable = {
  id: 'parishes',
  name: 'parishes',
  columns: [
    { name: 'parish', type: 'text', kind: 'place', values: names },
    { name: 'outline', type: 'text', kind: 'outline', values: names.map((_, at) => field(at % 3, 40 + Math.floor(at / 3))) },
  ],
}
const cards: DataTable = {
  id: 'cards',
  name: 'cards',
  columns: [
    { name: 'parish', type: 'text', kind: 'place', values: ['quill', 'Harrow', 'Marsh', 'Nowhere', 'Fairhavn'] },
    { name: 'cards', type: 'number', values: [412, 305, null, 44, 268] },
  ],
}
const room: ChartRoom = {
  width: 1200,
  height: 640,
  textSize: 28,
  fonts: houseTheme.fonts,
  measurer: roughMeasurer,
  language: 'en',
  map,
}
const spec = (fields: Partial<ChartSpec> = {}): ChartSpec => ({
  ...newChart('cards'),
  kind: 'map-areas',
  map: 'parishes',
  across: 'parish',
  ...fields,
})
const regions = (drawing: ReturnType<typeof drawChart>) =>
  drawing.marks.filter((mark): mark is RegionMark => mark.shape === 'region' && mark.key !== 'land')

describe('areas on a map', () => {
  it('are found by name; what has no number is not coloured, and what is not there is said with what may be meant', () => {
    const drawing = drawChart(spec(), cards, room)
    expect(regions(drawing).map(({ key, value, tone }) => [key, value, tone?.name])).toEqual([
      ['quill', 412, 'scale'],
      ['Harrow', 305, 'scale'],
      ['Marsh', null, 'track'],
    ])
    expect(drawing.names).toEqual(['quill', 'Harrow', 'Marsh'])
    expect(drawing.notes).toEqual(['“Nowhere” and “Fairhavn” (is it Fairhaven?) are not on this map.'])
  })

  it('are as strong as their amounts, and all land else lies around them unless it is left out', () => {
    const drawing = drawChart(spec(), cards, room)
    const at = (key: string) => regions(drawing).find(mark => mark.key === key)!.tone!.at!
    expect(at('quill')).toBeGreaterThan(at('Harrow'))
    const land = (options: ChartSpec['options']) =>
      drawChart(spec({ options: options! }), cards, room).marks.some(({ key }) => key === 'land')
    expect([land({}), land({ alone: true })]).toEqual([true, false])
  })

  it('are where the camera looks: at all rows, at all of the map, at what is highlighted, at one place', () => {
    const span = (fields: Partial<ChartSpec>) => drawChart(spec(fields), cards, room).camera!
    const whole = span({ options: { extent: 'map' } })
    const near = span({ highlighted: ['Harrow'], options: { camera: 'highlighted', extent: 'map' } })
    const named = span({ options: { camera: 'place', on: 'harrow', extent: 'map' } })
    expect(near.scale / whole.scale).toBeCloseTo((3 * 0.76) / 0.94, 1)
    expect(named).toEqual(near)
    expect(near.plane).toBe(whole.plane)
    expect(drawChart(spec({ options: { camera: 'place', on: 'Astrel' } }), cards, room).notes).toContain(
      '“Astrel”, which the camera should be on, is not on this map.',
    )
  })

  it('lie at the top right where they are north and east', () => {
    const marks = regions(drawChart(spec({ options: { extent: 'map' } }), cards, room))
    const seen = ({ view, middle }: RegionMark) => ({ x: view.x + view.scale * middle.x, y: view.y + view.scale * middle.y })
    const [quill, , marsh] = marks.map(seen)
    expect(marsh!.x).toBeGreaterThan(quill!.x)
    expect(marsh!.y).toBeLessThan(quill!.y)
  })

  it('have words that lie on no other and leave the room nowhere', () => {
    const amounts = fc.array(fc.option(fc.integer({ min: -5000, max: 900_000 })), { minLength: 9, maxLength: 9 })
    fc.assert(
      fc.property(amounts, fc.integer({ min: 260, max: 1800 }), fc.integer({ min: 200, max: 900 }), (values, width, height) => {
        const table = { ...cards, columns: [map.columns[0]!, { name: 'cards', type: 'number' as const, values }] }
        const { labels } = drawChart(spec(), table, { ...room, width, height })
        const boxes = labels.map(({ x, y, width: w, height: h }) => ({ x: x - w / 2, y: y - (h * 0.78) / 2, width: w, height: h * 0.78 }))
        boxes.forEach((box, at) => {
          expect(box.x).toBeGreaterThanOrEqual(-0.1)
          expect(box.x + box.width).toBeLessThanOrEqual(width + 0.1)
          for (const other of boxes.slice(at + 1)) expect(touch(box, other)).toBe(false)
        })
      }),
      { numRuns: 40 },
    )
  })

  it('have no words where the camera does not see them', () => {
    const drawing = drawChart(spec({ highlighted: ['Harrow'], options: { camera: 'highlighted' } }), cards, room)
    expect(drawing.labels.filter(({ part }) => part !== null).map(({ lines }) => lines[0])).not.toContain('quill')
    expect(drawing.leftOut).toEqual([])
  })

  it('draw nothing and say so where nothing says where rows lie', () => {
    const { map: _, ...bare } = room
    const drawing = drawChart(spec({ map: null }), cards, bare)
    expect(drawing.marks).toEqual([])
    expect(drawing.notes?.[0]).toMatch(/^Nothing says where these rows lie/)
  })

  it('can be the table’s own', () => {
    const own: DataTable = { ...map, columns: [...map.columns, { name: 'people', type: 'number', values: names.map((_, at) => at * 100) }] }
    const { map: _, ...bare } = room
    const drawing = drawChart({ ...newChart('parishes'), kind: 'map-areas', across: 'parish' }, own, bare)
    expect(regions(drawing)).toHaveLength(9)
    expect(drawing.notes).toEqual([])
  })
})

describe('steps of colour', () => {
  it('have round breaks, at most five steps, or as many amounts in each', () => {
    const amounts = [3, 12, 18, 27, 33, 48, 51, 60, 88, 97]
    expect(classesOf(amounts, 'round').breaks).toEqual([20, 40, 60, 80])
    // The quantiles of ten amounts: 0.2 lies at 16.8, 0.4 at 30.6.
    expect(classesOf(amounts, 'even').breaks.map(one => Math.round(one * 10) / 10)).toEqual([16.8, 30.6, 49.2, 65.6])
    expect([classesOf([], 'round').breaks, classesOf([7, 7], 'round').breaks]).toEqual([[], []])
  })
  it('part what is below nothing from what is above it', () => {
    const { tone, breaks } = classesOf([-40, -5, 10, 90], 'round')
    expect(breaks).toContain(0)
    expect([tone(-40).name, tone(-5).name, tone(0).name, tone(90).name]).toEqual(['loss-scale', 'loss-scale', 'scale', 'scale'])
  })
  it('rise with the amounts, whatever they are', () => {
    fc.assert(
      fc.property(
        fc.array(fc.integer({ min: 0, max: 1e7 }), { minLength: 1, maxLength: 60 }),
        fc.constantFrom('round', 'even'),
        (amounts, how) => {
          const { tone, tones, breaks } = classesOf(amounts, how)
          expect(tones.length).toBeLessThanOrEqual(6)
          expect(tones).toHaveLength(breaks.length + 1)
          const sorted = [...amounts].sort((a, b) => a - b).map(amount => tone(amount).at!)
          sorted.forEach((at, index) => index && expect(at).toBeGreaterThanOrEqual(sorted[index - 1]!))
        },
      ),
    )
  })
})

describe('dots and routes on a map', () => {
  const stops: DataTable = {
    id: 'stops',
    name: 'stops',
    columns: [
      { name: 'stop', type: 'text', kind: 'place', values: ['Quay', 'Slip', 'Lost'] },
      { name: 'lat', type: 'number', kind: 'latitude', values: [40.2, 42.7, null] },
      { name: 'lon', type: 'number', kind: 'longitude', values: [0.3, 2.6, 1] },
      { name: 'riders', type: 'number', values: [400, 100, 50] },
    ],
  }
  it('stand at their degrees, with areas as large as their amounts', () => {
    const drawing = drawChart(spec({ kind: 'map-points', table: 'stops', across: 'stop' }), stops, room)
    const dots = drawing.marks.filter(mark => mark.shape === 'point')
    expect(dots.map(({ key }) => key)).toEqual(['Quay', 'Slip'])
    const [quay, slip] = dots
    expect(quay!.radius / slip!.radius).toBeCloseTo(2, 0)
    expect(quay!.x).toBeLessThan(slip!.x)
    expect(quay!.y).toBeGreaterThan(slip!.y)
    expect(drawing.notes).toEqual(['“Lost” is not on this map.'])
  })
  const ways: DataTable = {
    id: 'ways',
    name: 'ways',
    columns: [
      { name: 'from', type: 'text', values: ['Quill', 'Quill', 'Marsh'] },
      { name: 'to', type: 'text', values: ['Harrow', 'Marsh', 'Marsh'] },
      { name: 'boats', type: 'number', values: [10, 40, 3] },
    ],
  }
  it('go from place to place, thicker where more goes; from a place to itself there is none', () => {
    const drawing = drawChart(spec({ kind: 'map-routes', table: 'ways', across: 'from', series: 'to' }), ways, room)
    const lines = drawing.marks.filter(mark => mark.shape === 'line')
    expect(drawing.names).toEqual(['Quill to Marsh', 'Quill to Harrow'])
    expect(lines[0]!.width).toBeGreaterThan(lines[1]!.width)
    expect(lines[0]!.points.length).toBeGreaterThan(1)
    expect(drawing.labels.map(({ lines: [words] }) => words).sort()).toEqual(['Harrow', 'Marsh', 'Quill'])
  })
})

describe('a camera on its way', () => {
  const from = spec({ options: { extent: 'map' } })
  const to = spec({ options: { extent: 'map', camera: 'place', on: 'Harrow' } })
  const passage = passageOf(from, to, cards, room)
  it('sees everything larger by the same ratio at all times', () => {
    const scales = [0, 0.25, 0.5, 0.75, 1].map(share => regions(passage.at(share, at => at))[0]!.view.scale)
    const ratios = scales.slice(1).map((scale, at) => scale / scales[at]!)
    for (const ratio of ratios) expect(ratio).toBeCloseTo(ratios[0]!, 6)
  })
  it('takes words and marks along: a name stays on its area', () => {
    for (const share of [0.2, 0.5, 0.8]) {
      const drawing = passage.at(share, at => at)
      const area = regions(drawing).find(({ key }) => key === 'Harrow')!
      const word = drawing.labels.find(({ lines }) => lines[0] === 'Harrow')!
      const middle = { x: area.view.x + area.view.scale * area.middle.x, y: area.view.y + area.view.scale * area.middle.y }
      expect(Math.hypot(word.x - middle.x, word.y - middle.y)).toBeLessThan(2)
    }
  })
  it('ends exactly where the state is that is reached by a jump', () => {
    const { write: _, ...ends } = passage.at(1)
    const { write: __, ...jumped } = drawChart(to, cards, room)
    expect(ends).toEqual(jumped)
  })
})

describe('a state of a map', () => {
  it('is called by where its camera has gone', () => {
    const all = spec({})
    const near = spec({ options: { camera: 'highlighted' } })
    const one = spec({ options: { camera: 'place', on: 'Harrow' } })
    expect([stateWords(all, near, cards), stateWords(near, one, cards), stateWords(one, all, cards)]).toEqual([
      'From near',
      'Harrow from near',
      'From afar',
    ])
  })
})

describe('a map that is offered', () => {
  const offer = (table: DataTable, maps: DataTable[] = []) => {
    const { offers, lacking } = offersFor({ ...newChart(table.id), across: table.columns[0]!.name }, table, 'place', 'en', maps)
    return [offers[0]!.kind.name, offers[0]!.spec.map ?? null, lacking.some(({ kind }) => kind.name === 'map-areas')]
  }
  it('is the team’s where names are found on it, the world where they are countries, none where they are neither', () => {
    const known = { ...cards, columns: [map.columns[0]!, { name: 'cards', type: 'number' as const, values: names.map((_, at) => at) }] }
    const countries: DataTable = {
      id: 'c',
      name: 'c',
      columns: [
        { name: 'country', type: 'text', values: ['Norge', 'Denmark', 'UK'] },
        { name: 'tonnes', type: 'number', values: [3, 2, 1] },
      ],
    }
    expect(offer(known, [map])).toEqual(['map-areas', 'parishes', false])
    expect(offer(countries, [map])).toEqual(['map-areas', 'world-50', false])
    expect(offer(known)[2]).toBe(true)
  })
  it('goes where the kind is none, and stays where it was chosen', () => {
    expect(withMap(spec(), chartKindNamed('bar'), cards)).not.toHaveProperty('map')
    expect(withMap(spec(), chartKindNamed('map-points'), cards).map).toBe('parishes')
    expect(withMap({ ...newChart('cards'), kind: 'map-areas' }, chartKindNamed('map-areas'), cards).map).toBe('world-50')
    expect(withMap({ ...newChart('parishes'), kind: 'map-areas' }, chartKindNamed('map-areas'), map)).not.toHaveProperty('map')
  })
})
