import type { ChartDrawing, ChartLabel, ChartMark } from './drawing'

const mix = (a: number, b: number, progress: number) => a + (b - a) * progress

/**
 * The drawing at `progress` (0 to 1) from one drawing to another. Marks of the same key move and change size; marks
 * that only one of them has grow from or shrink to the baseline in their place. Labels of the nearer drawing go with
 * their marks.
 */
export function inBetween(from: ChartDrawing, to: ChartDrawing, progress: number): ChartDrawing {
  if (progress <= 0) return from
  if (progress >= 1) return to
  const before = new Map(from.marks.map(mark => [mark.key, mark]))
  const after = new Set(to.marks.map(mark => mark.key))
  const flat = (mark: ChartMark): ChartMark => ({ ...mark, y: mark.negative ? mark.y : mark.y + mark.height, height: 0 })
  const between = (a: ChartMark, b: ChartMark): ChartMark => ({
    ...b,
    x: mix(a.x, b.x, progress),
    y: mix(a.y, b.y, progress),
    width: mix(a.width, b.width, progress),
    height: mix(a.height, b.height, progress),
  })
  const staying = to.marks.map(mark => between(before.get(mark.key) ?? flat(mark), mark))
  const leaving = from.marks.filter(mark => !after.has(mark.key)).map(mark => between(mark, flat(mark)))
  const near = progress < 0.5 ? from : to
  const moved = new Map([...staying, ...leaving].map(mark => [mark.key, mark]))
  const labels = near.labels.map((label): ChartLabel => {
    const origin = label.mark === null ? undefined : near.marks[label.mark]
    const now = origin && moved.get(origin.key)
    if (!origin || !now) return label
    const x = label.x + (now.x + now.width / 2 - origin.x - origin.width / 2)
    return {
      ...label,
      x,
      y: label.kind === 'value' ? label.y + (now.negative ? now.y + now.height - origin.y - origin.height : now.y - origin.y) : label.y,
    }
  })
  return { ...near, marks: [...staying, ...leaving], labels }
}
