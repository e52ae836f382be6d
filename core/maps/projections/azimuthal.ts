import { geoAzimuthalEqualArea } from 'd3-geo'
import { middleOf, spanOf, type MapProjection } from './projection'

/** A continent or a country from above its middle, areas as they are (Lambert 1772). */
export const azimuthal: MapProjection = {
  name: 'azimuthal',
  label: 'Azimuthal, areas kept',
  suits: bounds => (spanOf(bounds) > 4 && spanOf(bounds) <= 140 ? 1 : 0.4),
  make: bounds => {
    const [x, y] = middleOf(bounds)
    return geoAzimuthalEqualArea().rotate([-x, -y]).clipAngle(100)
  },
}
