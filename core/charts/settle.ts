import type { ChartDrawing, ChartLabel, ChartRoom } from './drawing'
import { placeLabels, type Candidate } from './labels'
import { saidBy } from './setting'

/** What gives way to what where two words want one place: later kinds give way to earlier ones. */
const importance: Readonly<Record<ChartLabel['kind'], number>> = { total: 4, category: 3, note: 2, value: 1, axis: 0 }
/** How much of a line's height its letters take. */
const letters = 0.78

const isHighlighted = ({ tone }: ChartLabel) => !!tone && 'name' in tone && tone.name === 'highlighted'

/** How much a label matters beside others: what is highlighted before all. */
export const importanceOf = (label: ChartLabel) => importance[label.kind] + (isHighlighted(label) ? 5 : 0) + (label.byHand ? 10 : 0)

/**
 * The same drawing with its upright words within its room and none on another: what stands a little outside moves in, and what touches
 * something more important is left out and counted. So holds for every kind what its own way of placing words has not seen to.
 */
export function settled(drawing: ChartDrawing, room: ChartRoom): ChartDrawing {
  // Where nothing is a part, nothing belongs to one.
  const labels = drawing.parts ? drawing.labels : drawing.labels.map(label => ({ ...label, part: null }))
  const upright = labels.filter(label => label.angle === 0)
  const candidates = upright.map((label, index): Candidate<ChartLabel> => {
    const [width, height] = [label.width, label.height * letters]
    const own = { x: label.x - width / 2, y: label.y - height / 2, width, height }
    const within = {
      ...own,
      x: Math.max(0, Math.min(own.x, room.width - width)),
      y: Math.max(0, Math.min(own.y, room.height - height)),
    }
    return { label, priority: importanceOf(label) - index / (labels.length + 1), places: [own, within] }
  })
  const { placed, leftOut } = placeLabels(candidates, { x: -0.01, y: -0.01, width: room.width + 0.02, height: room.height + 0.02 })
  const at = new Map(placed.map(({ label, place }) => [label, place]))
  const kept = labels.flatMap((label): ChartLabel[] => {
    if (label.angle !== 0) return [label]
    const place = at.get(label)
    if (!place) return []
    const [x, y] = [place.x + place.width / 2, place.y + place.height / 2]
    return [Math.abs(x - label.x) < 1e-6 && Math.abs(y - label.y) < 1e-6 ? label : { ...label, x, y }]
  })
  return { ...drawing, marks: drawing.parts ? drawing.marks : [], labels: kept, leftOut: [...drawing.leftOut, ...leftOut.map(saidBy)] }
}
