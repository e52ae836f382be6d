import { geoEqualEarth } from 'd3-geo'
import { spanOf, type MapProjection } from './projection'

/** The world with areas as they are (Šavrič, Patterson and Jenny 2018), cut in the Bering Strait. */
export const equalEarth: MapProjection = {
  name: 'equal-earth',
  label: 'Equal Earth',
  suits: bounds => (spanOf(bounds) > 140 ? 1 : 0.2),
  make: () => geoEqualEarth().rotate([-11, 0]),
}
