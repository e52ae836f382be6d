import { geoArea } from 'd3-geo'
import type { Position } from 'geojson'
import type { Outline } from './wkt'

/** Whether a ring, read clockwise as on a globe seen from outside, has more than half of the sphere on its inner side. */
const isInsideOut = (ring: Position[]) => geoArea({ type: 'Polygon', coordinates: [ring] }) > 2 * Math.PI

/**
 * Rings turned the way that a sphere needs: the outer one so that its inside is the smaller part of the sphere, its holes against it. In
 * files they are written either way (RFC 7946 asks for the other one, and much is older than it).
 */
export function wound<O extends Outline>(outline: O): O {
  const polygon = (rings: Position[][]) => rings.map((ring, at) => (isInsideOut(ring) === (at === 0) ? [...ring].reverse() : ring))
  if (outline.type === 'Polygon') return { ...outline, coordinates: polygon(outline.coordinates) }
  if (outline.type === 'MultiPolygon') return { ...outline, coordinates: outline.coordinates.map(polygon) }
  return outline
}
