import type { GeoIdentityTransform, GeoProjection } from 'd3-geo'
import type { Bounds } from '../positions'

/** A way of laying the sphere flat, one file each. */
export interface MapProjection {
  name: string
  label: string
  /** How well it suits what lies between these degrees, 0 to 1; of several that suit as well the first is taken. */
  suits(bounds: Bounds): number
  /** The projection for what lies between these degrees. */
  make(bounds: Bounds): GeoProjection | GeoIdentityTransform
}

export const middleOf = ({ left, top, right, bottom }: Bounds): [number, number] => [(left + right) / 2, (top + bottom) / 2]
export const spanOf = ({ left, top, right, bottom }: Bounds) => Math.max(right - left, bottom - top)
