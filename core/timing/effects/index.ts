import type { Cue, ElementKind } from '../../model'
import type { Easing } from '../../values'
import { namedEasings } from '../easing'
import { aperture } from './aperture'
import { changeText } from './change-text'
import { clipGoOn, clipPause, clipPlay } from './clip-cues'
import { countUp } from './count-up'
import { dimRest } from './dim-rest'
import { draw } from './draw'
import { drop } from './drop'
import type { Effect } from './effect'
import { emerge } from './emerge'
import { fade } from './fade'
import { makeGesture, takePose, walkIn } from './figure-cues'
import { focus } from './focus'
import { goToView } from './go-to-view'
import { grow } from './grow'
import { land } from './land'
import { moveArc, moveLine, movePath, recolor, resize, soften, spin } from './moves'
import { pulse } from './pulse'
import { rise } from './rise'
import { showState } from './show-state'
import { slant } from './slant'
import { slats } from './slats'
import { spinIn } from './spin-in'
import { springUp } from './spring-up'
import { stretch } from './stretch'
import { bracket, marker, ring, strikeOut, underline } from './strokes'
import { sweep } from './sweep'
import { blink, hop, lean, shake, swing, wobble } from './swings'
import { tint } from './tint'
import { travel } from './travel'
import { turnIn } from './turn-in'
import { type } from './type'
import { unfold } from './unfold'
import { wipe } from './wipe'
import { zoomTo } from './zoom-to'

export { colorOption, colorValue, optionOf } from './effect'
export { showState, stateIn } from './show-state'
export type { Effect, OptionField, EffectRoom, Place } from './effect'
export { mostWords } from './change-text'
export { clipPlay } from './clip-cues'
export { makeGesture, takePose } from './figure-cues'
export { goToView } from './go-to-view'

/** The catalogue: adding an effect is adding a file and a line. */
export const effects: readonly Effect[] = [
  fade,
  rise,
  wipe,
  grow,
  type,
  countUp,
  focus,
  emerge,
  travel,
  land,
  springUp,
  drop,
  stretch,
  spinIn,
  unfold,
  turnIn,
  aperture,
  slats,
  slant,
  sweep,
  draw,
  walkIn,
  pulse,
  tint,
  underline,
  marker,
  ring,
  bracket,
  strikeOut,
  dimRest,
  zoomTo,
  wobble,
  shake,
  hop,
  swing,
  lean,
  blink,
  moveLine,
  moveArc,
  movePath,
  spin,
  resize,
  recolor,
  soften,
  changeText,
  showState,
  clipPlay,
  clipPause,
  clipGoOn,
  goToView,
  takePose,
  makeGesture,
]

const byName = new Map(effects.map(effect => [effect.name, effect]))

/** Leaves everything as it is. */
const nothing: Effect = {
  name: 'nothing',
  label: 'Nothing that is known here',
  whats: ['emphasis', 'move', 'data', 'media', 'pose', 'camera'],
  duration: 0.5,
  options: [],
  apply() {},
}

/**
 * An effect by its name and what it is used for. One that this version does not know, or that is not for that use, fades what comes and
 * goes, and does nothing else.
 */
export function effectNamed(name: string, what: Cue['what']): Effect {
  const found = byName.get(name)
  if (found?.whats.includes(what)) return found
  return what === 'enter' || what === 'exit' ? fade : nothing
}

/** The effects that suit a use and a kind of element. */
export const effectsFor = (what: Cue['what'], kind: ElementKind) =>
  effects.filter(effect => effect.whats.includes(what) && (!effect.kinds || effect.kinds.includes(kind)))

/** The pace that an effect has unless one is chosen. */
export const paceFor = (name: string, what: Cue['what']): Easing =>
  namedEasings[effectNamed(name, what).pace ?? (what === 'enter' || what === 'exit' ? 'ease out' : 'ease both ways')]
