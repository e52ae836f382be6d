import { gestures, poses } from '../../figures'
import { clamp, optionOf, type Effect } from './effect'

/** A figure takes another pose, and keeps it. */
export const takePose: Effect = {
  name: 'take-pose',
  label: 'Take a pose',
  whats: ['pose'],
  kinds: ['figure'],
  whole: true,
  duration: 0.6,
  options: [
    { kind: 'choice', name: 'pose', label: 'Pose', values: poses.map(pose => ({ value: pose.name, label: pose.label })), initial: 'point' },
  ],
  apply: () => {},
}

/** A figure makes a gesture and stands again as before. */
export const makeGesture: Effect = {
  name: 'gesture',
  label: 'Make a gesture',
  whats: ['pose'],
  kinds: ['figure'],
  whole: true,
  duration: 2,
  pace: 'linear',
  options: [
    {
      kind: 'choice',
      name: 'gesture',
      label: 'Gesture',
      values: gestures.map(gesture => ({ value: gesture.name, label: gesture.label })),
      initial: 'wave',
    },
    { kind: 'element', name: 'holds', label: 'What it holds up', initial: '', when: { name: 'gesture', is: 'hold-up' } },
  ],
  apply: () => {},
}

/** A stride, two steps, is so long, as a share of a figure's height. */
const stride = 0.62

/** A figure walks in from beyond a side, or out past it. */
export const walkIn: Effect = {
  name: 'walk-in',
  label: 'On foot',
  whats: ['enter', 'exit'],
  kinds: ['figure'],
  whole: true,
  duration: 3,
  pace: 'linear',
  least: { seconds: 0.8, why: 'to be seen walking' },
  options: [
    {
      kind: 'choice',
      name: 'from',
      label: 'From',
      values: [
        { value: 'left', label: 'the left' },
        { value: 'right', label: 'the right' },
      ],
      initial: 'left',
    },
  ],
  apply(part, progress, options, { box, size, extent = size }) {
    const share = clamp(progress)
    if (share === 1) return
    const way = optionOf<string>(walkIn, options, 'from') === 'left' ? box.x + box.width : extent.width - box.x
    const left = Math.max(0, way) * (1 - share)
    part.x += optionOf<string>(walkIn, options, 'from') === 'left' ? -left : left
    // It stands still where it arrives.
    part.strides = { count: -left / Math.max(1, stride * box.height), share: clamp((1 - share) / 0.12) }
  },
}
