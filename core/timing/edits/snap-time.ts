/** The moment among some, seconds, that lies nearest to one, no farther off than `reach`; null where there is none. */
export function nearestMoment(at: number, moments: readonly number[], reach: number): number | null {
  let best: number | null = null
  for (const moment of moments)
    if (Math.abs(moment - at) <= reach && (best === null || Math.abs(moment - at) < Math.abs(best - at))) best = moment
  return best
}
