/**
 * Value types that all rooms use: boxes, colours, paints, orders, outcomes.
 *
 * @example
 * import { orderAt, orderLast } from 'core/values'
 *
 * const first = { order: orderLast([]) }
 * const last = { order: orderLast([first]) }
 * const between = orderAt([first, last], 1)
 * first.order < between && between < last.order // → true
 */
export * from './arithmetic'
export * from './box'
export * from './color'
export * from './direction'
export * from './easing'
export * from './fraction'
export * from './id'
export * from './memo'
export * from './names'
export * from './options'
export * from './order'
export * from './outcome'
export * from './paint'
export * from './seeded'
export * from './walk'
export * from './words'
