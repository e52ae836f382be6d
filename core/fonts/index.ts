/**
 * The fonts that ship: which letters they draw, and which stand in for them.
 *
 * @example
 * import { covers, familyOfFont, missingLetters } from 'core/fonts'
 *
 * const family = familyOfFont('Hanken Grotesk')
 * family && covers(family, 'ß'.codePointAt(0) ?? 0) // → true
 * missingLetters('Straße', 'Hanken Grotesk') // → { stoodIn: [], boxes: [] }
 */
export * from './brought'
export * from './coverage'
export { fallbackFonts } from './fallbacks'
export { fontFamilies } from './families'
export * from './family'
export * from './pairs'
export { subsetRanges } from './subsets'
export * from './spans'
