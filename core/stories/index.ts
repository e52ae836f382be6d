/**
 * Stories of a table: outlines that its rows drop into, giving slides, charts, their states and headlines that are computed.
 *
 * @example
 * import { houseTheme } from 'core/layouts'
 * import { storiesFor } from 'core/stories'
 * import { seasons } from 'core/testing'
 * import { roughMeasurer } from 'core/text'
 *
 * const { offers } = storiesFor(seasons, { language: 'en', fonts: houseTheme.fonts, measurer: roughMeasurer })
 * offers[0]?.slides[0]?.title.length > 5 // → true
 */
export { storyOutlines } from './catalogue'
export { insertStory } from './insert-story'
export { storiesFor, type StoryOffer } from './offers'
export type { StoryOutline, StorySlide } from './story'
