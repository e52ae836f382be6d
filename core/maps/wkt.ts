import type { Geometry, Position } from 'geojson'

/** Outlines that a cell can hold. */
export type Outline = Exclude<Geometry, { type: 'GeometryCollection' }>

const names = {
  POINT: 'Point',
  MULTIPOINT: 'MultiPoint',
  LINESTRING: 'LineString',
  MULTILINESTRING: 'MultiLineString',
  POLYGON: 'Polygon',
  MULTIPOLYGON: 'MultiPolygon',
} as const

/** How deep the lists of positions of a type are nested. */
const depths = { Point: 0, MultiPoint: 1, LineString: 1, MultiLineString: 2, Polygon: 2, MultiPolygon: 3 } as const

type Nested = Position | Nested[]

const isPosition = (value: Nested): value is Position => typeof value[0] === 'number'

/** Whether words may be an outline, by how they begin. */
export const looksLikeWkt = (words: string) =>
  /^\s*(?:SRID=4326;)?(?:MULTI)?(?:POINT|LINESTRING|POLYGON)\s*(?:Z\s*)?(?:\(|EMPTY)/i.test(words.slice(0, 60))

/**
 * An outline as well-known text (OGC 06-103r4), its coordinates with so many decimals; heights are left out. Degrees with 2 decimals are
 * exact to about 1 km, with 5 to about 1 m.
 */
export function writeWkt(outline: Outline, decimals = 5): string {
  const short = (value: number) => String(Number(value.toFixed(decimals)))
  const write = (nested: Nested): string =>
    isPosition(nested) ? `${short(nested[0]!)} ${short(nested[1]!)}` : `(${nested.map(write).join(',')})`
  const name = outline.type.toUpperCase()
  if (!outline.coordinates.length) return `${name} EMPTY`
  const body = write(outline.coordinates as Nested)
  return `${name}${body.startsWith('(') ? body : `(${body})`}`
}

/** Positions below which a line or a ring is none. */
const leastOf = { Polygon: 4, MultiPolygon: 4, LineString: 2, MultiLineString: 2 } as const

/** Reads well-known text; undefined where it is none, has numbers that are none, or parts that are too short to be what they are called. */
export function readWkt(words: string): Outline | undefined {
  const head = /^\s*(?:SRID=4326;)?([A-Z]+)\s*(Z|M|ZM)?\s*(EMPTY)?/i.exec(words)
  const type = head && names[head[1]!.toUpperCase() as keyof typeof names]
  if (!type) return undefined
  if (head[3]) return { type, coordinates: [] } as unknown as Outline
  let at = head[0].length
  const skip = () => {
    while (words.charCodeAt(at) <= 32) at++
  }
  const number = /[-+]?(?:\d+\.?\d*|\.\d+)(?:e[-+]?\d+)?/iy
  const position = (): Position | undefined => {
    const found: number[] = []
    for (;;) {
      skip()
      number.lastIndex = at
      const match = number.exec(words)
      if (!match) break
      at = number.lastIndex
      found.push(Number(match[0]))
    }
    return found.length >= 2 && found.length <= 4 && found.every(Number.isFinite) ? found.slice(0, 2) : undefined
  }
  const list = (depth: number): Nested | undefined => {
    skip()
    if (depth === 0) return position()
    if (words[at] !== '(') return undefined
    at++
    const made: Nested[] = []
    for (;;) {
      skip()
      // Points of a list stand in brackets of their own, or not.
      const own = depth === 1 && words[at] === '('
      if (own) at++
      const inner = list(depth - 1)
      if (!inner) return undefined
      made.push(inner)
      skip()
      if (own && words[at++] !== ')') return undefined
      skip()
      if (words[at] === ',') at++
      else if (words[at] === ')') {
        at++
        return made
      } else return undefined
    }
  }
  const depth = depths[type]
  const read = list(Math.max(1, depth))
  skip()
  if (!read || at < words.length) return undefined
  const coordinates = depth === 0 ? (read as Nested[])[0] : read
  const least = type in leastOf ? leastOf[type as keyof typeof leastOf] : 0
  const isLong = (nested: Nested): boolean =>
    isPosition(nested) || (isPosition(nested[0]!) ? nested.length >= least : (nested as Nested[]).every(isLong))
  if (least && !isLong(coordinates as Nested)) return undefined
  if (depth === 0 && (read as Nested[]).length !== 1) return undefined
  return { type, coordinates } as unknown as Outline
}

const spoken: Readonly<Record<string, string>> = { POINT: 'point', LINESTRING: 'line', POLYGON: 'area' }

/** An outline in a few words: “area, 214 points”. Its positions are counted, not read. */
export function outlineWords(words: string): string {
  const [, type = ''] = /^\s*(?:SRID=4326;)?(?:MULTI)?([A-Z]+)/i.exec(words) ?? []
  const name = spoken[type.toUpperCase()]
  if (!name) return words.slice(0, 60)
  let points = /EMPTY\s*$/i.test(words.slice(-10)) ? 0 : 1
  for (let at = words.indexOf(','); at >= 0; at = words.indexOf(',', at + 1)) points++
  return name === 'point' && points === 1 ? 'point' : `${name}, ${points} points`
}
