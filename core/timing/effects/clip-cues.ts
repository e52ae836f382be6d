import type { Effect } from './effect'

/** What a clip does is read from its cues in order, not drawn by them: see clips.ts. */
const clipCue = (name: string, label: string): Effect => ({
  name,
  label,
  whats: ['media'],
  kinds: ['film', 'sound'],
  duration: 0,
  pace: 'linear',
  options: [],
  whole: true,
  apply() {},
})

export const clipPlay = clipCue('clip-play', 'Play')
export const clipPause = clipCue('clip-pause', 'Pause')
export const clipGoOn = clipCue('clip-go-on', 'Go on')
