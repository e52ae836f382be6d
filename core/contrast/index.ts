/**
 * How words stand out from what is seen beneath them.
 *
 * @example
 * import { neededFor } from 'core/contrast'
 *
 * neededFor({ size: 20, weight: 400 }, 1080) // → 4.5
 * neededFor({ size: 60, weight: 400 }, 1080) // → 3
 */
export { beneath, mediaOfLayers, type Layer } from './beneath'
export { coveredBy, type Covered } from './covered'
export { contrastOf, neededFor, type Contrast, type ContrastInput, type Pixels } from './measure'
export { painter } from './paint'
export { contrastRemedies, type ContrastRemedy } from './remedies'
export { boundsOfWords, wordsOf, type Words } from './words'
