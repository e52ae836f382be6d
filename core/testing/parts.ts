import { effectsFor } from '../timing'
export { applyChanges, textOf } from '../model'
export type { Beat, Cue, Deck, EditContext, Element, Slide } from '../model'
export type { Easing } from '../values'

const namesFor = (what: 'enter' | 'exit' | 'emphasis' | 'move') => effectsFor(what, 'text').map(effect => effect.name)
/** The effects of each use, for making cues at random. */
export const namedFields = { enter: namesFor('enter'), exit: namesFor('exit'), emphasis: namesFor('emphasis'), move: namesFor('move') }
