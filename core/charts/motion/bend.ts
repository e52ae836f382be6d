import { mix, toneOf, type ArcMark, type BarMark, type ChartMark } from '../marks'
import { slowEnds } from './ease'
import type { Pair } from './pairs'

/** A bar that becomes a part of a ring. */
interface Bend {
  bar: BarMark
  arc: ArcMark
}

/** Shares of the time: until then bars lie down end to end, then the one bar that they make bends; what is left it turns. */
const lying = 0.42
const bending = 0.82

/** Radians below which a bar is straight. */
const straight = 0.02
/** How much of the chart’s width the one bar may take. */
const ofWidth = 0.92

/** The pairs of which each is a bar and a part of a ring; null where that is not what the chart does. */
export function bendsOf(pairs: readonly Pair[]): { bends: readonly Bend[]; backwards: boolean; others: readonly Pair[] } | null {
  for (const backwards of [false, true]) {
    const bends: Bend[] = []
    const others: Pair[] = []
    for (const pair of pairs) {
      const [bar, arc] = backwards ? [pair.to, pair.from] : [pair.from, pair.to]
      if (bar?.shape === 'bar' && arc?.shape === 'arc') bends.push({ bar, arc })
      else others.push(pair)
    }
    // Beside them parts may come and go, but none turns into anything else.
    if (bends.length > 1 && others.every(({ from, to }) => !from || !to)) return { bends, backwards, others }
  }
  return null
}

/**
 * Bars on their way into a ring: they lie down end to end, and the one bar that they make bends until its ends meet, its length kept
 * where the chart is wide enough for it, and turns until the ring begins at its top. `share` 0 is bars, 1 is the ring; `width` is the
 * chart’s, px.
 */
export function bentAt(bends: readonly Bend[], share: number, width: number): ChartMark[] {
  // The ring itself, from a part that does not stand out from it.
  const { x, y, inner, outer } = (bends.find(({ arc }) => !arc.highlighted) ?? bends[0]!).arc
  const [thick, radius] = [outer - inner, (inner + outer) / 2]
  const whole = 2 * Math.PI * radius
  const length = mix(Math.min(whole, width * ofWidth), whole, slowEnds((share - lying) / (bending - lying)))
  const left = Math.min(Math.max(x, length / 2), Math.max(length / 2, width - length / 2)) - length / 2
  const down = slowEnds(share / lying)
  return bends.map(({ bar, arc }): ChartMark => {
    const [from, to] = [toneOf(bar), toneOf(arc)]
    const looks = { tone: { ...to, from, progress: share }, key: arc.key, part: arc.part, value: arc.value, highlighted: arc.highlighted }
    if (share < lying) {
      const corner = Math.min(bar.corner ?? 6, mix(6, 0, down))
      return {
        ...bar,
        ...looks,
        x: mix(bar.x, left + (arc.from / 360) * length, down),
        width: mix(bar.width, ((arc.until - arc.from) / 360) * length, down),
        y: mix(bar.y, y - thick / 2, down),
        height: mix(bar.height, thick, down),
        corner,
      }
    }
    const bent = slowEnds((share - lying) / (bending - lying))
    const sweep = Math.max(straight, 2 * Math.PI * bent)
    const curve = length / sweep
    // It stays about the ring's middle: its ends meet at the foot, and half a turn brings them up.
    const ends = Math.cos(sweep / 2)
    const [rises, falls] = [curve + thick / 2, -(ends > 0 ? curve - thick / 2 : curve + thick / 2) * ends]
    const centre = { x: mix(left + length / 2, x, bent), y: y + (rises - falls) / 2 }
    const turn = 180 * slowEnds((share - bending) / (1 - bending))
    const angle = (at: number) => ((sweep * 180) / Math.PI) * (at / 360 - 0.5) + turn
    const ring: ArcMark = {
      ...arc,
      ...looks,
      x: centre.x,
      y: centre.y,
      from: angle(arc.from),
      until: angle(arc.until),
      inner: curve - thick / 2,
      outer: curve + thick / 2,
    }
    // At its end each part stands where it stands out to.
    return share < 1 ? { ...ring, x: ring.x + (arc.x - x) * bent, y: ring.y + (arc.y - y) * bent } : { ...arc, ...looks }
  })
}
