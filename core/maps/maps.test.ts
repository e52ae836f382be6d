import fc from 'fast-check'
import { geoArea } from 'd3-geo'
import type { Position } from 'geojson'
import { describe, expect, it } from 'vitest'
import {
  cameraOn,
  countryOf,
  decimalsFor,
  featuresOf,
  isWithin,
  looksLikeMap,
  outlineOf,
  outlineWords,
  placeFinder,
  planeOf,
  projectionFor,
  projections,
  readWkt,
  ringArea,
  seenBy,
  simplified,
  wound,
  writeWkt,
  type Bounds,
  type Outline,
} from './index'

const square = (x: number, y: number, side: number): Position[] => [
  [x, y],
  [x + side, y],
  [x + side, y + side],
  [x, y + side],
  [x, y],
]
const area = (x: number, y: number, side: number): Outline => ({ type: 'Polygon', coordinates: [square(x, y, side)] })

describe('an outline as words', () => {
  it.each<[string, Outline]>([
    ['POINT(-31.2 47.05)', { type: 'Point', coordinates: [-31.2, 47.05] }],
    [
      'LINESTRING(0 0,1 2,3 1)',
      {
        type: 'LineString',
        coordinates: [
          [0, 0],
          [1, 2],
          [3, 1],
        ],
      },
    ],
    ['POLYGON((0 0,4 0,4 4,0 4,0 0))', area(0, 0, 4)],
    [
      'MULTIPOLYGON(((0 0,4 0,4 4,0 4,0 0)),((9 9,10 9,10 10,9 10,9 9)))',
      { type: 'MultiPolygon', coordinates: [[square(0, 0, 4)], [square(9, 9, 1)]] },
    ],
    [
      'MULTIPOINT(1 2,3 4)',
      {
        type: 'MultiPoint',
        coordinates: [
          [1, 2],
          [3, 4],
        ],
      },
    ],
  ])('is %s, and is read back', (words, outline) => {
    expect(writeWkt(outline)).toBe(words)
    expect(readWkt(words)).toEqual(outline)
  })

  it('is read however it is spaced, with a height, a reference or brackets about its points', () => {
    expect(readWkt(' srid=4326;Polygon Z ( ( 0 0 5 , 4 0 5,4 4 5,0 4 5 , 0 0 5 ) ) ')).toEqual(area(0, 0, 4))
    expect(readWkt('MULTIPOINT((1 2),(3 4))')).toEqual(readWkt('MULTIPOINT(1 2,3 4)'))
    expect(readWkt('POINT(1e-3 -.5)')).toEqual({ type: 'Point', coordinates: [0.001, -0.5] })
  })

  it.each([
    '',
    'POLYGON',
    'POLYGON((0 0,1 1))',
    'POINT(1)',
    'POINT(1 2',
    'POINT(1 2) more',
    'POINT(a b)',
    'CIRCLE(1 2 3)',
    'POINT(1 2,3 4)',
  ])('is none in “%s”', words => expect(readWkt(words)).toBeUndefined())

  it('comes back within its decimals, whatever it is', () => {
    const place = fc.tuple(fc.double({ min: -180, max: 180, noNaN: true }), fc.double({ min: -90, max: 90, noNaN: true }))
    fc.assert(
      fc.property(fc.array(place, { minLength: 2, maxLength: 40 }), fc.integer({ min: 0, max: 6 }), (coordinates, decimals) => {
        const read = readWkt(writeWkt({ type: 'LineString', coordinates }, decimals))
        const back = (read as { coordinates: Position[] }).coordinates
        expect(back).toHaveLength(coordinates.length)
        back.forEach(([x, y], at) => {
          expect(Math.abs(x! - coordinates[at]![0])).toBeLessThanOrEqual(0.5000001 * 10 ** -decimals)
          expect(Math.abs(y! - coordinates[at]![1])).toBeLessThanOrEqual(0.5000001 * 10 ** -decimals)
        })
      }),
    )
  })

  it('is told by what it is and how many points it has', () => {
    expect(['POINT(1 2)', 'POLYGON((0 0,4 0,4 4,0 4,0 0))', 'MULTILINESTRING((0 0,1 1),(2 2,3 3))'].map(outlineWords)).toEqual([
      'point',
      'area, 5 points',
      'line, 4 points',
    ])
  })
})

describe('a file of a map', () => {
  it('is a collection, one feature, or a bare geometry; anything else is none', () => {
    const geometry = area(0, 0, 4)
    for (const value of [
      { type: 'FeatureCollection', features: [{ type: 'Feature', properties: null, geometry }] },
      { type: 'Feature', properties: null, geometry },
      geometry,
    ]) {
      expect(looksLikeMap(value)).toBe(true)
      expect(featuresOf(value)).toEqual({ ok: true, features: [{ properties: {}, outline: geometry }] })
    }
    expect([{ rows: [] }, [geometry], 'Polygon', null].map(looksLikeMap)).toEqual([false, false, false, false])
  })

  it('keeps a place whose outline is missing or broken, without it', () => {
    const features = [null, { type: 'Polygon', coordinates: [[[0, 0]]] }, { type: 'Point', coordinates: ['a', 1] }, area(1, 1, 2)].map(
      (geometry, at) => ({ type: 'Feature', id: at, properties: { at }, geometry }),
    )
    const read = featuresOf({ type: 'FeatureCollection', features })
    expect(read.ok && read.features.map(({ id, outline }) => [id, outline?.type ?? null])).toEqual([
      [0, null],
      [1, null],
      [2, null],
      [3, 'Polygon'],
    ])
  })

  it('closes rings that are open, and leaves out positions that are none', () => {
    const open = {
      type: 'Polygon',
      coordinates: [
        [
          [0, 0],
          [4, 0],
          [NaN, 3],
          [4, 4],
          [0, 4],
        ],
      ],
    }
    expect(outlineOf(open)).toEqual(area(0, 0, 4))
  })

  it('is the areas of a collection of geometries', () => {
    const geometries = [{ type: 'Point', coordinates: [9, 9] }, area(0, 0, 1), { type: 'MultiPolygon', coordinates: [[square(5, 5, 1)]] }]
    expect(outlineOf({ type: 'GeometryCollection', geometries })).toEqual({
      type: 'MultiPolygon',
      coordinates: [[square(0, 0, 1)], [square(5, 5, 1)]],
    })
  })

  it('of collections within collections without end has no outline, and is no trouble', () => {
    let geometry: unknown = area(0, 0, 1)
    for (let depth = 0; depth < 20_000; depth++) geometry = { type: 'GeometryCollection', geometries: [geometry] }
    expect(outlineOf(geometry)).toBeNull()
  })

  it('may be a topology; one whose lines are not there is told in a sentence', () => {
    const arcs = [
      [
        [0, 0],
        [4, 0],
        [4, 4],
        [0, 4],
        [0, 0],
      ],
    ]
    const layer = { type: 'GeometryCollection', geometries: [{ type: 'Polygon', id: 7, properties: { name: 'Quill' }, arcs: [[0]] }] }
    expect(featuresOf({ type: 'Topology', objects: { parishes: layer }, arcs })).toEqual({
      ok: true,
      features: [{ id: 7, properties: { name: 'Quill' }, outline: area(0, 0, 4) }],
    })
    for (const broken of [{ objects: { parishes: layer }, arcs: [] }, { objects: {}, arcs }, { arcs }, { objects: { parishes: layer } }])
      expect(featuresOf({ type: 'Topology', ...broken })).toEqual({ ok: false, reason: expect.stringMatching(/TopoJSON .+\.$/) as string })
  })
})

describe('rings that are turned', () => {
  const hole = square(1, 1, 2)
  it('hold the smaller part of the sphere, whichever way they were written', () => {
    fc.assert(
      fc.property(
        fc.integer({ min: -170, max: 150 }),
        fc.integer({ min: -80, max: 60 }),
        fc.integer({ min: 1, max: 20 }),
        fc.boolean(),
        (x, y, side, isTurned) => {
          const ring = square(x, y, side)
          const turned = wound({ type: 'Polygon', coordinates: [isTurned ? [...ring].reverse() : ring] })
          expect(geoArea(turned)).toBeLessThan(1)
        },
      ),
    )
  })
  it('leave their holes out', () => {
    const whole = geoArea(wound(area(0, 0, 6)))
    for (const ring of [hole, [...hole].reverse()])
      expect(geoArea(wound({ type: 'Polygon', coordinates: [square(0, 0, 6), ring] }))).toBeCloseTo(
        whole - geoArea(wound(area(1, 1, 2))),
        6,
      )
  })
})

describe('outlines of too many points', () => {
  /** A strip between two heights, with many points along its upper and its lower edge. */
  const strip = (bottom: number, top: number, count: number): Outline => {
    const along = (y: number) => Array.from({ length: count }, (_, at): Position => [(at * 10) / (count - 1), y + Math.sin(at) * 0.01])
    const ring = [...along(bottom), ...along(top).reverse()]
    return { type: 'Polygon', coordinates: [[...ring, ring[0]!]] }
  }
  const features = [strip(0, 1, 4000), strip(1, 2, 4000)].map((outline, id) => ({ id, properties: {}, outline }))

  it('have fewer, and neighbours still fit', () => {
    const { features: made, were } = simplified(features, 1000)
    expect(were).toBe(16_002)
    const [lower, upper] = made.map(({ outline }) => (outline as { coordinates: Position[][] }).coordinates[0]!)
    expect(lower!.length + upper!.length).toBeLessThan(1100)
    const edge = (ring: Position[]) => new Set(ring.filter(([, y]) => Math.abs(y! - 1) < 0.02).map(String))
    expect(edge(lower!)).toEqual(edge(upper!))
  })
  it('stay as they are where they are few', () => {
    expect(simplified(features, 20_000)).toEqual({ features, were: null })
  })
  it('are written with as many decimals as their size needs', () => {
    const sizes = [360, 1, 0.01, 100_000]
    expect(sizes.map(side => decimalsFor([area(0, 0, side)]))).toEqual([3, 5, 6, 0])
  })
})

describe('places by name', () => {
  const finder = placeFinder([
    ['Norway', 'NO'],
    ['Côte d’Ivoire', 'CI'],
    ['United States of America', 'US', 'USA'],
    ['Korea, Rep.', 'KR'],
    ['Isle of Harrow'],
    ['Sandgate'],
    ['Sandgate'],
  ])
  it.each([
    ['norway', 0],
    ['  NORWAY ', 0],
    ['Norwegen', 0],
    ['Noruega', 0],
    ['NOR', 0],
    ['cote d ivoire', 1],
    ['Ivory Coast', 1],
    ['U.S.A.', 2],
    ['United States', 2],
    ['Vereinigte Staaten', 2],
    ['South Korea', 3],
    ['cote divoire', 1],
    ['Harrow', undefined],
    ['isle of harrow', 4],
    ['Sandgate', undefined],
    ['', undefined],
    ['Total', undefined],
  ])('finds %s', (name, at) => expect(finder.find(name)).toBe(at))

  it('says what may have been meant', () => {
    expect([finder.near('Norwy'), finder.near('Sandgte'), finder.near('Quill'), finder.near('No')]).toEqual([
      'Norway',
      'Sandgate',
      undefined,
      undefined,
    ])
  })
  it('knows every country in ten languages as the same one', () => {
    const names = [
      'Germany',
      'Deutschland',
      'Allemagne',
      'Alemania',
      'Germania',
      'Alemanha',
      'Duitsland',
      'Tyskland',
      'Niemcy',
      'DE',
      'deu',
    ]
    expect(new Set(names.map(countryOf))).toEqual(new Set(['DE']))
    expect([countryOf('Velmoor'), countryOf('')]).toEqual([undefined, undefined])
  })
})

describe('projections', () => {
  const world: Bounds = { left: -180, right: 180, top: -90, bottom: 90 }
  const raw = (name: string, [x, y]: [number, number], bounds = world) => {
    const made = projections.find(one => one.name === name)!.make(bounds)
    if (!('rotate' in made)) throw new Error('no sphere')
    const [px, py] = made.rotate([0, 0]).scale(1).translate([0, 0])([x, y])!
    return [px, -py]
  }
  it.each([
    // Mercator: y = ln tan(π/4 + φ/2); 0.881373587 at 45°.
    ['mercator', [90, 45], [Math.PI / 2, 0.881373587]],
    // Lambert’s azimuthal: a pole is √2 from the equator.
    ['azimuthal', [0, 90], [0, Math.SQRT2]],
    // Orthographic: the sine.
    ['globe', [30, 0], [0.5, 0]],
    // Equal Earth (Šavrič et al. 2018): the equator is 2.7066299836960748 from its middle to its end.
    ['equal-earth', [180, 0], [2.7066299836960748, 0]],
    // Natural Earth (Šavrič et al. 2011): 0.8707 of π along the equator, the pole at 1.4224 (0.52 of 0.8707 π).
    ['natural-earth', [180, 0], [0.8707 * Math.PI, 0]],
  ] as const)('%s of %s is what was published', (name, place, expected) => {
    const [x, y] = raw(name, [...place])
    expect(x).toBeCloseTo(expected[0], 3)
    expect(y).toBeCloseTo(expected[1], 3)
  })

  it.each(['equal-earth', 'azimuthal', 'conic'])('%s keeps areas: fields of ten degrees are to each other as on the sphere', name => {
    const bounds = { left: -30, right: 30, top: 0, bottom: 75 }
    const fields = [0, 30, 60].map(latitude => wound(area(-5, latitude, 10)))
    const dense = fields.map(field => ({
      ...field,
      coordinates: [
        (field as { coordinates: Position[][] }).coordinates[0]!.flatMap(([x, y], at, ring) => {
          const [nx, ny] = ring[(at + 1) % ring.length]!
          return Array.from({ length: 40 }, (_, step) => [x! + ((nx! - x!) * step) / 40, y! + ((ny! - y!) * step) / 40])
        }),
      ],
    })) as Outline[]
    const plane = planeOf(dense, projectionFor(name, bounds), bounds)
    const areas = dense.map((_, at) => plane.spot(at)!.rings.reduce((sum, ring) => sum + ringArea(ring), 0))
    const sphere = [0, 30, 60].map(latitude => Math.sin(((latitude + 10) * Math.PI) / 180) - Math.sin((latitude * Math.PI) / 180))
    areas.forEach((own, at) => expect(own / areas[0]!).toBeCloseTo(sphere[at]! / sphere[0]!, 1))
  })

  it('are chosen by what lies where, and a plan in metres is none of a sphere', () => {
    const named = (bounds: Bounds, wanted = 'auto') => projectionFor(wanted, bounds).name
    expect(named(world)).toBe('equal-earth')
    expect(named({ left: -10, right: 30, top: 35, bottom: 70 })).toBe('azimuthal')
    expect(named({ left: -31.4, right: -31.1, top: 47, bottom: 47.2 })).toBe('mercator')
    expect([named({ left: 0, right: 4000, top: 0, bottom: 900 }), named({ left: 0, right: 4000, top: 0, bottom: 900 }, 'globe')]).toEqual([
      'plan',
      'plan',
    ])
    expect([named(world, 'globe'), named(world, 'no such one')]).toEqual(['globe', 'equal-earth'])
  })
})

describe('a map laid flat', () => {
  const bounds = { left: 0, right: 20, top: 40, bottom: 60 }
  const round: Outline = {
    type: 'Polygon',
    coordinates: [
      Array.from({ length: 201 }, (_, at) => [5 + 3 * Math.cos((at * Math.PI) / 100), 45 + 3 * Math.sin((at * Math.PI) / 100)]),
    ],
  }
  const outlines = [wound(round), wound(area(12, 50, 4)), null]
  it.each(projections.map(({ name }) => name))('by %s lies about the middle of its degrees, and is found again', name => {
    const plane = planeOf(outlines, projectionFor(name, bounds), bounds)
    const middle = plane.at(10, 50)!
    expect(middle.x).toBeGreaterThan(0)
    expect(middle.x).toBeLessThan(4000)
    const [east, north] = plane.degrees(middle.x, middle.y)!
    expect(east).toBeCloseTo(10, 3)
    expect(north).toBeCloseTo(50, 3)
    expect(plane.path(2, 1)).toBe('')
    expect(plane.spot(2)).toBeUndefined()
    const spot = plane.spot(0)!
    expect(isWithin([spot.x, spot.y], spot.rings[0]!)).toBe(true)
    // North is above, east to the right.
    expect(plane.spot(1)!.y).toBeLessThan(spot.y)
    expect(plane.spot(1)!.x).toBeGreaterThan(spot.x)
  })
  it('has fewer points the further off it is seen from, and none where it is too small', () => {
    const plane = planeOf(outlines, projectionFor('auto', bounds), bounds)
    const points = (least: number) => plane.path(0, least).split('L').length
    expect(points(0.1)).toBe(200)
    expect(points(100)).toBeLessThan(60)
    expect(plane.path(0, 1e5)).toBe('')
  })
  it('has what a camera is on in the middle of its room, as large as it can be', () => {
    fc.assert(
      fc.property(
        fc.tuple(fc.nat(3000), fc.nat(3000), fc.integer({ min: 1, max: 900 }), fc.integer({ min: 1, max: 900 })),
        fc.tuple(fc.integer({ min: 100, max: 1900 }), fc.integer({ min: 100, max: 1000 })),
        ([left, top, wide, tall], [width, height]) => {
          const camera = cameraOn({ left, top, right: left + wide, bottom: top + tall }, { x: 0, y: 0, width, height }, 10)
          const [a, b] = [seenBy(camera, { x: left, y: top }), seenBy(camera, { x: left + wide, y: top + tall })]
          expect(a.x + b.x).toBeCloseTo(width, 4)
          expect(a.y + b.y).toBeCloseTo(height, 4)
          expect(Math.max((b.x - a.x) / (width - 20), (b.y - a.y) / (height - 20))).toBeCloseTo(1, 6)
        },
      ),
    )
  })
})
