import { blendPoses, withLimbs } from '../blend'
import { poseNamed } from '../poses'
import { held, intoPose, swing, type Gesture } from './gesture'

/** Gestures of someone who agrees, doubts, is glad or thinks. */
export const feeling: readonly Gesture[] = [
  {
    name: 'nod',
    label: 'Nods',
    seconds: 1.3,
    at: (standing, share) => withLimbs(standing, { nod: (standing.nod ?? 0) + 15 * Math.abs(swing(share, 1)) }),
  },
  {
    name: 'doubt',
    label: 'Wags the head',
    seconds: 1.6,
    at: (standing, share) => withLimbs(standing, { nod: (standing.nod ?? 0) + 9 * swing(share, 2), face: 'flat' }),
  },
  intoPose('think', 'Thinks', 'think', 2.6),
  intoPose('shrug', 'Shrugs', 'shrug', 1.7),
  {
    name: 'cheer',
    label: 'Cheers',
    seconds: 2,
    at: (standing, share) => blendPoses(standing, { ...poseNamed('cheer'), legs: standing.legs, sits: standing.sits }, held(share)),
    lift: share => 0.07 * Math.abs(swing(Math.min(1, Math.max(0, (share - 0.25) / 0.5)), 1)) * (share > 0.25 && share < 0.75 ? 1 : 0),
  },
  {
    name: 'applaud',
    label: 'Applauds',
    seconds: 2,
    at(standing, share) {
      const { back, front } = poseNamed('applaud').arms
      const apart = 9 * swing(share, 6)
      return blendPoses(
        standing,
        withLimbs(standing, { back: [back[0] - apart, back[1] - apart], front: [front[0] + apart, front[1] + apart], face: 'smile' }),
        held(share, 0.18),
      )
    },
  },
  {
    name: 'bow',
    label: 'Bows',
    seconds: 2,
    at: (standing, share) =>
      withLimbs(standing, { lean: (standing.lean ?? 0) + 34 * held(share, 0.4), nod: (standing.nod ?? 0) + 10 * held(share, 0.4) }),
  },
  {
    name: 'sigh',
    label: 'Sighs',
    seconds: 1.8,
    at: (standing, share) =>
      withLimbs(standing, {
        lean: (standing.lean ?? 0) + 6 * held(share, 0.45),
        nod: (standing.nod ?? 0) + 12 * held(share, 0.45),
        face: 'flat',
      }),
  },
]
