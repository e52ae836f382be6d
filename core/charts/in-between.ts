import type { ChartDrawing, ChartLabel } from './drawing'
import { mix, mixPoints, shapeOf, toneOf, type ChartMark } from './marks'
import type { Tone } from './tones'

/** The same thing of the same shape in another drawing; marks of one key and several shapes are told apart. */
const nameOf = (mark: ChartMark) => `${mark.shape} ${mark.key}`

const isSameTone = (a: Tone, b: Tone) => a.name === b.name && a.at === b.at && a.color === b.color

/** Between two marks of one thing, and of one shape: its place, its form and its colour. */
function between(a: ChartMark, b: ChartMark, progress: number): ChartMark {
  if (a.shape !== b.shape) return b
  const made = shapeOf(b).between(a, b, progress)
  const [from, to] = [toneOf(a), toneOf(b)]
  const tone = isSameTone(from, to) ? {} : { tone: { ...to, from, progress } }
  const opacity = a.opacity === b.opacity ? {} : { opacity: mix(a.opacity ?? 1, b.opacity ?? 1, progress) }
  return { ...made, ...tone, ...opacity }
}

/** Where the marks of a part have their labels hang: by its number, of those that come first in it. */
function anchorsOf(marks: readonly ChartMark[]) {
  const made = new Map<number, ChartMark>()
  for (const mark of marks) {
    const known = made.get(mark.part)
    if (!known || (shapeOf(known).beneath && !shapeOf(mark).beneath)) made.set(mark.part, mark)
  }
  return made
}

/**
 * The drawing at `progress` (0 to 1) from one drawing to another. Marks of the same key and shape move and change; marks that only one of
 * them has come out of, or go into, their own place. Labels of the nearer drawing go with their marks.
 */
export function inBetween(from: ChartDrawing, to: ChartDrawing, progress: number): ChartDrawing {
  if (progress <= 0) return from
  if (progress >= 1) return to
  const before = new Map(from.marks.map(mark => [nameOf(mark), mark]))
  const after = new Set(to.marks.map(nameOf))
  const collapsed = (mark: ChartMark) => shapeOf(mark).collapsed(mark)
  const staying = to.marks.map(mark => between(before.get(nameOf(mark)) ?? collapsed(mark), mark, progress))
  const leaving = from.marks.filter(mark => !after.has(nameOf(mark))).map(mark => between(mark, collapsed(mark), progress))
  const near = progress < 0.5 ? from : to
  const moved = new Map([...staying, ...leaving].map(mark => [nameOf(mark), mark]))
  const anchors = anchorsOf(near.marks)
  const keyed = (labels: readonly ChartLabel[]) =>
    new Map(labels.flatMap(label => (label.key === undefined ? [] : [[label.key, label] as const])))
  const [was, is] = [keyed(from.labels), keyed(to.labels)]
  const labels = near.labels.map((label): ChartLabel => {
    const [start, end] = label.key === undefined ? [] : [was.get(label.key), is.get(label.key)]
    // What is said in both glides from its place to its place.
    if (start && end)
      return {
        ...label,
        x: mix(start.x, end.x, progress),
        y: mix(start.y, end.y, progress),
        size: mix(start.size, end.size, progress),
        ...(start.leader && end.leader ? { leader: mixPoints(start.leader, end.leader, progress) } : {}),
      }
    const origin = label.part === null ? undefined : anchors.get(label.part)
    const now = origin && moved.get(nameOf(origin))
    if (!origin || !now) return label
    const [stood, stands] = [shapeOf(origin).anchor(origin), shapeOf(now).anchor(now)]
    return { ...label, x: label.x + (stands.x - stood.x), y: label.kind === 'value' ? label.y + (stands.y - stood.y) : label.y }
  })
  const parts = Math.max(near.parts, ...leaving.map(mark => mark.part + 1))
  return { ...near, parts, marks: [...staying, ...leaving], labels }
}
