/**
 * The live document: a deck that several people change at once.
 *
 * @example
 * import * as Y from 'yjs'
 * import { applyToDocument, fillDocument, readDocument } from 'core/live'
 * import { infoOf, setRecord } from 'core/model'
 * import { freshDeck } from 'core/testing'
 *
 * const document = new Y.Doc()
 * fillDocument(document, freshDeck())
 * applyToDocument(document, [setRecord('info', 'info', { title: 'Autumn' })])
 * infoOf(readDocument(document)).title // → 'Autumn'
 */
export * from './document'
export * from './guard'
export * from './mend'
export * from './mirror'
export * from './protocol'
export * from './upgrade'
