import { geoNaturalEarth1 } from 'd3-geo'
import { spanOf, type MapProjection } from './projection'

/** The world as it is used to be seen, neither areas nor angles kept (Šavrič, Jenny, Patterson et al. 2011). */
export const naturalEarth: MapProjection = {
  name: 'natural-earth',
  label: 'Natural Earth',
  suits: bounds => (spanOf(bounds) > 140 ? 0.8 : 0.1),
  make: () => geoNaturalEarth1().rotate([-11, 0]),
}
