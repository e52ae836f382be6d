import { geoConicEqualArea } from 'd3-geo'
import { middleOf, type MapProjection } from './projection'

/** A land that is wider than high, areas as they are; parallels at a sixth from its ends (Albers 1805). */
export const conic: MapProjection = {
  name: 'conic',
  label: 'Conic, areas kept',
  suits: () => 0.3,
  make: bounds => {
    const [x, y] = middleOf(bounds)
    const sixth = (bounds.bottom - bounds.top) / 6
    // A cone about the equator is none.
    const [south, north] = [bounds.top + sixth, bounds.bottom - sixth]
    const parallels: [number, number] = Math.abs(south + north) < 2 ? [y + 10, y + 20] : [south, north]
    return geoConicEqualArea().parallels(parallels).rotate([-x, 0]).center([0, y])
  },
}
