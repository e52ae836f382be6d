import { curveLinear, curveMonotoneX, line as lineThrough } from 'd3-shape'
import { onCurve } from '../../place'
import { optionOf } from '../../values'
import type { LineMark, Point, PointMark } from '../marks'
import { drawOnPlane, endOf, type AmountAt } from '../plane'
import type { ChartKind } from './kind'

/** Pieces that a smooth stretch between two points is drawn in. */
const pieces = 12

/**
 * The stretches of a line from each point to the next, each as points. A smooth one is d3's monotone curve (Steffen 1990), which never
 * goes beyond the points that it joins.
 */
function stretches(points: readonly Point[], smooth: boolean): Point[][] {
  const made: Point[][] = []
  let at: Point = { x: 0, y: 0 }
  const pen = {
    moveTo(x: number, y: number) {
      at = { x, y }
    },
    lineTo(x: number, y: number) {
      made.push([at, (at = { x, y })])
    },
    bezierCurveTo(x1: number, y1: number, x2: number, y2: number, x: number, y: number) {
      const [from, out, into, to] = [at, { x: x1, y: y1 }, { x: x2, y: y2 }, { x, y }]
      made.push(Array.from({ length: pieces + 1 }, (_, piece) => onCurve(from, out, into, to, piece / pieces)))
      at = { x, y }
    },
    closePath() {},
  }
  const draw = lineThrough<Point>(
    ({ x }) => x,
    ({ y }) => y,
  ).curve(smooth ? curveMonotoneX : curveLinear)
  draw.context(pen as unknown as CanvasRenderingContext2D)([...points])
  return made
}

/** How much larger a highlighted dot is. */
const highlightedLarger = 1.3

/** Dots of rows that follow each other without one between that has no number. */
function runsOf(dots: readonly PointMark[]): PointMark[][] {
  const runs: PointMark[][] = []
  for (const dot of dots) {
    const last = runs.at(-1)
    if (last && last.at(-1)?.part === dot.part - 1) last.push(dot)
    else runs.push([dot])
  }
  return runs
}

/** Beyond this slope a line would run through words that are centred above a dot. */
const steep = 0.3
const slope = (from: PointMark | undefined, to: PointMark | undefined) => (from && to ? (to.y - from.y) / Math.max(1, to.x - from.x) : 0)

/** Where a dot says its amount: above it, aside of a line that is steep there, or below where the line comes down from both sides. */
function amountBeside(dot: PointMark, before: PointMark | undefined, after: PointMark | undefined): AmountAt {
  const [into, out] = [slope(before, dot), slope(dot, after)]
  const below = !!before && !!after && into > 0 && out < 0
  // A line that comes down from the left leaves the right free, and one that goes up to the right the left.
  const aside = below || (into <= steep && out >= -steep) ? 0 : into > steep ? 1 : -1
  return { ...endOf(dot, below), y: below ? dot.y + dot.radius : dot.y - dot.radius, aside }
}

/** A line from row to row, with a dot at each. Where a row has no number the line is broken. */
export const line: ChartKind = {
  name: 'line',
  label: 'Line',
  part: 'point',
  options: [
    { kind: 'boolean', name: 'smooth', label: 'Smooth', initial: false },
    { kind: 'boolean', name: 'dots', label: 'With dots', initial: true },
    { kind: 'number', name: 'thick', label: 'Line as thick as', min: 1, max: 40, step: 1, unit: 'px', initial: 6 },
  ],
  draw(spec, table, room) {
    const chosen = spec.options ?? {}
    const width = optionOf<number>(line, chosen, 'thick')
    const smooth = optionOf<boolean>(line, chosen, 'smooth')
    const radius = optionOf<boolean>(line, chosen, 'dots') ? width * 1.4 : width / 2
    const kind = { of: 'Line chart', parts: 'points', beyond: radius * highlightedLarger }
    return drawOnPlane(spec, table, room, kind, ({ rows }, plane, isHighlighted) => {
      const foot = plane.baseline
      const dots = rows.flatMap(({ key, value }, part): PointMark[] => {
        if (value === null) return []
        const place = { x: plane.across(part) + plane.band / 2, y: plane.up(value) }
        const highlighted = isHighlighted(key)
        return [
          { shape: 'point', key, part, value, highlighted, ...place, radius: highlighted ? radius * highlightedLarger : radius, foot },
        ]
      })
      const lines = runsOf(dots).flatMap(run =>
        stretches(run, smooth).flatMap((points, index): LineMark[] => {
          const to = run[index + 1]
          return to ? [{ shape: 'line', key: to.key, part: to.part, value: to.value, highlighted: false, points, width, foot }] : []
        }),
      )
      const ends = dots.map((dot, index) => amountBeside(dot, dots[index - 1], dots[index + 1]))
      const taken = dots.map(({ x, y, radius: r }) => ({ x: x - r, y: y - r, width: 2 * r, height: 2 * r }))
      return { marks: [...lines, ...dots], ends, taken }
    })
  },
}
