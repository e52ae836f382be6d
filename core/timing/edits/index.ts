export { answersOf, fits, type ClipAnswer } from './answers'
export { setBeatTimes, tidyTimes } from './beat-times'
export { holdFor, mergeBeats, moveBeat, splitBeat, startBeats } from './beats'
export { figureGoesOn } from './figure-goes-on'
export { lanesOf, laterWaits } from './lanes'
export { boardToSlides, goInBeat, makeBoard, removeView, slidesToBoard, tourViews, unmakeBoard, viewAround } from './boards'
export { clipCues, pasteCues, type CueClipping } from './paste-cues'
export { putClip, putNarration, putSound, startClip } from './put-clip'
export { nearestMoment } from './snap-time'
export { alikeOn, cueClippingSchema, movingAlready, reverseMotion, type AlikeBy, type NamedMotion } from './motion'
export { moveToBeat } from './move-to-beat'
export { addState, moveState, removeState, setState, statesTold, type ToldState } from './states'
export { factorFor, fixedIn, lastFor, setLength, stretch, type StretchInput } from './stretch'
export {
  cuesApart,
  followUsual,
  followUsualTransition,
  setUsual,
  setUsualTransition,
  slidesApart,
  usualMotion,
  usualTransition,
} from './usual'
