/**
 * Looks: colours, fonts and styles of a deck, and where they are used.
 *
 * @example
 * import { colorsInUse, nearestRole } from 'core/themes'
 * import { deckTheme } from 'core/model'
 * import { freshDeck } from 'core/testing'
 *
 * const deck = freshDeck()
 * nearestRole(deckTheme(deck).palette.accent1, deck).role // → 'accent1'
 * colorsInUse(deck).length > 0 // → true
 */
export * from './colors'
export * from './fonts'
export * from './layouts'
export * from './letters'
export * from './missing-glyphs'
export * from './put-theme'
export * from './styles'
export { whereIs, type LookTable } from './walk'
