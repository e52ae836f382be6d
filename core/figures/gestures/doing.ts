import { blendPoses, walking, withLimbs } from '../blend'
import { held, swing, type Gesture } from './gesture'

/** Gestures of someone who does something. */
export const doing: readonly Gesture[] = [
  {
    name: 'hold-up',
    label: 'Holds something up',
    holds: true,
    seconds: 3,
    at: (standing, share) =>
      blendPoses(standing, withLimbs(standing, { back: [-160, -178], front: [160, 178], face: 'smile' }), held(share, 0.2)),
  },
  {
    name: 'look-closely',
    label: 'Looks closely',
    seconds: 2.4,
    at: (standing, share) =>
      withLimbs(standing, { lean: (standing.lean ?? 0) + 22 * held(share), nod: (standing.nod ?? 0) + 8 * held(share), face: 'flat' }),
  },
  {
    name: 'look-up',
    label: 'Looks up',
    seconds: 2,
    at: (standing, share) => withLimbs(standing, { nod: (standing.nod ?? 0) - 18 * held(share), face: 'open' }),
  },
  {
    name: 'walk-on-the-spot',
    label: 'Walks on the spot',
    seconds: 2,
    at: (standing, share) => blendPoses(standing, walking(standing, share * 2), held(share, 0.12)),
  },
  {
    name: 'jump',
    label: 'Jumps',
    seconds: 1.1,
    at: (standing, share) =>
      withLimbs(standing, {
        back: [standing.arms.back[0] - 30 * held(share, 0.4), standing.arms.back[1] - 20 * held(share, 0.4)],
        front: [standing.arms.front[0] + 30 * held(share, 0.4), standing.arms.front[1] + 20 * held(share, 0.4)],
      }),
    lift: share => 0.14 * Math.sin(share * Math.PI) ** 2,
  },
  {
    name: 'rock',
    label: 'Rocks on the heels',
    seconds: 2,
    at: (standing, share) => withLimbs(standing, { lean: (standing.lean ?? 0) + 3.5 * swing(share, 2) }),
  },
]
