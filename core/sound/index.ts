export { captionAt, captionTrack } from './captions'
export { captionsFor, laySentences, sentencesOf, startsFromVoice } from './narrate'
export { peakRate, spokenIn, type Stretch } from './spoken'
export { waveform } from './waveform'
