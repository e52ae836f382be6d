import type { Frame } from './family'

/** `count` frames side by side, `gap` px apart, none wider than `most`; together they stand in the frame's middle. */
export function columns(frame: Frame, count: number, gap: number, most = Infinity): Frame[] {
  const fair = fairGap(frame.width, count, gap)
  const width = Math.min(most, (frame.width - fair * (count - 1)) / count)
  const left = frame.x + (frame.width - width * count - fair * (count - 1)) / 2
  return Array.from({ length: count }, (_, index) => ({ ...frame, x: left + index * (width + fair), width }))
}

/** `count` frames one under the other, none higher than `most`; they begin at the frame's top. */
export function rows(frame: Frame, count: number, gap: number, most = Infinity): Frame[] {
  const fair = fairGap(frame.height, count, gap)
  const height = Math.min(most, (frame.height - fair * (count - 1)) / count)
  return Array.from({ length: count }, (_, index) => ({ ...frame, y: frame.y + index * (height + fair), height }))
}

/** Many things in a row stand closer: gaps take at most a quarter of the length. */
const fairGap = (length: number, count: number, gap: number) => (count > 1 ? Math.min(gap, (length * 0.25) / (count - 1)) : 0)

/** How many columns `count` things take in a frame so that each comes closest to `aspect` (width by height). */
export function columnsFor(frame: Frame, count: number, aspect: number): number {
  let best = 1
  let distance = Infinity
  for (let across = 1; across <= count; across++) {
    const down = Math.ceil(count / across)
    const off = Math.abs(Math.log(frame.width / across / (frame.height / down) / aspect)) + (across * down - count) * 0.12
    if (off < distance) [best, distance] = [across, off]
  }
  return best
}

/** `count` frames in rows and columns; the last row stands in the middle where it is not full. */
export function grid(frame: Frame, count: number, gap: number, aspect: number, mostHeight = Infinity): Frame[] {
  const across = columnsFor(frame, count, aspect)
  const lines = rows(frame, Math.ceil(count / across), gap, mostHeight)
  const width = columns(frame, across, gap)[0]!.width
  return lines.flatMap((line, index) => {
    const here = Math.min(across, count - index * across)
    return columns(line, here, gap, width)
  })
}

/** A frame made smaller on all sides. */
export const inset = (frame: Frame, across: number, down = across): Frame => {
  const [x, y] = [Math.min(across, frame.width * 0.2), Math.min(down, frame.height * 0.2)]
  return { x: frame.x + x, y: frame.y + y, width: frame.width - 2 * x, height: frame.height - 2 * y }
}

/** The upper part of a frame and what is left below it, `gap` px apart. `height` is at most 70 % of the frame. */
export function splitDown(frame: Frame, height: number, gap: number): [Frame, Frame] {
  const upper = Math.min(height, frame.height * 0.7)
  const space = Math.min(gap, frame.height * 0.1)
  return [
    { ...frame, height: upper },
    { ...frame, y: frame.y + upper + space, height: Math.max(1, frame.height - upper - space) },
  ]
}

/** The left part of a frame and what is left beside it, `gap` px apart. `width` is at most 70 % of the frame. */
export function splitAcross(frame: Frame, width: number, gap: number): [Frame, Frame] {
  const left = Math.min(width, frame.width * 0.7)
  const space = Math.min(gap, frame.width * 0.1)
  return [
    { ...frame, width: left },
    { ...frame, x: frame.x + left + space, width: Math.max(1, frame.width - left - space) },
  ]
}

/** A frame of a size about a point. */
export const around = (x: number, y: number, width: number, height = width): Frame => ({
  x: x - width / 2,
  y: y - height / 2,
  width,
  height,
})

/** The largest square in a frame's middle. */
export const square = (frame: Frame): Frame => {
  const side = Math.min(frame.width, frame.height)
  return around(frame.x + frame.width / 2, frame.y + frame.height / 2, side)
}

/** A thin line from one point to another, as a frame and its angle (degrees clockwise). */
export function lineBetween(from: { x: number; y: number }, to: { x: number; y: number }, width: number): { frame: Frame; angle: number } {
  const length = Math.hypot(to.x - from.x, to.y - from.y)
  return {
    frame: around((from.x + to.x) / 2, (from.y + to.y) / 2, length, width),
    angle: (Math.atan2(to.y - from.y, to.x - from.x) * 180) / Math.PI,
  }
}
