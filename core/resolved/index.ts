/**
 * What follows from a deck's records: inheritance, places, fields, variants.
 *
 * @example
 * import { shownElements } from 'core/resolved'
 * import { slidesOf } from 'core/model'
 * import { freshDeck } from 'core/testing'
 *
 * const deck = freshDeck()
 * const [slide] = slidesOf(deck)
 * // The slide's own parts, on what its layout and master show.
 * const parts = shownElements(deck, slide?.id ?? '')
 * parts.map(part => part.placeholder ?? 'of the master') // → ['of the master', 'title', 'body']
 */

export { arrangingOf, itemElements, itemPlace, type Arranging, type ItemElements, type ItemPlace } from './arrangement'
export * from './element-groups'
export { changesOnForm, faultOnForm } from './form'
export * from './inherit'
export { runningOnto } from './running-on'
export { themeOn } from './seen-theme'
export * from './variants'
