import type { TextElement, Theme } from '../model'
import type { TextSetting } from '../resolved'
import { lettersOf } from '../values'
import { fontOf, spacingOf, type Run, type TextLayout } from './layout'
import type { Measurer } from './measure'

/**
 * A letter that stands on a line of its own: its middle on the baseline, px of deck space within the box, and how it leans, degrees
 * clockwise.
 */
export interface PlacedLetter {
  text: string
  run: Run
  /** Index among the text's letters. */
  letter: number
  x: number
  y: number
  angle: number
}

type Along = NonNullable<TextElement['along']>
/** Where a path is after a length, px, with its direction, degrees clockwise. */
type PathAt = (distance: number) => { x: number; y: number; angle: number }

const degrees = (radians: number) => (radians * 180) / Math.PI

/** A path through a box of a size and its length, px. An arc spans the box's width; its sagitta is `bend` times half its height. */
export function pathAlong({ path, bend }: Along, { width, height }: { width: number; height: number }): { length: number; at: PathAt } {
  if (path === 'circle') {
    const radius = Math.max(1, Math.min(width, height) / 2)
    const sign = bend < 0 ? -1 : 1
    // Clockwise from the bottom, so that the middle stands at the top; bent the other way, from the top and at the bottom.
    return {
      length: 2 * Math.PI * radius,
      at: distance => {
        const turn = sign * (Math.PI / 2 + distance / radius)
        return {
          x: width / 2 + Math.cos(turn) * radius,
          y: height / 2 + Math.sin(turn) * radius,
          angle: degrees(turn + (sign * Math.PI) / 2),
        }
      },
    }
  }
  const rise = bend * height * 0.5
  if (path === 'wave') {
    const steps = 240
    const lengths = [0]
    const y = (share: number) => height / 2 - Math.sin(share * 2 * Math.PI) * rise * 0.6
    for (let index = 1; index <= steps; index++)
      lengths.push(lengths[index - 1]! + Math.hypot(width / steps, y(index / steps) - y((index - 1) / steps)))
    return {
      length: lengths.at(-1)!,
      at: distance => {
        const held = Math.max(0, Math.min(lengths.at(-1)!, distance))
        let index = lengths.findIndex(length => length >= held)
        if (index < 1) index = 1
        const share = (index - 1 + (held - lengths[index - 1]!) / (lengths[index]! - lengths[index - 1]! || 1)) / steps
        const slope = (y(share + 0.002) - y(share - 0.002)) / (0.004 * width)
        return { x: share * width + (distance - held), y: y(share), angle: degrees(Math.atan(slope)) }
      },
    }
  }
  if (Math.abs(rise) < 0.5) return { length: width, at: distance => ({ x: distance, y: height / 2, angle: 0 }) }
  // A circle through both ends and the top of the arc: r = s/2 + w²/(8 s) for sagitta s and chord w.
  const sagitta = Math.abs(rise)
  const radius = sagitta / 2 + (width * width) / (8 * sagitta)
  const half = Math.asin(Math.min(1, width / 2 / radius))
  const sign = rise > 0 ? 1 : -1
  const middle = height / 2 - (sign * sagitta) / 2
  return {
    length: 2 * half * radius,
    at: distance => {
      const turn = distance / radius - half
      return { x: width / 2 + Math.sin(turn) * radius, y: middle + sign * (radius - Math.cos(turn) * radius), angle: degrees(turn) * sign }
    },
  }
}

/** The letters of a text, all its lines as one, along a path through its box, centred or set to a side as the text is. */
export function lettersAlong(
  layout: TextLayout,
  along: Along,
  size: { width: number; height: number },
  setting: { style: TextSetting; fonts: Theme['fonts']; align: 'left' | 'center' | 'right' },
  measurer: Measurer,
): PlacedLetter[] {
  const { style, fonts, align } = setting
  const path = pathAlong(along, size)
  const pieces = layout.lines
    .flatMap((line, index) => [
      ...(index && line.runs.length ? [{ text: ' ', run: line.runs[0]!, letter: -1 }] : []),
      ...line.runs.flatMap(run => lettersOf(run.text).map((text, step) => ({ text, run, letter: run.letter + step }))),
    ])
    .map(piece => {
      const font = fontOf(piece.run.marks, style, fonts, layout.scale)
      return { ...piece, width: measurer.width(piece.text, font) + spacingOf(style, font) }
    })
  const total = pieces.reduce((sum, piece) => sum + piece.width, 0)
  let at = align === 'left' ? 0 : align === 'right' ? path.length - total : (path.length - total) / 2
  return pieces.flatMap(({ width, ...piece }) => {
    const place = path.at(at + width / 2)
    at += width
    return piece.letter < 0 ? [] : [{ ...piece, ...place }]
  })
}
