/**
 * Sound: captions, the pauses of a voice, waveforms.
 *
 * @example
 * import { sentencesOf } from 'core/sound'
 *
 * sentencesOf('The boat leaves at six. Come early!') // → ['The boat leaves at six.', 'Come early!']
 */
export { captionAt, captionTrack } from './captions'
export { captionsFor, laySentences, sentencesOf, startsFromVoice } from './narrate'
export { peakRate, spokenIn, type Stretch } from './spoken'
export { waveform } from './waveform'
export { voiceAt, type VoiceAt } from './voice'
