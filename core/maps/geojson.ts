import type { Feature, FeatureCollection, GeoJsonProperties, Geometry, Position } from 'geojson'
import { feature } from 'topojson-client'
import type { Topology } from 'topojson-specification'
import { z } from 'zod'
import type { Outline } from './wkt'

/** A place of a map with what is known of it; null where its outline is missing or cannot be read. */
export interface MapFeature {
  id?: string | number
  properties: Record<string, unknown>
  outline: Outline | null
}

const record = z.record(z.string(), z.unknown())
const isRecord = (value: unknown): value is Record<string, unknown> => record.safeParse(value).success

/** Whether a value is a map: GeoJSON with outlines, or a topology. */
export function looksLikeMap(value: unknown): boolean {
  if (!isRecord(value)) return false
  const { type } = value
  return type === 'FeatureCollection' || type === 'Feature' || type === 'GeometryCollection' || type === 'Topology' || isOutlineType(type)
}

const depths: Readonly<Record<string, number>> = { Point: 0, MultiPoint: 1, LineString: 1, MultiLineString: 2, Polygon: 2, MultiPolygon: 3 }
const isOutlineType = (type: unknown) => typeof type === 'string' && Object.hasOwn(depths, type)
const isPosition = (value: unknown): value is Position =>
  Array.isArray(value) && value.length >= 2 && Number.isFinite(value[0]) && Number.isFinite(value[1])

/** Coordinates of a depth, without what is none: positions that are no numbers, rings of fewer than four; undefined where none are left. */
function mended(value: unknown, depth: number, least: number): unknown {
  if (depth === 0) return isPosition(value) ? value.slice(0, 2) : undefined
  if (!Array.isArray(value)) return undefined
  const kept = value.map(inner => mended(inner, depth - 1, least)).filter(inner => inner !== undefined)
  if (depth === 1 && kept.length < least) return undefined
  return kept.length ? kept : undefined
}

/** A ring ends where it begins (RFC 7946, 3.1.6): one that does not is closed. */
function closed(ring: Position[]): Position[] {
  const [first, last] = [ring[0]!, ring.at(-1)!]
  return first[0] === last[0] && first[1] === last[1] ? ring : [...ring, first]
}

/** Collections within collections beyond this are no map. */
const deepestCollection = 4

/**
 * The outline of a geometry; null where nothing of it can be drawn. A collection is what its areas are together, else its lines, else
 * points.
 */
export function outlineOf(geometry: unknown, depth = 0): Outline | null {
  if (!isRecord(geometry) || depth > deepestCollection) return null
  if (geometry.type === 'GeometryCollection')
    return joined((Array.isArray(geometry.geometries) ? geometry.geometries : []).map(one => outlineOf(one, depth + 1)))
  if (!isOutlineType(geometry.type)) return null
  const type = geometry.type as Outline['type']
  const isArea = type === 'Polygon' || type === 'MultiPolygon'
  const coordinates = mended(geometry.coordinates, depths[type]!, isArea ? 3 : type.endsWith('String') ? 2 : 1)
  if (coordinates === undefined) return null
  const outline = { type, coordinates } as unknown as Outline
  if (outline.type === 'Polygon') return { ...outline, coordinates: outline.coordinates.map(closed) }
  if (outline.type === 'MultiPolygon') return { ...outline, coordinates: outline.coordinates.map(polygon => polygon.map(closed)) }
  return outline
}

function joined(outlines: readonly (Outline | null)[]): Outline | null {
  const all = outlines.filter(outline => outline !== null)
  const areas = all.flatMap(outline =>
    outline.type === 'Polygon' ? [outline.coordinates] : outline.type === 'MultiPolygon' ? outline.coordinates : [],
  )
  if (areas.length) return { type: 'MultiPolygon', coordinates: areas }
  const lines = all.flatMap(outline =>
    outline.type === 'LineString' ? [outline.coordinates] : outline.type === 'MultiLineString' ? outline.coordinates : [],
  )
  return lines.length ? { type: 'MultiLineString', coordinates: lines } : (all[0] ?? null)
}

/** A topology as features, the largest of its layers; a sentence where its parts do not fit together. */
function featuresOfTopology(value: Record<string, unknown>): Feature[] | string {
  const topology = value as unknown as Topology
  const sizes = (layer: unknown) => (isRecord(layer) && Array.isArray(layer.geometries) ? layer.geometries.length : 1)
  const layers = isRecord(value.objects) ? Object.entries(value.objects).sort(([, a], [, b]) => sizes(b) - sizes(a)) : []
  if (!layers.length || !Array.isArray(value.arcs)) return 'This TopoJSON has no layers with outlines.'
  try {
    const made = feature(topology, layers[0]![0]) as Feature | FeatureCollection<Geometry | null, GeoJsonProperties>
    return made.type === 'FeatureCollection' ? (made.features as Feature[]) : [made]
  } catch (error) {
    // An arc that is not there, or is no list, is met as this.
    if (error instanceof TypeError || error instanceof RangeError) return 'This TopoJSON names lines that are not in it.'
    throw error
  }
}

/** The features of GeoJSON or TopoJSON that has been parsed. */
export function featuresOf(value: unknown): { ok: true; features: MapFeature[] } | { ok: false; reason: string } {
  if (!isRecord(value)) return { ok: false, reason: 'This is no GeoJSON.' }
  const found =
    value.type === 'Topology'
      ? featuresOfTopology(value)
      : value.type === 'FeatureCollection'
        ? Array.isArray(value.features)
          ? value.features
          : 'This GeoJSON has no list of features.'
        : value.type === 'Feature'
          ? [value]
          : [{ type: 'Feature', properties: {}, geometry: value }]
  if (typeof found === 'string') return { ok: false, reason: found }
  return {
    ok: true,
    features: found.map(one => {
      const { id, properties, geometry } = isRecord(one) ? one : {}
      return {
        ...(typeof id === 'string' || typeof id === 'number' ? { id } : {}),
        properties: isRecord(properties) ? properties : {},
        outline: outlineOf(geometry),
      }
    }),
  }
}
