/**
 * Icons: found by words, drawn by paths.
 *
 * @example
 * import { findIcons } from 'core/icons'
 *
 * const icons = [{ name: 'sailboat', words: ['ship', 'wind'] }, { name: 'bus', words: ['traffic'] }]
 * findIcons(icons, 'ship').map(icon => icon.name) // → ['sailboat']
 */
export * from './choose'
export * from './drawn'
export * from './find'
