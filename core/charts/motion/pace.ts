import type { Gathered, Run } from '../../data'
import type { ChartSpec } from '../../model'
import { clamp, slowEnds } from './ease'

/** How long a step takes that as many places are exchanged in, beside one without, and at most. */
const longer = { each: 0.6, most: 2.4 }
/** The places that are watched: what is further down is not followed. */
const watched = 12
/** The share of a step in which a run by steps stands still. */
const stands = 0.55

/** How many exchange places from one moment to the next, of those that lead in either. */
export function placesExchanged(before: Gathered, after: Gathered): number {
  const amountsOf = ({ categories, series, values }: Gathered) => {
    const several = series.length > 1
    const last = (list: readonly (number | null)[]) => list.findLast(value => value !== null) ?? null
    return new Map(
      several
        ? series.map(({ key }, at) => [key, last(values[at]!)] as const)
        : categories.map(({ key }, at) => [key, values[0]?.[at] ?? null] as const),
    )
  }
  const [was, is] = [amountsOf(before), amountsOf(after)]
  const leading = (amounts: ReadonlyMap<string, number | null>) =>
    [...amounts]
      .filter(([, value]) => value !== null)
      .sort((a, b) => b[1]! - a[1]!)
      .slice(0, watched)
  const keys = [...new Set([...leading(was), ...leading(is)].map(([key]) => key))].filter(
    key => was.get(key) != null && is.get(key) != null,
  )
  let exchanged = 0
  keys.forEach((a, at) => {
    for (const b of keys.slice(at + 1)) if ((was.get(a)! - was.get(b)!) * (is.get(a)! - is.get(b)!) < 0) exchanged++
  })
  return exchanged
}

/** How a chart goes through the moments of its table. */
export interface Pace {
  /** How many steps it takes, a step in which places are exchanged counted as longer. */
  steps: number
  /** How many moments have gone by at a share of the way, each step as long as it takes. */
  at(share: number): number
}

/** The pace from one moment of a run to another, forwards or back. */
export function paceOf(run: Run, starts: number, ends: number, goes: NonNullable<ChartSpec['moment']>['goes']): Pace {
  const way = ends < starts ? -1 : 1
  const lengths = Array.from({ length: Math.abs(ends - starts) }, (_, at) => {
    const [from, to] = [run.knots[starts + way * at]!, run.knots[starts + way * (at + 1)]!]
    return goes === 'slower' ? 1 + Math.min(longer.most, placesExchanged(from, to) * longer.each) : 1
  })
  const steps = lengths.reduce((sum, length) => sum + length, 0)
  return {
    steps,
    at(share) {
      let left = clamp(share) * steps
      let at = 0
      while (at < lengths.length - 1 && left >= lengths[at]!) left -= lengths[at++]!
      const within = lengths.length ? clamp(left / lengths[at]!) : 0
      return at + (goes === 'steps' ? slowEnds((within - stands) / (1 - stands)) : within)
    },
  }
}
