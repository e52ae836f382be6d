export { captionAt, captionTrack } from './captions'
export { loudnessAt, waveform } from './level'
export { captionsFor, laySentences, sentencesOf, startsFromVoice } from './narrate'
export { peakRate, silencesOf, spokenIn, type Stretch } from './silences'
