import type { Bounds } from '../positions'
import { azimuthal } from './azimuthal'
import { conic } from './conic'
import { equalEarth } from './equal-earth'
import { globe } from './globe'
import { mercator } from './mercator'
import { naturalEarth } from './natural'
import { plan } from './plan'
import type { MapProjection } from './projection'

export type { MapProjection } from './projection'

/** The catalogue: adding a projection is adding a file and a line. */
export const projections: readonly MapProjection[] = [equalEarth, naturalEarth, azimuthal, conic, mercator, globe, plan]

/** A projection by its name; `auto`, or one that is not known, is the one that suits what lies between these degrees best. */
export function projectionFor(name: string, bounds: Bounds): MapProjection {
  const named = projections.find(one => one.name === name)
  // Metres of a plan are no places on a sphere.
  if (named && !(plan.suits(bounds) > 1)) return named
  return projections.reduce((best, one) => (one.suits(bounds) > best.suits(bounds) ? one : best))
}
