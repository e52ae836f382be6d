/**
 * Time: what moves when, and what a moment looks like.
 *
 * @example
 * import { easingOf, momentAt, namedEasings, rundown } from 'core/timing'
 * import { freshDeck, timingContext } from 'core/testing'
 *
 * const plan = rundown(freshDeck('film'), 'film', timingContext)
 * momentAt(plan, 0)?.beat // → 0
 * plan.length > 0 // → true
 * easingOf(namedEasings['ease in'])(0.5) < 0.5 // → true
 */
export * from './advance'
export * from './camera'
export { cameraAtView, cameraIn, fastestOf, largestSeen } from './camera-plan'
export { carriedFrames, shared, type Carried, type SlideAt } from './carry'
export { clipAfter, spanOfClip, type ClipMoment, type ClipSpan } from './clips'
export * from './compile'
export type { TimingContext } from './context'
export * from './easing'
export * from './edits'
export * from './effects'
export { filmParts, frameCount, frameSeconds, repeatedFrames, stillFrame, type FilmPart } from './film-frames'
export type { FigureMoment } from './figure-moment'
export * from './frame'
export { leastLength, type LeastLength } from './least'
export type { Polygon } from './mask'
export * from './part-frame'
export { partName, partsHaveAmounts, partWays, partWords } from './part-words'
export { measurePath, type PathMeasure } from '../shapes'
export { cueStart, playsOf } from './plays'
export * from './rundown'
export * from './score'
export { cueSentence } from './sentence'
export * from './sound'
export * from './transitions'
