/**
 * Places on a slide: bounds, snapping, lining up, routes, looking at it.
 *
 * @example
 * import { align, boundsOf } from 'core/place'
 *
 * const box = { x: 10, y: 20, width: 100, height: 50, angle: 0 }
 * boundsOf(box) // → { left: 10, top: 20, right: 110, bottom: 70 }
 * const [moved] = align([{ id: 'a', boxes: { a: box } }], 'right', { left: 0, top: 0, right: 1920, bottom: 1080 })
 * moved?.boxes.a?.x // → 1820
 */
export * from './align'
export * from './angle'
export * from './bounds'
export * from './crop'
export { onCurve } from './curve'
export { freeSpot } from './free-spot'
export * from './resize'
export * from './route'
export * from './snap'
export { isWithin, withinOf } from './within'
export * from './zoom'
