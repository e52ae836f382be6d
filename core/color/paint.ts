import type { Color, Paint } from '../values'
import { cssColor, hexOf, mixHex, type Palette } from './palette'

/** Whether a paint is one plain colour. */
export const isPlain = (paint: Paint): paint is Color => !('kind' in paint)

/** The colours that a paint has, first to last; none of a picture. */
export const colorsOf = (paint: Paint): Color[] =>
  isPlain(paint) ? [paint] : paint.kind === 'picture' ? [] : paint.stops.map(stop => stop.color)

/** The one colour that stands for a paint where only one can: itself, or of a gradient the mean of its colours; null of a picture. */
export function plainColor(paint: Paint, palette: Palette): Color | null {
  if (isPlain(paint)) return paint
  const colors = colorsOf(paint)
  return colors.length ? { hex: mixHex(colors.map(color => hexOf(color, palette))) } : null
}

/** A gradient as CSS; null of what is none. */
export function cssGradient(paint: Paint, palette: Palette): string | null {
  if (isPlain(paint) || paint.kind === 'picture') return null
  const stops = paint.stops.map(({ color, at }) => `${cssColor(color, palette)} ${at * 100}%`).join(', ')
  return paint.kind === 'linear'
    ? `linear-gradient(${paint.angle}deg, ${stops})`
    : `radial-gradient(circle farthest-corner at ${paint.x * 100}% ${paint.y * 100}%, ${stops})`
}

/**
 * The ends of a linear gradient in a box, px, as CSS lays it: through the middle, so that the far corners get the last colours (CSS Images
 * 3, 3.1).
 */
export function gradientLine(angle: number, { width, height }: { width: number; height: number }) {
  const radians = (angle * Math.PI) / 180
  const half = (Math.abs(width * Math.sin(radians)) + Math.abs(height * Math.cos(radians))) / 2
  const [dx, dy] = [Math.sin(radians) * half, -Math.cos(radians) * half]
  return { x1: width / 2 - dx, y1: height / 2 - dy, x2: width / 2 + dx, y2: height / 2 + dy }
}
