import type { ChartSpec } from '../model'
import type { ChartDrawing, ChartLabel, ChartRoom } from './drawing'
import type { Rectangle } from './labels'
import { shapeOf, type ChartMark, type Point } from './marks'
import { boundsOfMark } from './marks/bounds'

/** How far from its mark a label is led to it, as a share of its size. */
const ledFrom = 1.2

/** The marks of a drawing by what labels are named after. */
const marksByKey = (marks: readonly ChartMark[]) => new Map([...marks].reverse().map(mark => [mark.key, mark]))

/** The mark that a label says something of: labels are called by what they say, and by the key of their mark. */
function markOf({ key = '', part }: ChartLabel, marks: ReadonlyMap<string, ChartMark>): ChartMark | undefined {
  const mark = marks.get(key.slice(key.indexOf(' ') + 1))
  return mark && (part === null || mark.part === part) ? mark : undefined
}

/** What a place by hand is told from: the end of the mark that a label belongs to, else where the label stands by itself. */
const rootOf = (label: ChartLabel, mark: ChartMark | undefined): Point => (mark ? shapeOf(mark).anchor(mark) : label)

/** How far a label stands from what its place by hand is told from, in its own sizes. */
export function shiftOf(label: ChartLabel, drawing: ChartDrawing, to: Point): { x: number; y: number } {
  const root = rootOf(label, markOf(label, marksByKey(drawing.marks)))
  const rounded = (value: number) => Math.round((value / label.size) * 1000) / 1000
  return { x: rounded(to.x - root.x), y: rounded(to.y - root.y) }
}

const holds = (box: Rectangle, { x, y }: Point) => x >= box.x && x <= box.x + box.width && y >= box.y && y <= box.y + box.height

/** From the root to the nearest edge of a label; none where it stands beside it. */
function leaderTo(root: Point, { x, y, width, height, size }: ChartLabel): readonly Point[] | undefined {
  const held = (value: number, middle: number, half: number) => Math.max(middle - half, Math.min(middle + half, value))
  const end = { x: held(root.x, x, width / 2 + 4), y: held(root.y, y, height * 0.42) }
  return Math.hypot(end.x - root.x, end.y - root.y) > ledFrom * size ? [root, end] : undefined
}

/**
 * A drawing with the labels that were moved by hand where they were moved to: as far from their marks as then, in their own sizes, and led
 * to them where that is far; within the chart.
 */
export function withMoved(
  drawing: ChartDrawing,
  { moved }: ChartSpec,
  { width, height }: Pick<ChartRoom, 'width' | 'height'>,
): ChartDrawing {
  if (!moved || !Object.keys(moved).length) return drawing
  const marks = marksByKey(drawing.marks)
  const labels = drawing.labels.map((label): ChartLabel => {
    const shift = label.key === undefined ? undefined : moved[label.key]
    if (!shift || label.angle) return label
    const mark = markOf(label, marks)
    const root = rootOf(label, mark)
    const within = (value: number, half: number, most: number) =>
      Math.max(Math.min(half, most / 2), Math.min(Math.max(most - half, most / 2), value))
    const x = within(root.x + shift.x * label.size, label.width / 2, width)
    const y = within(root.y + shift.y * label.size, label.height * 0.4, height)
    const { leader: _, tone, ...bare } = label
    // What is read on its mark is read on the ground beside it.
    const isOff = !!mark && !!tone && 'on' in tone && !holds(boundsOfMark(mark), { x, y })
    const placed = { ...bare, ...(tone && !isOff ? { tone } : {}), x, y, byHand: true as const }
    const leader = mark && leaderTo(root, placed)
    return leader ? { ...placed, leader } : placed
  })
  return { ...drawing, labels }
}
