/**
 * Text: measured, broken into lines, fitted, read at a pace.
 *
 * @example
 * import { countReading, readingSeconds } from 'core/text'
 *
 * const reading = countReading('Boats leave every hour from berth 2', 'en')
 * reading // → { words: 6, numbers: 1, marks: 0 }
 * readingSeconds(reading, 'en', 'children') > readingSeconds(reading, 'en', 'colleagues') // → true
 */
export * from './fit'
export { lettersOf } from '../values'
export * from './layout'
export * from './measure'
export * from './reading'
export * from './schema'
export type { Syllables } from './syllables'
export * from './counted'
export * from './element-layout'
export * from './along'
export { bulletOf, bulletOfParagraph, bulletWords, indentOf, lineCounter, usualDistance } from './bullets'
export { numberSign } from './numbering'
