import type { Cue, ElementKind } from '../../deck'
import { countUp } from './count-up'
import type { Effect } from './effect'
import { fade } from './fade'
import { grow } from './grow'
import { moveLine } from './move-line'
import { pulse } from './pulse'
import { rise } from './rise'
import { type } from './type'
import { wipe } from './wipe'

export { optionOf } from './effect'
export type { Effect, EffectOption, EffectRoom } from './effect'

/** The catalogue: adding an effect is adding a file and a line. */
export const effects: readonly Effect[] = [fade, rise, wipe, grow, type, countUp, pulse, moveLine]

const byName = new Map(effects.map(effect => [effect.name, effect]))

/** An effect by name; a name that this version does not know fades (or does nothing, where fading is not what is asked for). */
export const effectNamed = (name: string): Effect => byName.get(name) ?? fade

/** The effects that suit a use and a kind of element. */
export const effectsFor = (what: Cue['what'], kind: ElementKind) => effects.filter(effect => effect.whats.includes(what) && (!effect.kinds || effect.kinds.includes(kind)))
