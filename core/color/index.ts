/**
 * Colours: contrast, schemes, palettes, what is seen through what.
 *
 * @example
 * import { contrast, nearestReadable, readColor } from 'core/color'
 *
 * contrast('#000000', '#ffffff') // → 21
 * contrast(nearestReadable('#9fc5e8', '#ffffff'), '#ffffff') >= 4.5 // → true
 * readColor('rgb(18, 97, 92)') // → { ok: true, value: '#12615c' }
 */
export * from './contrast'
export { colorDistance, dominantColors, likenessApart, likenessOf, likenessSide, type Dominant } from './dominant'
export * from './entry'
export * from './harmony'
export { colorsOf, cssGradient, gradientLine, isPlain, plainColor } from './paint'
export * from './palette'
export * from './on-picture'
export * from './readable'
export * from './schemes'
export * from './seen'
export * from './texture'
export { leastApart, mixBy, toldApart } from './told-apart'
export { colorMatrix, fromSide, throughMatrix, treatmentOf } from './treatment'
