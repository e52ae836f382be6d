import type { Pose } from '../skeleton'

const stance = { back: [-5, -4], front: [5, 4] } as const

/** Poses of someone who stands or sits. */
export const calm: readonly Pose[] = [
  { name: 'stand', label: 'Stands', keywords: 'plain idle wait', arms: { back: [-12, -6], front: [12, 8] }, legs: stance, face: 'smile' },
  {
    name: 'hands-on-hips',
    label: 'Hands on hips',
    keywords: 'sure confident ready',
    arms: { back: [-52, 38], front: [52, -38] },
    legs: { back: [-10, -8], front: [10, 8] },
    face: 'smile',
  },
  {
    name: 'arms-folded',
    label: 'Arms folded',
    keywords: 'crossed listens doubts',
    arms: { back: [-16, 88], front: [16, -86] },
    legs: stance,
    face: 'flat',
  },
  {
    name: 'think',
    label: 'Thinks',
    keywords: 'wonders considers chin idea',
    nod: 6,
    arms: { back: [-14, 84], front: [30, 196] },
    legs: { back: [-4, -4], front: [8, 2] },
    face: 'flat',
  },
  {
    name: 'read',
    label: 'Reads',
    keywords: 'book learns studies',
    nod: 16,
    arms: { back: [4, 96], front: [18, 74] },
    legs: stance,
    face: 'flat',
    holds: 'book',
  },
  {
    name: 'phone',
    label: 'On the phone',
    keywords: 'calls telephone talks',
    nod: 4,
    arms: { back: [-14, -4], front: [54, 204] },
    legs: { back: [-4, -2], front: [10, 2] },
    face: 'open',
    holds: 'phone',
  },
  {
    name: 'cup',
    label: 'With a cup',
    keywords: 'coffee tea pause break',
    arms: { back: [-12, -4], front: [24, 112] },
    legs: stance,
    face: 'smile',
    holds: 'cup',
  },
  {
    name: 'sit',
    label: 'Sits',
    keywords: 'chair seat listens audience',
    arms: { back: [2, 66], front: [20, 62] },
    legs: { back: [84, -2], front: [92, 4] },
    face: 'smile',
    sits: true,
  },
]
