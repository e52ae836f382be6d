import { blendPoses, gestureNamed, gestures, holding, poseNamed, poses } from '../../figures'
import type { Options } from '../../values'
import { clamp, optionOf, type Effect } from './effect'

const lowered = (words: string) => words.charAt(0).toLowerCase() + words.slice(1)
const poseOf = (options: Options) => optionOf<string>(takePose, options, 'pose')
const gestureOf = (options: Options) => gestureNamed(optionOf<string>(makeGesture, options, 'gesture'))

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
  figure: {
    keeps: true,
    at: (pose, progress, options) => ({ pose: blendPoses(pose, poseNamed(poseOf(options)), progress), lift: 0 }),
  },
  called: options => poseNamed(poseOf(options)).label,
  told: options => ` into a pose: ${lowered(poseNamed(poseOf(options)).label)}`,
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
    { kind: 'element', name: 'holds', label: 'What it holds up', initial: '', when: { name: 'gesture', is: holding.name } },
  ],
  figure: {
    keeps: false,
    at(pose, progress, options) {
      const gesture = gestureOf(options)
      return gesture ? { pose: gesture.at(pose, progress), lift: gesture.lift?.(progress) ?? 0 } : { pose, lift: 0 }
    },
    holds: options => (gestureOf(options)?.holds && optionOf<string>(makeGesture, options, 'holds')) || null,
  },
  called: options => gestureOf(options)?.label ?? 'A gesture',
  told: options => `: ${lowered(gestureOf(options)?.label ?? 'a gesture')}`,
  apply: () => {},
}

/** A stride, two steps, is so long, as a share of a figure's height. */
const stride = 0.62

/** A figure walks in from beyond a side, or out past it. */
export const walkIn: Effect = {
  name: 'walk-in',
  label: 'Walk in',
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
  walks: options => (optionOf<string>(walkIn, options, 'from') === 'left' ? 'left' : 'right'),
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
