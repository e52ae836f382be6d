import type { ChartLabel, ChartRoom } from '../drawing'
import { placeLabels, type Candidate, type Placed } from '../labels'
import type { ChartRows } from './rows'
import type { Plane } from './scale'

const slant = Math.PI / 4

/** The names of the rows below the plane: `labels` to be drawn, and where the upright ones of them stand. */
export function nameLabels({ rows }: ChartRows, plane: Plane, room: ChartRoom): { labels: ChartLabel[]; placed: Placed<ChartLabel>[] } {
  const { names, line, left, namesTop, measure } = plane
  const plain = { kind: 'category' as const, size: room.textSize, weight: 500 }
  const slanted: ChartLabel[] = []
  const candidates: Candidate<ChartLabel>[] = []
  rows.forEach((row, index) => {
    if (index % names.every) return
    const lines = names.lines(row.label)
    const width = lines.reduce((wide, words) => Math.max(wide, measure(words)), 0)
    const height = lines.length * line
    const middle = plane.across(index) + plane.band / 2
    if (names.angle !== 0) {
      const x = middle - (width / 2) * Math.cos(slant)
      const y = namesTop + 4 + (line / 2 + width / 2) * Math.sin(slant)
      slanted.push({ ...plain, lines, angle: -45, x, y, width, height, part: index })
      return
    }
    const x = Math.min(Math.max(middle, left + width / 2), Math.max(width / 2, room.width - width / 2))
    const y = namesTop + line * 0.2 + height / 2
    const label: ChartLabel = { ...plain, lines, angle: 0, x, y, width, height, part: index }
    candidates.push({ label, priority: -index, places: [{ x: x - width / 2, y: y - height / 2, width, height }] })
  })
  const { placed } = placeLabels(candidates, { x: 0, y: 0, width: room.width, height: room.height + line })
  return { labels: [...slanted, ...placed.map(({ label }) => label)], placed }
}
