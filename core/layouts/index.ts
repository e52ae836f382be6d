/**
 * Layouts: families, what a slide's words mean, new decks.
 *
 * @example
 * import { newDeck, propose } from 'core/layouts'
 * import { slidesOf } from 'core/model'
 * import { countingContext } from 'core/testing'
 *
 * slidesOf(newDeck({ title: 'Spring', purpose: 'loop' }, countingContext())).length // → 1
 */
export * from './agenda'
export * from './builds'
export * from './close-up'
export * from '../families'
export * from './chart-slide'
export * from './designs'
export * from './house-theme'
export * from './item-icons'
export * from './item-pictures'
export * from './layout-record'
export * from './named-table'
export * from './new-deck'
export { refit, shapes, sizeOfShape, type Shape } from './refit'
export * from './outline'
export * from './outline-keys'
export * from './finding'
export * from './propose'
export { fitsPlace, itemCount, itemsFit, roomFor, type Ruler } from './room'
export * from './room-left'
export { readSenses, type SlideWords } from './senses'
export { setLanguage } from './set-language'
export * from './set-layout'
export * from './starters'
export { putLook, replaceParts, standLayouts, standSlides, themeWith, type LookWish } from './wear-look'
export { familyOf, plainItems, richLines, waitingOn } from './write-lines'
