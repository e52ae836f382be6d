import type { GeoStreamWrapper } from 'd3-geo'
import type { Position } from 'geojson'
import polylabel from 'polylabel'
import { boundsOf, largerRings, ringArea, type Bounds } from './positions'
import type { MapProjection } from './projections'
import type { Outline } from './wkt'

/** The longer side of a plane. */
export const planeSide = 4000

/** Where words about an area stand: where it is widest. */
export interface Spot {
  x: number
  y: number
  /** How far that is from its edge, on the plane. */
  inside: number
  /** Rings of its largest part, on the plane. */
  rings: readonly Ring[]
}

type Flat = [number, number]
type Ring = Flat[]

/** What is laid flat of an outline. */
interface Laid {
  rings: Ring[]
  lines: Ring[]
  points: Flat[]
}

function laid(outline: Outline, project: GeoStreamWrapper): Laid {
  const [rings, lines, points]: [Ring[], Ring[], Flat[]] = [[], [], []]
  let current: Ring | null = null
  let isPolygon = false
  const sink = {
    point: (x: number, y: number) => void (current ?? points).push([x, y]),
    lineStart: () => void (current = []),
    lineEnd() {
      if (current) (isPolygon ? rings : lines).push(current)
      current = null
    },
    polygonStart: () => void (isPolygon = true),
    polygonEnd: () => void (isPolygon = false),
  }
  streamInto(outline, project.stream(sink))
  return { rings: rings.filter(ring => ring.length > 2), lines, points }
}

/** Sends an outline through a stream, as d3-geo does. */
function streamInto(outline: Outline, stream: ReturnType<GeoStreamWrapper['stream']>) {
  const line = (list: readonly Position[], isRing: boolean) => {
    stream.lineStart()
    const count = isRing ? list.length - 1 : list.length
    for (let at = 0; at < count; at++) stream.point(list[at]![0]!, list[at]![1]!)
    stream.lineEnd()
  }
  const polygon = (rings: readonly Position[][]) => {
    stream.polygonStart()
    for (const ring of rings) line(ring, true)
    stream.polygonEnd()
  }
  if (outline.type === 'Point') stream.point(outline.coordinates[0]!, outline.coordinates[1]!)
  else if (outline.type === 'MultiPoint') for (const [x, y] of outline.coordinates) stream.point(x!, y!)
  else if (outline.type === 'LineString') line(outline.coordinates, false)
  else if (outline.type === 'MultiLineString') for (const list of outline.coordinates) line(list, false)
  else if (outline.type === 'Polygon') polygon(outline.coordinates)
  else for (const rings of outline.coordinates) polygon(rings)
}

/** A map laid flat. */
export interface Plane {
  /** The same for all that is laid flat in the same way, so that a camera can go from one part of it to another. */
  name: string
  projection: MapProjection
  /** The outline of a place as SVG path data; points nearer to each other than `least` are one. Empty where nothing of it is seen. */
  path(place: number, least: number): string
  /** What holds all of a place, and what holds its larger parts: islands far off and small do not count. */
  bounds(place: number): Bounds | undefined
  main(place: number): Bounds | undefined
  /** Where words about a place stand; of a line or of points one of them, with nothing inside. Undefined where nothing of it is seen. */
  spot(place: number): Spot | undefined
  /** Where a place by its degrees lies; undefined where it is not seen. */
  at(longitude: number, latitude: number): { x: number; y: number } | undefined
  /** The degrees of a spot on the plane; undefined where it is none of the sphere, or the map is a plan. */
  degrees(x: number, y: number): [number, number] | undefined
  /** The shortest way between two places, as points along the pieces that are seen of it. */
  way(from: Position, to: Position): readonly (readonly { x: number; y: number }[])[]
}

/** Path data along points, without those nearer than `least` to the one before; an area with fewer than three is left out. */
function pathAlong(points: readonly Flat[], least: number, isClosed: boolean): string {
  const kept: Flat[] = []
  const digits = least < 0.3 ? 100 : 10
  for (const point of points) {
    const last = kept.at(-1)
    if (!last || Math.hypot(point[0] - last[0], point[1] - last[1]) >= least) kept.push(point)
  }
  if (kept.length < (isClosed ? 3 : 2)) return ''
  const short = (value: number) => Math.round(value * digits) / digits
  return `M${kept.map(([x, y]) => `${short(x)},${short(y)}`).join('L')}${isClosed ? 'Z' : ''}`
}

function spotOf({ rings, lines, points }: Laid): Spot | undefined {
  if (!rings.length) {
    const places = lines.length ? lines.flat() : points
    const at = places[Math.floor(places.length / 2)]
    return at && { x: at[0], y: at[1], inside: 0, rings: [] }
  }
  const [largest, ...rest] = [...rings].sort((a, b) => ringArea(b) - ringArea(a)) as [Ring, ...Ring[]]
  const own = [largest, ...rest.filter(ring => isWithin(ring[0]!, largest))]
  const spot = polylabel(own, Math.max(0.02, Math.sqrt(ringArea(largest)) / 60))
  return { x: spot[0], y: spot[1], inside: spot.distance, rings: own }
}

/** What holds the larger parts of what is laid flat. */
const mainBounds = ({ rings, lines, points }: Laid) => boundsOf(rings.length ? largerRings(rings).flat() : [...lines.flat(), ...points])

/** Whether a point lies within a ring (even-odd rule). */
export function isWithin([x, y]: Position, ring: readonly Position[]): boolean {
  let inside = false
  for (let at = 0, before = ring.length - 1; at < ring.length; before = at++) {
    const [[ax, ay], [bx, by]] = [ring[at]!, ring[before]!] as [[number, number], [number, number]]
    if (ay > y! !== by > y! && x! < ((bx - ax) * (y! - ay)) / (by - ay) + ax) inside = !inside
  }
  return inside
}

/** Remembers an answer for each number. */
function kept<T>(compute: (at: number) => T): (at: number) => T {
  const known = new Map<number, T>()
  return at => {
    if (!known.has(at)) known.set(at, compute(at))
    return known.get(at)!
  }
}

/**
 * Outlines laid flat by a projection that is fitted to `degrees`, so that those take 4000 along their longer side. Each is laid flat when
 * it is first asked for.
 */
export function planeOf(outlines: readonly (Outline | null)[], projection: MapProjection, degrees: Bounds): Plane {
  const made = projection.make(degrees)
  const { left, top, right, bottom } = degrees
  const corners: Flat[] = [
    [left, top],
    [right, top],
    [right, bottom],
    [left, bottom],
  ]
  const edge = corners.flatMap(([x, y], at) => {
    const [nextX, nextY] = corners[(at + 1) % corners.length]!
    return Array.from({ length: 12 }, (_, step) => [x + ((nextX - x) * step) / 12, y + ((nextY - y) * step) / 12])
  })
  const square: [Flat, Flat] = [
    [0, 0],
    [planeSide, planeSide],
  ]
  made.fitExtent(square, { type: 'MultiPoint', coordinates: edge })
  const nothing: Laid = { rings: [], lines: [], points: [] }
  const flat = kept(at => (outlines[at] ? laid(outlines[at], made) : nothing))
  return {
    name: `${projection.name} ${[left, top, right, bottom].map(value => Math.round(value * 100) / 100).join(' ')}`,
    projection,
    path: (place, least) => {
      const { rings, lines } = flat(place)
      return [...rings.map(ring => pathAlong(ring, least, true)), ...lines.map(line => pathAlong(line, least, false))].join('')
    },
    bounds: kept(place => {
      const { rings, lines, points } = flat(place)
      return boundsOf([...rings.flat(), ...lines.flat(), ...points])
    }),
    main: kept(place => mainBounds(flat(place))),
    spot: kept(place => spotOf(flat(place))),
    at(longitude, latitude) {
      const [place] = laid({ type: 'Point', coordinates: [longitude, latitude] }, made).points
      return place && { x: place[0], y: place[1] }
    },
    degrees: (x, y) => made.invert?.([x, y]) ?? undefined,
    way: (from, to) => laid({ type: 'LineString', coordinates: [from, to] }, made).lines.map(line => line.map(([x, y]) => ({ x, y }))),
  }
}
