/**
 * Shapes by name, as paths.
 *
 * @example
 * import { findShapes, outlineOf } from 'core/shapes'
 *
 * outlineOf({ shape: 'rectangle' }, { width: 10, height: 5 }) // → 'M0 0L10 0L10 5L0 5Z'
 * findShapes('arrow').length > 1 // → true
 */

export * from './lines'
export { outlineBetween } from './morph'
export * from './outline'
export { strataEdge } from './catalogue/ornaments'
export { panelOutline, panelShape, roomInset } from './panel'
export { measurePath, stretchesOf, type PathMeasure } from './path'
export * from './touch'
export { sectorPath } from './sector'
export { pointsAlong } from './shape'
export type { Amount, Amounts, Shape, Size, Spot } from './shape'
