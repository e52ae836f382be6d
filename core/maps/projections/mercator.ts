import { geoMercator } from 'd3-geo'
import { middleOf, spanOf, type MapProjection } from './projection'

/** Angles as they are: a town or a harbour; areas far from the equator are much too large (Mercator 1569). */
export const mercator: MapProjection = {
  name: 'mercator',
  label: 'Mercator, angles kept',
  suits: bounds => (spanOf(bounds) <= 4 ? 1 : 0.1),
  make: bounds => geoMercator().rotate([-middleOf(bounds)[0], 0]),
}
