import { geoOrthographic } from 'd3-geo'
import { middleOf, type MapProjection } from './projection'

/** The half of the sphere that is seen from far above the middle. */
export const globe: MapProjection = {
  name: 'globe',
  label: 'Globe',
  suits: () => 0.05,
  make: bounds => {
    const [x, y] = middleOf(bounds)
    return geoOrthographic().rotate([-x, -Math.max(-50, Math.min(50, y))])
  },
}
