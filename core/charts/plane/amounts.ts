import type { ChartSpec } from '../../model'
import type { ChartLabel, ChartRoom } from '../drawing'
import { placeLabels, type Candidate } from '../labels'
import type { ChartRows } from './rows'
import type { Plane } from './scale'

/** An upright rectangle, px. */
interface Place {
  x: number
  y: number
  width: number
  height: number
}

/** A mark that says its amount at its end. */
export interface AmountAt {
  part: number
  key: string
  value: number | null
  highlighted: boolean
  /** The middle of its end, px; `below` where its amount stands beneath that. */
  x: number
  y: number
  below: boolean
  /** −1 where it stands rather to the left, 1 to the right, clear of a line that rises or falls there. */
  aside: -1 | 0 | 1
}

/**
 * The amounts at the ends of marks, none on another, on `taken` or outside the plane; the highlighted and the extreme come first.
 * `leftOut`: how many found no place.
 */
export function amountLabels(
  spec: ChartSpec,
  ends: readonly AmountAt[],
  taken: readonly Place[],
  { most, least }: Pick<ChartRows, 'most' | 'least'>,
  plane: Plane,
  room: ChartRoom,
  words: (value: number) => string,
): { labels: ChartLabel[]; leftOut: number } {
  const { line, left, totalHeight, measureAmount } = plane
  const candidates = ends.flatMap((end): Candidate<ChartLabel>[] => {
    const { value } = end
    if (value === null || spec.labels === 'none' || (spec.labels === 'highlighted' && !end.highlighted)) return []
    const lines = [words(value)]
    const width = measureAmount(words(value))
    const centred = {
      x: end.x - width / 2 + end.aside * width * 0.5,
      y: end.below ? end.y + line * 0.1 : end.y - line * 1.1,
      width,
      height: line,
    }
    // At the chart's edges an amount may stand a little beside its mark's middle.
    const inward = { ...centred, x: Math.min(Math.max(centred.x, left), room.width - width) }
    const extreme = value === most || value === least
    const priority = (end.highlighted ? 4 : 0) + (extreme ? 2 : 0) + Math.abs(value) / (Math.max(most, -least) || 1)
    const label: ChartLabel = {
      kind: 'value',
      lines,
      x: 0,
      y: 0,
      width,
      height: line,
      size: room.textSize,
      weight: 600,
      angle: 0,
      part: end.part,
    }
    return [{ label, priority, places: [centred, inward] }]
  })
  const space = { x: left, y: totalHeight, width: room.width - left, height: room.height - totalHeight }
  const { placed, leftOut } = placeLabels(candidates, space, taken)
  const labels = placed.map(({ label, place }) => ({ ...label, x: place.x + place.width / 2, y: place.y + place.height / 2 }))
  return { labels, leftOut: leftOut.length }
}

/** The sum of all, at the top right. */
export function totalLabel(total: string, plane: Plane, room: ChartRoom): ChartLabel {
  const words = `Total ${total}`
  const width = plane.measureAmount(words)
  const place = { x: room.width - width / 2, y: plane.line / 2, width, height: plane.line }
  return { kind: 'total', lines: [words], ...place, size: room.textSize, weight: 600, angle: 0, part: null }
}
