import type { Effect } from './effect'

/** What a clip does is read from its cues in order, not drawn by them: see plays.ts. */
const clipCue = (name: string, label: string, clip: Effect['clip']): Effect => ({
  name,
  label,
  whats: ['media'],
  kinds: ['film', 'sound'],
  duration: 0,
  pace: 'linear',
  options: [],
  whole: true,
  clip,
  apply() {},
})

export const clipPlay = clipCue('clip-play', 'Play', 'play')
export const clipPause = clipCue('clip-pause', 'Pause', 'pause')
export const clipGoOn = clipCue('clip-go-on', 'Go on', 'resume')
