import type { ChartLabel } from '../drawing'
import { importanceOf } from '../settle'

/** How deep one word may lie in another until it is not seen, as a share of its height. */
const deepest = 0.35
/** How much of a line’s height its letters take. */
const letters = 0.78
/** More labels than this are left as they are. */
const mostLooked = 600

/** How deep two labels lie in each other, px; below 0 where they are apart. */
const depth = (a: ChartLabel, b: ChartLabel) =>
  Math.min((a.width + b.width) / 2 - Math.abs(a.x - b.x), ((a.height + b.height) * letters) / 2 - Math.abs(a.y - b.y))

/** Labels on their way with those fainter that lie under others: the less they can be read, the less they are seen. */
export function uncovered(labels: readonly ChartLabel[]): ChartLabel[] {
  if (labels.length > mostLooked) return [...labels]
  const ranked = labels.map((label, at) => ({ label, at })).sort((a, b) => importanceOf(b.label) - importanceOf(a.label) || a.at - b.at)
  const made = [...labels]
  ranked.forEach(({ label, at }, rank) => {
    if (label.angle !== 0) return
    let seen = 1
    for (const { label: over, at: other } of ranked.slice(0, rank)) {
      const under = depth(label, over)
      if (under <= 0 || over.angle !== 0) continue
      // What is itself not seen covers nothing.
      seen = Math.min(seen, 1 - Math.min(1, under / (label.height * deepest)) * (made[other]!.opacity ?? 1))
    }
    if (seen < 1) made[at] = { ...label, opacity: (label.opacity ?? 1) * seen }
  })
  return made
}
