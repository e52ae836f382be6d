export { default as PlayerView } from './PlayerView.vue'
export type { PlayerBundle } from './bundle'
export { filmCourse, talkCourse, type Course } from './course'
export { openClock, openSound, type SoundEngine } from './sound'
