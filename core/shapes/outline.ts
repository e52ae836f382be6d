import type { ShapeElement } from '../model'
import { arrowShapes } from './catalogue/arrows'
import { calloutShapes } from './catalogue/callouts'
import { manySidedShapes } from './catalogue/many-sided'
import { markShapes } from './catalogue/marks'
import { ornamentShapes } from './catalogue/ornaments'
import { plainShapes } from './catalogue/plain'
import { roundShapes } from './catalogue/round'
import { signShapes } from './catalogue/signs'
import { sectorPath } from './sector'
import { heldIn, type Amounts, type Shape, type Size } from './shape'

/** Every shape there is, in the order of the catalogue. */
export const shapes: readonly Shape[] = [
  ...plainShapes,
  ...roundShapes,
  ...manySidedShapes,
  ...arrowShapes,
  ...calloutShapes,
  ...signShapes,
  ...markShapes,
  ...ornamentShapes,
]

const named = new Map(shapes.map(shape => [shape.name, shape]))
const plain = shapes[0]!

/** A shape by name; one that is not known is a rectangle. A frame of a picture may also be called a circle. */
export const shapeNamed = (name: string): Shape => named.get(name === 'circle' ? 'ellipse' : name) ?? plain

const holds = (words: string, wanted: string) => words.toLowerCase().includes(wanted)

/** The shapes that words find, by name or by what they are for; all of them where nothing is asked. */
export function findShapes(words: string): readonly Shape[] {
  const wanted = words.trim().toLowerCase().split(/\s+/).filter(Boolean)
  return wanted.length
    ? shapes.filter(shape => wanted.every(word => holds(`${shape.label} ${shape.keywords ?? ''} ${shape.name}`, word)))
    : shapes
}

/** The amounts of a shape as they are, the initial ones where nothing was chosen. A rounded one's corner follows from its radius, in px. */
export function amountsIn(element: { shape: string; amounts?: Amounts; radius?: number }, size: Size): Amounts {
  const shape = shapeNamed(element.shape)
  const made: Record<string, number> = {}
  for (const amount of shape.amounts ?? []) {
    const chosen = element.amounts?.[amount.name]
    if (chosen !== undefined) made[amount.name] = Math.min(amount.max, Math.max(amount.min, amount.whole ? Math.round(chosen) : chosen))
    else if (shape.name !== 'chevron') made[amount.name] = amount.initial
  }
  if (shape.name === 'rounded' && element.amounts?.corner === undefined)
    made.corner = Math.min(0.5, (element.radius ?? 32) / Math.max(1, Math.min(size.width, size.height)))
  return made
}

/** Ornaments are long to reckon, and stand on many slides: their paths by what they follow from. */
const reckoned = new Map<string, string>()
const mostReckoned = 1000
function ornamentPath(shape: Shape, size: Size, amounts: Amounts): string {
  const key = `${shape.name} ${size.width} ${size.height} ${JSON.stringify(amounts)}`
  const found = reckoned.get(key) ?? shape.path(size, amounts)
  if (reckoned.size >= mostReckoned) reckoned.clear()
  reckoned.set(key, found)
  return found
}

/** The outline of a shape that fills a box of a size, px, as an SVG path (even-odd). */
export function outlineOf(element: Pick<ShapeElement, 'shape' | 'amounts' | 'radius' | 'sector'>, size: Size): string {
  if (element.shape === 'sector') return sectorPath({ x: 0, y: 0, ...size }, element.sector)
  const shape = shapeNamed(element.shape)
  const amounts = amountsIn(element, size)
  const path = shape.group === 'ornaments' ? ornamentPath(shape, size, amounts) : shape.path(size, amounts)
  // The tail of a callout stands outside on purpose, and ornaments hold themselves in; all else stays in its box, however long that is.
  return shape.group === 'callouts' || shape.group === 'ornaments' || shape === plain ? path : heldIn(size, path)
}

/** Whether words inside a shape's box stand on it. */
export const coversBox = (name: string) => name !== 'line' && name !== 'sector' && (shapeNamed(name).covers === true || name === 'ellipse')
