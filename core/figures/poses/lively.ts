import type { Pose } from '../skeleton'

const stance = { back: [-6, -4], front: [6, 5] } as const

/** Poses of someone who says or feels something. */
export const lively: readonly Pose[] = [
  {
    name: 'wave',
    label: 'Waves',
    keywords: 'hello greets goodbye',
    arms: { back: [-14, -6], front: [128, 170] },
    legs: stance,
    face: 'smile',
  },
  {
    name: 'point',
    label: 'Points',
    keywords: 'shows there direction',
    lean: 2,
    arms: { back: [-20, 10], front: [92, 96] },
    legs: { back: [-10, -8], front: [8, 6] },
    face: 'open',
  },
  {
    name: 'point-up',
    label: 'Points up',
    keywords: 'one thing important idea',
    arms: { back: [-46, 40], front: [96, 178] },
    legs: stance,
    face: 'open',
  },
  {
    name: 'present',
    label: 'Presents',
    keywords: 'explains shows open hand',
    arms: { back: [-22, 40], front: [62, 108] },
    legs: { back: [-8, -6], front: [6, 4] },
    face: 'open',
  },
  {
    name: 'shrug',
    label: 'Shrugs',
    keywords: 'does not know unsure',
    nod: -3,
    arms: { back: [-34, -122], front: [34, 122] },
    legs: stance,
    face: 'flat',
  },
  {
    name: 'cheer',
    label: 'Cheers',
    keywords: 'joy success hooray both arms',
    arms: { back: [-150, -166], front: [150, 166] },
    legs: { back: [-12, -10], front: [12, 10] },
    face: 'open',
  },
  {
    name: 'applaud',
    label: 'Applauds',
    keywords: 'claps thanks bravo',
    arms: { back: [18, 122], front: [38, 104] },
    legs: stance,
    face: 'smile',
  },
  {
    name: 'sign',
    label: 'Holds a sign',
    keywords: 'board placard message',
    arms: { back: [-28, 162], front: [28, -162] },
    legs: stance,
    face: 'smile',
    holds: 'sign',
  },
]
