import { clamp, optionOf, type Effect } from './effect'

/**
 * The height above the ground, as a share of the fall, of a thing that falls from 1 at time 0 and bounces so many times
 * before it lies still at time 1. Each bounce is as high as `keep` times the one before; times go with the root of heights.
 */
export function fallen(time: number, bounces: number, keep = 0.22): number {
  if (time >= 1) return 0
  // A fall from height h takes √h; a bounce to height h takes twice that.
  const heights = Array.from({ length: bounces }, (_, index) => keep ** (index + 1))
  const whole = 1 + heights.reduce((sum, height) => sum + 2 * Math.sqrt(height), 0)
  let at = time * whole
  if (at <= 1) return 1 - at * at
  at -= 1
  for (const height of heights) {
    const half = Math.sqrt(height)
    if (at <= 2 * half) return height - (at - half) ** 2
    at -= 2 * half
  }
  return 0
}

/** Falls into its place, and bounces. */
export const drop: Effect = {
  name: 'drop',
  label: 'Drop',
  whats: ['enter', 'exit'],
  duration: 0.9,
  pace: 'linear',
  options: [
    { kind: 'number', name: 'height', label: 'From a height of', min: 0, max: 4000, step: 10, unit: 'px', initial: 500 },
    { kind: 'number', name: 'bounces', label: 'Bounces', min: 0, max: 6, step: 1, unit: '', initial: 2 },
  ],
  apply(part, progress, options) {
    part.y -= optionOf<number>(drop, options, 'height') * fallen(clamp(progress), Math.round(optionOf<number>(drop, options, 'bounces')))
    part.opacity *= clamp(progress * 6)
  },
}
