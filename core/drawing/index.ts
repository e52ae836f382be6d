/**
 * Drawing by hand: strokes along outlines, of words, shapes and pictures.
 *
 * @example
 * import { handAt, handDrawing } from 'core/drawing'
 *
 * const drawing = handDrawing([{ d: 'M0 0L30 40', color: '#000000', width: 3 }])
 * drawing.length // → 50
 * handAt(drawing, 25) // → { x: 15, y: 20, angle: 53.13010235415598 }
 */
export { inkKey, inkOf, recordedInk, type Ink, type InkBook, type Traced, type WordOutlines } from './ink'
export { nibNamed, nibs, type Nib } from './nibs'
export { handDrawingOf, shapePath, type DrawingContext } from './of-element'
export { roughPath } from './rough'
export { handAt, handDrawing, type HandDrawing, type HandStroke } from './stroke'
export { thinned, inHandOrder, tracePicture, type Pixels } from './trace'
