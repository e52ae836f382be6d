import { measurePath } from '../shapes'

/** A line that a hand draws in one go. */
export interface HandStroke {
  /** SVG path data without a gap, px of deck space from the element's top left corner. */
  d: string
  /** #rrggbb */
  color: string
  /** px of deck space. */
  width: number
  /** What it encloses hides what was drawn there before, in this colour (#rrggbb). */
  covers?: string
}

/** A part of a drawing that a hand makes: its strokes in order, and where the hand is as it makes them. */
export interface HandDrawing {
  strokes: readonly HandStroke[]
  /** For each stroke: how far the hand has come where it begins and where it ends, px. Between two it moves above the paper. */
  begins: readonly number[]
  ends: readonly number[]
  /** How far the hand moves in all, px of deck space. */
  length: number
  /** SVG path data of what the drawing is seen through; absent is everywhere. */
  within?: string
}

/** A hand above the paper moves so many times as fast, and never longer than so many px of drawing. */
const lifted = { faster: 4, most: 200 }

/** Strokes in the order in which a hand draws them. */
export function handDrawing(strokes: readonly HandStroke[], within?: string): HandDrawing {
  const begins: number[] = []
  const ends: number[] = []
  let length = 0
  strokes.forEach((stroke, index) => {
    const measure = measurePath(stroke.d)
    if (index > 0) {
      const from = measurePath(strokes[index - 1]!.d).at(1)
      const to = measure.at(0)
      length += Math.min(lifted.most, Math.hypot(to.x - from.x, to.y - from.y) / lifted.faster)
    }
    begins.push(length)
    length += measure.length
    ends.push(length)
  })
  return { strokes, begins, ends, length, ...(within ? { within } : {}) }
}

/**
 * Where a hand is that has come some px through a drawing: the place of its nib, px, and the way it moves, degrees clockwise from
 * rightwards.
 */
export function handAt(drawing: HandDrawing, come: number): { x: number; y: number; angle: number } {
  const { strokes, begins, ends } = drawing
  if (!strokes.length) return { x: 0, y: 0, angle: 0 }
  let [low, high] = [0, strokes.length - 1]
  while (low < high) {
    const middle = (low + high) >> 1
    if (ends[middle]! < come) low = middle + 1
    else high = middle
  }
  const measure = measurePath(strokes[low]!.d)
  if (come >= begins[low]! || low === 0)
    return measure.at(Math.min(1, Math.max(0, (come - begins[low]!) / (ends[low]! - begins[low]! || 1))))
  const from = measurePath(strokes[low - 1]!.d).at(1)
  const to = measure.at(0)
  const share = (come - ends[low - 1]!) / (begins[low]! - ends[low - 1]! || 1)
  return {
    x: from.x + (to.x - from.x) * share,
    y: from.y + (to.y - from.y) * share,
    angle: (Math.atan2(to.y - from.y, to.x - from.x) * 180) / Math.PI,
  }
}
