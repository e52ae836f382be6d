/**
 * Moments and amounts as people write them, in eleven languages.
 *
 * @example
 * import { amountIn, momentOf } from 'core/phrases'
 *
 * amountIn('1.2 million riders', 'en')?.value // → 1200000
 * momentOf('KW 7')?.kind // → 'week'
 */
export * from './amounts'
export * from './moments'
export * from './quotes'
export * from './rows'
export * from './split'
