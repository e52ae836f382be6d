/**
 * Edits of a deck: each answers with the changes that make it.
 *
 * @example
 * import { addSlide } from 'core/edits'
 * import { applyChanges, layoutsOf, slidesOf } from 'core/model'
 * import { countingContext, freshDeck } from 'core/testing'
 *
 * const deck = freshDeck()
 * const [slide] = slidesOf(deck)
 * const changes = addSlide(deck, { after: slide?.id ?? null, layout: slide?.layout ?? '' }, countingContext())
 * slidesOf(applyChanges(deck, changes)).length // → 2
 */
export { addBeat } from './add-beat'
export { addCue } from './add-cue'
export { addElement } from './add-element'
export { addSlide, fillPlaceholder } from './add-slide'
export { clip, clippingSchema, pastedTops, pasteClipping, topsOf, type Clipping } from './clipping'
export { buildOnAdvance } from './build-on-advance'
export { duplicateElements } from './duplicate-elements'
export { copySlideRecords, takeSlides } from './copy-slides'
export { duplicateSlide, duplicateSlides } from './duplicate-slide'
export { moveSlide, moveSlides } from './move-slides'
export { groupElements, ungroupElements } from './group-elements'
export { lookOf, putLook, type PickedLook } from './pick-look'
export { redirectTable } from './redirect-table'
export { findText, replaceText, type TextMatch, type TextSearch } from './replace-text'
export { addVariant, removeVariant, setShows } from './variants'
export { pieceOf, putPiece, renewPiece, type Piece } from './pieces'
export { placeElements } from './place-elements'
export { canHoldWords, wordsInShape } from './words-in-shape'
export { chapterAround, putTransition, type TransitionReach } from './put-transition'
export { removeBeat } from './remove-beat'
export { dropCues, removeCues } from './remove-cues'
export { dropElements, removeElements } from './remove-elements'
export { removeSlides } from './remove-slides'
export { replaceMedia } from './replace-media'
export { restackTo, stackElements, type StackWay } from './restack'
export { setFields } from './set-fields'
