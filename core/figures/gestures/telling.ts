import { blendPoses, withLimbs } from '../blend'
import { poseNamed } from '../poses'
import { held, intoPose, swing, type Gesture } from './gesture'

/** Gestures of someone who tells something. */
export const telling: readonly Gesture[] = [
  intoPose('point', 'Points', 'point', 2),
  intoPose('point-up', 'Points up', 'point-up', 2),
  intoPose('present', 'Presents with an open hand', 'present', 2.4),
  {
    name: 'wave',
    label: 'Waves',
    seconds: 2.2,
    at(standing, share) {
      const raised = poseNamed('wave').arms.front
      return blendPoses(
        standing,
        withLimbs(standing, {
          front: [raised[0], raised[1] + 24 * swing(Math.min(1, Math.max(0, (share - 0.2) / 0.6)), 3)],
          face: 'smile',
        }),
        held(share, 0.2),
      )
    },
  },
  {
    name: 'beat-time',
    label: 'Beats time with a hand',
    seconds: 1.8,
    at: (standing, share) =>
      blendPoses(
        standing,
        withLimbs(standing, { front: [34 + 7 * swing(share, 2), 100 + 16 * swing(share, 2)], face: 'open' }),
        held(share),
      ),
  },
  {
    name: 'count',
    label: 'Counts on the fingers',
    seconds: 2.4,
    at: (standing, share) =>
      blendPoses(standing, withLimbs(standing, { back: [10, 98], front: [30, 112 + 12 * swing(share, 3)], nod: 8 }), held(share, 0.18)),
  },
]
