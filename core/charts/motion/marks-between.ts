import { outlineBetween } from '../../shapes'
import { mix, mixPoint, shapeOf, toneOf, type ChartMark, type Point } from '../marks'
import type { Tone } from '../tones'
import type { Pair } from './pairs'

const isSameTone = (a: Tone, b: Tone) => a.name === b.name && a.at === b.at && a.color === b.color

/** The colour and how much is seen of a mark on its way. */
function looksBetween(a: ChartMark, b: ChartMark, progress: number): Partial<ChartMark> {
  const [from, to] = [toneOf(a), toneOf(b)]
  return {
    ...(isSameTone(from, to) ? {} : { tone: { ...to, from, progress } }),
    ...(a.opacity === b.opacity ? {} : { opacity: mix(a.opacity ?? 1, b.opacity ?? 1, progress) }),
  }
}

/** A band of a width along points, as one closes it. */
function bandOf(points: readonly Point[], width: number): string {
  const half = Math.max(1, width) / 2
  const shifted = (way: 1 | -1) =>
    points.map((point, at) => {
      const [before, after] = [points[Math.max(0, at - 1)]!, points[Math.min(points.length - 1, at + 1)]!]
      const [dx, dy] = [after.x - before.x, after.y - before.y]
      const length = Math.hypot(dx, dy) || 1
      return { x: point.x - (way * dy * half) / length, y: point.y + (way * dx * half) / length }
    })
  const around = [...shifted(1), ...shifted(-1).reverse()]
  return `${around.map(({ x, y }, at) => `${at ? 'L' : 'M'}${x} ${y}`).join('')}Z`
}

/** The outline of what is filled of a mark; null of words. */
function filledOutline(mark: ChartMark): string | null {
  if (mark.shape === 'text') return null
  if (mark.shape === 'line') return mark.points.length > 1 ? bandOf(mark.points, mark.width) : null
  if (mark.shape === 'link') return bandOf([mark.from, mixPoint(mark.from, mark.to, 0.5), mark.to], mark.width)
  // What is too long to be drawn again at every moment fades.
  return shapeOf(mark).outline(mark) || null
}

/** Two marks that are one thing in two shapes, on the way from one to the other. */
function bentBetween(a: ChartMark, b: ChartMark, progress: number): ChartMark {
  if ((a.shape === 'bar' || a.shape === 'cell') && (b.shape === 'bar' || b.shape === 'cell')) {
    const { x, y, width, height } = a
    return shapeOf<ChartMark>(b).between({ ...b, x, y, width, height }, b, progress)
  }
  const [from, to] = [filledOutline(a), filledOutline(b)]
  if (from === null || to === null) return { ...b, opacity: (b.opacity ?? 1) * progress }
  const { key, part, value, highlighted, tone } = b
  const middle = mixPoint(shapeOf(a).anchor(a), shapeOf(b).anchor(b), progress)
  const d = outlineBetween(from, to, progress)
  return { shape: 'path', key, part, value, highlighted, ...(tone ? { tone } : {}), d, middle }
}

/**
 * A mark on its way. One that only one drawing has comes out of, or goes into, its own place; where the marks turn into others (`bends`) it
 * appears, or vanishes, as it stands.
 */
export function markBetween({ from, to }: Pair, progress: number, bends = false): ChartMark {
  if (bends && (!from || !to)) {
    const mark = (from ?? to)!
    return { ...mark, opacity: (mark.opacity ?? 1) * (from ? 1 - progress : progress) }
  }
  const start = from ?? shapeOf(to!).collapsed(to!)
  const end = to ?? shapeOf(from!).collapsed(from!)
  if (progress <= 0) return start
  if (progress >= 1) return end
  const made = start.shape === end.shape ? shapeOf(end).between(start, end, progress) : bentBetween(start, end, progress)
  return { ...made, ...looksBetween(start, end, progress) } as ChartMark
}
