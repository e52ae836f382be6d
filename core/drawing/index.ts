/**
 * Drawing by hand: strokes along outlines, of words, shapes and pictures.
 *
 * @example
 * import { measurePath } from 'core/drawing'
 *
 * const line = measurePath('M0 0L30 40')
 * line.length // → 50
 * line.at(0.5) // → { x: 15, y: 20, angle: 53.13010235415598 }
 */
export { inkKey, inkOf, recordedInk, type Ink, type InkBook, type Traced, type WordOutlines } from './ink'
export { outlineBetween } from './morph'
export { nibNamed, nibs, type Nib } from './nibs'
export { handDrawingOf, shapePath, type DrawingContext } from './of-element'
export { measurePath, type PathMeasure } from './path'
export { roughPath } from './rough'
export { handAt, handDrawing, stretchesOf, type HandDrawing, type HandStroke } from './stroke'
export { thinned, inHandOrder, tracePicture, type Pixels } from './trace'
