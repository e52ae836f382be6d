import type { FeatureCollection } from 'geojson'
import { feature } from 'topojson-client'
import { topology } from 'topojson-server'
import type { GeometryCollection, Topology } from 'topojson-specification'
import { filter, filterWeight, presimplify, quantile, simplify } from 'topojson-simplify'
import type { MapFeature } from './geojson'
import { boundsOf, positionsOf } from './positions'
import type { Outline } from './wkt'

/** Points that all outlines of a map may have: more are not seen on a slide. */
export const mostPoints = 60_000
/** Outlines of so many times more points are first put on a grid of steps, each side, on which most of them are the same. */
const manyTimes = 4
const coarseSteps = 16_000
/** Steps that the longer side of a map is parted into. */
const gridSteps = 40_000

const countOf = (features: readonly MapFeature[]) =>
  features.reduce((count, { outline }) => count + (outline ? [...positionsOf(outline)].length : 0), 0)

/**
 * Outlines with at most so many points: those that change an outline least are left out first (Visvalingam and Whyatt 1993, on the common
 * borders), so that neighbours still fit. Answers how many points there were where any were left out. What becomes of an area that
 * vanishes altogether is its place as it was, of fewer points.
 */
export function simplified(features: readonly MapFeature[], most = mostPoints): { features: MapFeature[]; were: number | null } {
  const were = countOf(features)
  if (were <= most) return { features: [...features], were: null }
  const collection: FeatureCollection = {
    type: 'FeatureCollection',
    features: features.flatMap(({ outline }, at) => (outline ? [{ type: 'Feature', id: at, properties: {}, geometry: outline }] : [])),
  }
  const weighed = presimplify(
    topology({ map: collection }, were > most * manyTimes ? coarseSteps : undefined) as Topology<{ map: GeometryCollection<object> }>,
  )
  const reduced = simplify(weighed, quantile(weighed, most / were))
  // Islands that are only a few points by now are no longer there to be seen.
  const kept = filter(reduced, filterWeight(reduced, 0))
  const made = feature(kept, kept.objects.map!) as FeatureCollection
  const byId = new Map(made.features.map(one => [one.id, one.geometry as Outline | null]))
  return {
    were,
    features: features.map((one, at) => ({ ...one, outline: one.outline && (byId.get(at) ?? one.outline) })),
  }
}

/** Decimals that coordinates of outlines need: one step of a grid of 40,000 by the longer side, between 0 and 6. */
export function decimalsFor(outlines: readonly Outline[]): number {
  const bounds = boundsOf(
    (function* () {
      for (const outline of outlines) yield* positionsOf(outline)
    })(),
  )
  const side = bounds ? Math.max(bounds.right - bounds.left, bounds.bottom - bounds.top) : 0
  return side > 0 ? Math.max(0, Math.min(6, Math.ceil(-Math.log10(side / gridSteps)))) : 6
}
