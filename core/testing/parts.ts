import { effectsFor } from '../timing'
export { applyChanges, textOf } from '../deck'
export type { Beat, Cue, Deck, Easing, EditContext, Element, Slide } from '../deck'

const namesFor = (what: 'enter' | 'exit' | 'emphasis' | 'move') => effectsFor(what, 'text').map(effect => effect.name)
/** The effects of each use, for making cues at random. */
export const namedFields = { enter: namesFor('enter'), exit: namesFor('exit'), emphasis: namesFor('emphasis'), move: namesFor('move') }
