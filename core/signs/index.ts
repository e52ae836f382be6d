/**
 * Signs that keyboards lack, found by words.
 *
 * @example
 * import { findSigns, symbols } from 'core/signs'
 *
 * findSigns(symbols, 'euro')[0]?.sign // → '€'
 */
export * from './find'
export * from './symbols'
