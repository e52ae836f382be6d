import { geoIdentity } from 'd3-geo'
import { isPlan } from '../positions'
import type { MapProjection } from './projection'

/** Coordinates as they are written, north up: plans in metres, or degrees as a grid of squares. */
export const plan: MapProjection = {
  name: 'plan',
  label: 'As the coordinates are written',
  suits: bounds => (isPlan(bounds) ? 2 : 0),
  make: () => geoIdentity().reflectY(true),
}
