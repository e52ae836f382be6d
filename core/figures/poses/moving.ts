import type { Pose } from '../skeleton'

/** Poses of someone on the way. */
export const moving: readonly Pose[] = [
  { name: 'walk', label: 'Walks', words: 'goes step', lean: 3, arms: { back: [32, 50], front: [-30, -12] }, legs: { back: [-24, -34], front: [26, 14] }, face: 'smile' },
  { name: 'run', label: 'Runs', words: 'hurries late fast', lean: 14, arms: { back: [58, 138], front: [-52, 34] }, legs: { back: [-34, -92], front: [56, 8] }, face: 'open' },
  { name: 'carry', label: 'Carries a box', words: 'brings parcel delivers goods', lean: -4, arms: { back: [10, 82], front: [24, 80] }, legs: { back: [-14, -20], front: [16, 8] }, face: 'smile', holds: 'box' },
  { name: 'lean', label: 'Leans over', words: 'bends looks closely searches', lean: 34, nod: 8, arms: { back: [40, 66], front: [50, 84] }, legs: { back: [-8, -8], front: [6, 2] }, face: 'flat' },
  { name: 'kneel', label: 'Kneels', words: 'crouches mends floor', lean: 8, arms: { back: [24, 58], front: [34, 72] }, legs: { back: [-4, -92], front: [84, -4] }, face: 'flat' },
  { name: 'climb', label: 'Climbs', words: 'step up higher rises', lean: 10, arms: { back: [-24, 20], front: [118, 150] }, legs: { back: [-10, -14], front: [74, -8] }, face: 'smile' },
]
