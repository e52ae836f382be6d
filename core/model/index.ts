/**
 * The records of a deck, and changes on them.
 *
 * @example
 * import { applyChanges, infoOf, setRecord, slidesOf } from 'core/model'
 * import { freshDeck } from 'core/testing'
 *
 * const deck = freshDeck()
 * const renamed = applyChanges(deck, [setRecord('info', 'info', { title: 'Autumn timetable' })])
 * infoOf(renamed).title // → 'Autumn timetable'
 * infoOf(deck).title // → 'Spring timetable'
 * slidesOf(renamed).length // → 1
 */
export { extentOf, viewsOf } from './board'
export * from './changes'
export * from './clean'
export * from './groups'
export * from './inline'
export * from './limits'
export * from './media'
export * from './mend'
export * from './only-slides'
export * from './read'
export * from './records'
export * from './required'
export * from './text-doc'
export { formatOf, formatVersion, upgraded, upgradedPart } from './upgrades'
